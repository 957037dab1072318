/// <reference lib="webworker" />
import { NetworkFirst, Serwist, type PrecacheEntry, type SerwistGlobalConfig } from 'serwist';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

const SHELL = 'at-home';

/** Of a player's page only the page itself is kept here; the week is in the page's own notes, and goes with its link. */
const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST ?? [],
  // Nothing runs here that a new version could break: the timer's presses are kept.
  skipWaiting: true,
  clientsClaim: true,
  precacheOptions: { cleanupOutdatedCaches: true },
  runtimeCaching: [
    {
      matcher: ({ request }) => request.mode === 'navigate',
      handler: new NetworkFirst({ cacheName: SHELL, networkTimeoutSeconds: 3, plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/at-home/') }] }),
    },
  ],
});

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(SHELL).then((cache) => cache.add('/at-home/')));
});
serwist.addEventListeners();
