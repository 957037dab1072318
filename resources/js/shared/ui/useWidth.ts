import { useCallback, useState } from 'react';

/** The width of an element in pixels, kept up with: for drawings whose words must not shrink with them. */
export function useWidth(): [ref: (element: HTMLElement | null) => (() => void) | undefined, width: number] {
  const [width, setWidth] = useState(320);
  const ref = useCallback((element: HTMLElement | null) => {
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.floor(entry.contentRect.width)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width];
}
