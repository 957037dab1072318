import { useSyncExternalStore } from 'react';

const narrow = '(max-width: 640px)';

function subscribe(tell: () => void): () => void {
  const query = matchMedia(narrow);
  query.addEventListener('change', tell);
  return () => query.removeEventListener('change', tell);
}

/** Whether the view is as narrow as a phone, for what is drawn otherwise there; what only looks otherwise is the style sheet's. */
export const useIsNarrow = (): boolean => useSyncExternalStore(subscribe, () => matchMedia(narrow).matches);
