import { useCallback, useMemo, useSyncExternalStore } from 'react';

/** Pixels up to which a view is as wide as a phone. */
const PHONE = 640;

/** Whether the view is at most so many pixels wide, for what is drawn otherwise there; what only looks otherwise is the style sheet's. */
export function useIsNarrow(width = PHONE): boolean {
  const query = useMemo(() => matchMedia(`(max-width: ${width}px)`), [width]);
  const subscribe = useCallback(
    (tell: () => void) => {
      query.addEventListener('change', tell);
      return () => query.removeEventListener('change', tell);
    },
    [query],
  );
  return useSyncExternalStore(subscribe, () => query.matches);
}
