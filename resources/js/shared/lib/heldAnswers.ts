import type { SerwistPlugin } from 'serwist';

/**
 * What the service worker holds of one account, each answer with the time since when. Forgetting leaves nothing, not even of
 * what was asked for before and is answered, or put away, after.
 */
export class HeldAnswers {
  #forgotAtMs = 0;

  constructor(
    private readonly cacheName: string,
    private readonly caches: CacheStorage,
    private readonly nowMs = () => Date.now(),
  ) {}

  async forget(): Promise<void> {
    this.#forgotAtMs = this.nowMs();
    await this.caches.delete(this.cacheName);
  }

  get plugin(): SerwistPlugin {
    const isForgotten = (state: Record<string, unknown> | undefined) => Number(state?.askedAtMs ?? 0) <= this.#forgotAtMs;
    return {
      handlerWillStart: ({ state }) => {
        if (state) state.askedAtMs = this.nowMs();
        return Promise.resolve();
      },
      cacheWillUpdate: async ({ response, state }) => {
        if (!response.ok || isForgotten(state)) return null;
        const headers = new Headers(response.headers);
        headers.set('X-Held-Since', new Date(this.nowMs()).toISOString());
        return new Response(await response.clone().blob(), { status: response.status, statusText: response.statusText, headers });
      },
      // It may have been forgotten while it was put away, which opens the cache anew.
      cacheDidUpdate: async ({ request, state }) => {
        if (isForgotten(state)) await (await this.caches.open(this.cacheName)).delete(request);
      },
    };
  }
}
