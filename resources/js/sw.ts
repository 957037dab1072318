/// <reference lib="webworker" />
import { CacheFirst, NetworkFirst, Serwist, type PrecacheEntry, type SerwistGlobalConfig } from 'serwist';
import { HeldAnswers } from './shared/lib/heldAnswers';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

const HELD = 'held';

/** What a coach needs at a pitch without signal: who is signed in, today, the sessions with their packs, the book and its words. */
const held = [
  /^\/api\/v1\/me$/,
  /^\/api\/v1\/moves$/,
  /^\/api\/v1\/squads\/\d+\/(today|drills|drill-search|search-index|ladders)$/,
  /^\/api\/v1\/squads\/\d+$/,
  /^\/api\/v1\/sessions\/\d+(\/run)?$/,
];

const manifest = self.__SW_MANIFEST ?? [];
/** The pages of this version: with its scripts, which are held too, they open at once. Another version has pages of its own. */
const SHELLS = 'shell';
const SHELL = [
  SHELLS,
  ...manifest.map((one) => (typeof one === 'string' ? one : one.url)).filter((url) => /\/(main|run|early)-[^/]+\.(js|css)$/.test(url)),
].join(' ');
/** There are two, whatever the address: the run, and the frame of all other views. */
const pages = { run: '/run/0', frame: '/today' };
const pageOf = (path: string): string => (/^\/run\/\d/.test(path) ? pages.run : pages.frame);

const account = new HeldAnswers(HELD, caches);

const serwist = new Serwist({
  precacheEntries: manifest,
  // A new version waits until the page says that no run is under way.
  skipWaiting: false,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, url }) => request.mode === 'navigate' && !/^\/(api\/|up$|at-home|invitation\/|reset\/)/.test(url.pathname),
      handler: new CacheFirst({
        cacheName: SHELL,
        plugins: [{ cacheKeyWillBeUsed: ({ request }) => Promise.resolve(pageOf(new URL(request.url).pathname)) }],
      }),
    },
    {
      matcher: ({ request, url }) => request.method === 'GET' && url.search === '' && held.some((path) => path.test(url.pathname)),
      handler: new NetworkFirst({ cacheName: HELD, networkTimeoutSeconds: 4, plugins: [account.plugin] }),
    },
  ],
});

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(SHELL).then((cache) => cache.addAll(Object.values(pages))));
});
self.addEventListener('activate', (event) => {
  const isPast = (name: string) => name.startsWith(SHELLS) && name !== SHELL;
  event.waitUntil(caches.keys().then((names) => Promise.all(names.filter(isPast).map((name) => caches.delete(name)))));
});
self.addEventListener('message', (event) => {
  if (event.data === 'take-over') void self.skipWaiting();
  // A page that was asked for while the worker took over belongs to none, until it is claimed.
  if (event.data === 'claim') event.waitUntil(self.clients.claim());
  // Whoever signs out or in leaves nothing of the account before.
  if (event.data === 'forget') event.waitUntil(account.forget());
});
serwist.addEventListeners();
