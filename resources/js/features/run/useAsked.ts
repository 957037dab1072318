import { useMemo, useSyncExternalStore } from 'react';

function subscribe(listener: () => void): () => void {
  window.addEventListener('popstate', listener);
  return () => window.removeEventListener('popstate', listener);
}

/** What is laid over the clock, in the address: "back" closes it, and a second phone can open it too. */
export function useAsked(): [URLSearchParams, (what: Record<string, string>) => void] {
  const search = useSyncExternalStore(subscribe, () => location.search);
  const asked = useMemo(() => new URLSearchParams(search), [search]);
  return [asked, ask];
}

function ask(what: Record<string, string>): void {
  const words = new URLSearchParams(what).toString();
  history.pushState(null, '', `${location.pathname}${words === '' ? '' : `?${words}`}`);
  window.dispatchEvent(new PopStateEvent('popstate'));
}
