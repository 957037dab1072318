import { useSyncExternalStore } from 'react';

/** As wide as a phone. */
const PHONE = 640;

const queryFor = (width: number) => matchMedia(`(max-width: ${width}px)`);

/** Whether the view is as narrow as that, for what is drawn otherwise there; what only looks otherwise is the style sheet's. */
export function useIsNarrow(width = PHONE): boolean {
  return useSyncExternalStore(
    (tell) => {
      const query = queryFor(width);
      query.addEventListener('change', tell);
      return () => query.removeEventListener('change', tell);
    },
    () => queryFor(width).matches,
  );
}
