import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { askEarly, dropEarly, takeEarly } from './early';

const fetched = vi.fn<(path: string) => Promise<Response>>();
beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('fetch', fetched);
  vi.stubGlobal('window', { setTimeout });
  fetched.mockImplementation((path) => Promise.resolve(new Response(JSON.stringify({ path }))));
});
afterEach(() => {
  dropEarly();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test('what was asked for early is given once, and can be read by both who asked', async () => {
  const read = await askEarly('/me');
  expect(await read?.json()).toEqual({ path: '/api/v1/me' });
  expect(takeEarly('/squads/1/today')).toBeUndefined();
  expect(await (await takeEarly('/me'))?.json()).toEqual({ path: '/api/v1/me' });
  expect(takeEarly('/me')).toBeUndefined();
});

test('it does not grow old, a write drops it, and what failed is asked for again', async () => {
  await askEarly('/me');
  vi.advanceTimersByTime(15_000);
  expect(takeEarly('/me')).toBeUndefined();
  await askEarly('/me');
  dropEarly();
  expect(takeEarly('/me')).toBeUndefined();
  fetched.mockRejectedValueOnce(new TypeError('away'));
  expect(await askEarly('/me')).toBeUndefined();
  expect(takeEarly('/me')).toBeUndefined();
});
