import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { askEarly, dropEarly, takeEarly } from './early';

const fetched = vi.fn<(path: string, how: RequestInit) => Promise<Response>>();
beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('fetch', fetched);
  vi.stubGlobal('window', { setTimeout });
  vi.stubGlobal('document', { cookie: 'a=b; XSRF-TOKEN=s%3Dt' });
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
  expect(takeEarly('GET', '/squads/1/today')).toBeUndefined();
  expect(await (await takeEarly('GET', '/me'))?.json()).toEqual({ path: '/api/v1/me' });
  expect(takeEarly('GET', '/me')).toBeUndefined();
});

test('what is to be worked out is given to whoever sends the very same, and to nobody else', async () => {
  await askEarly('/squads/1/preview', { slotMinutes: 60 });
  expect(fetched.mock.lastCall?.[1]).toMatchObject({ method: 'POST', body: '{"slotMinutes":60}', headers: { 'X-XSRF-TOKEN': 's=t' } });
  expect(takeEarly('POST', '/squads/1/preview', '{"slotMinutes":75}')).toBeUndefined();
  expect(takeEarly('DELETE', '/squads/1/preview', '{"slotMinutes":60}')).toBeUndefined();
  expect(await (await takeEarly('POST', '/squads/1/preview', '{"slotMinutes":60}'))?.json()).toEqual({ path: '/api/v1/squads/1/preview' });
  expect(takeEarly('POST', '/squads/1/preview', '{"slotMinutes":60}')).toBeUndefined();
});

test('it does not grow old, a write drops it, and what failed is asked for again', async () => {
  await askEarly('/me');
  vi.advanceTimersByTime(15_000);
  expect(takeEarly('GET', '/me')).toBeUndefined();
  await askEarly('/me');
  dropEarly();
  expect(takeEarly('GET', '/me')).toBeUndefined();
  fetched.mockRejectedValueOnce(new TypeError('away'));
  expect(await askEarly('/me')).toBeUndefined();
  expect(takeEarly('GET', '/me')).toBeUndefined();
});
