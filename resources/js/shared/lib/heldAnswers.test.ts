import { describe, expect, it } from 'vitest';
import { HeldAnswers } from './heldAnswers';

const request = new Request('https://pitch.example/api/v1/me');

/** A cache storage as far as it is asked for here: one cache, which opening makes anew. */
function storage() {
  const held = new Map<string, Response>();
  const cache = {
    put: (one: Request, answer: Response) => Promise.resolve(held.set(one.url, answer)),
    delete: (one: Request) => Promise.resolve(held.delete(one.url)),
  };
  const caches = {
    open: () => Promise.resolve(cache),
    delete: () => {
      held.clear();
      return Promise.resolve(true);
    },
  } as unknown as CacheStorage;
  return { held, caches, cache };
}

/** As the service worker goes about an answer: asked, looked at, put away, said so; something may happen in between. */
async function answered(
  answers: HeldAnswers,
  cache: ReturnType<typeof storage>['cache'],
  between: Partial<Record<'asked' | 'looked' | 'put', () => unknown>> = {},
) {
  const state: Record<string, unknown> = {};
  const common = { request, event: {} as ExtendableEvent, state };
  await answers.plugin.handlerWillStart?.(common);
  await between.asked?.();
  const kept = (await answers.plugin.cacheWillUpdate?.({ ...common, response: new Response('{}', { status: 200 }) })) as Response | null | undefined;
  await between.looked?.();
  if (!kept) return;
  await cache.put(request, kept);
  await between.put?.();
  await answers.plugin.cacheDidUpdate?.({ ...common, cacheName: 'held', newResponse: kept });
}

describe('what is held of an account', () => {
  it('is dated', async () => {
    const { held, caches, cache } = storage();
    await answered(new HeldAnswers('held', caches, () => Date.UTC(2026, 9, 6, 17, 30)), cache);
    expect(held.get(request.url)?.headers.get('X-Held-Since')).toBe('2026-10-06T17:30:00.000Z');
  });

  it.each(['asked', 'looked', 'put'] as const)('is forgotten while an answer is %s', async (when) => {
    const { held, caches, cache } = storage();
    const answers = new HeldAnswers('held', caches);
    await answered(answers, cache, { [when]: () => answers.forget() });
    expect(held.size).toBe(0);
  });

  it('is held again for whoever comes after', async () => {
    const { held, caches, cache } = storage();
    let now = 1000;
    const answers = new HeldAnswers('held', caches, () => now);
    await answers.forget();
    now++;
    await answered(answers, cache);
    expect(held.size).toBe(1);
  });

  it('never holds a refusal', async () => {
    const { caches } = storage();
    const refused = new Response('', { status: 401 });
    const state = { askedAtMs: Date.now() };
    expect(await new HeldAnswers('held', caches).plugin.cacheWillUpdate?.({ request, event: {} as ExtendableEvent, response: refused, state })).toBeNull();
  });
});
