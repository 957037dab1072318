/** Opening without a network: the service worker that answers then, what it takes along, and since when it has what it shows. */

const isRun = (path: string) => /^\/run\/\d+/.test(path);

let waiting: ServiceWorker | null = null;

/** Registers the worker; where there is none, the page works as before, with a network. */
export function keepOpenable(): void {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  void navigator.serviceWorker
    .register('/sw.js')
    .then((registration) => {
      void navigator.serviceWorker.ready.then(({ active }) => {
        if (!navigator.serviceWorker.controller) active?.postMessage('claim');
      });
      waiting = registration.waiting;
      letNewIn(location.pathname);
      registration.addEventListener('updatefound', () => {
        const next = registration.installing;
        next?.addEventListener('statechange', () => {
          if (next.state !== 'installed' || !navigator.serviceWorker.controller) return;
          waiting = next;
          letNewIn(location.pathname);
        });
      });
    })
    // A browser that forbids it says so in its own way; nothing is lost but opening without a network.
    .catch(() => undefined);
}

/** A new version waits until no run is under way. */
export function letNewIn(path: string): void {
  if (!waiting || isRun(path)) return;
  waiting.postMessage('take-over');
  waiting = null;
}

/** Leaves nothing of the account that was signed in. */
export function forgetHeld(): void {
  if ('serviceWorker' in navigator) navigator.serviceWorker.controller?.postMessage('forget');
}

/** Asks the browser not to clear what is kept when room gets scarce. */
export function askToPersist(): void {
  if ('storage' in navigator && 'persist' in navigator.storage) void navigator.storage.persist().catch(() => false);
}

let since: string | undefined;
const listeners = new Set<() => void>();

/** Said by every answer: undefined for one of the network, else since when it is on this device. */
export function noteHeld(when: string | undefined): void {
  if (when === since) return;
  since = when;
  listeners.forEach((tell) => tell());
}
export const heldSince = (): string | undefined => since;
export const onHeld = (tell: () => void): (() => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};
