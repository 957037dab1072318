// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { readinessOf, readinessWords } from './readiness';

const clockOf = (when: string) => when.slice(11, 16);
const good = { keeps: true, isNearlyFull: false, since: '2026-10-06T17:30:00.000Z' };

/** What the browser says of itself. */
function browser(room: StorageEstimate, heldSince?: string, isControlled = true): void {
  vi.stubGlobal('navigator', { storage: { estimate: () => Promise.resolve(room) }, serviceWorker: { controller: isControlled ? {} : null } });
  const answers: Record<string, Response> = heldSince ? { '/api/v1/sessions/7/run': new Response('', { headers: { 'X-Held-Since': heldSince } }) } : {};
  const caches = { match: (path: string) => Promise.resolve(answers[path]) };
  vi.stubGlobal('caches', caches);
  Object.assign(window, { caches });
}

describe('before a session', () => {
  afterEach(() => {
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
  });

  test('a device that is ready says since when', async () => {
    browser({ quota: 50_000_000, usage: 1_000_000 }, good.since);
    expect(await readinessOf(7)).toEqual(good);
    expect(readinessWords(good, clockOf)).toEqual({ words: 'On this device since 17:30: it opens without a network.', isWarning: false });
  });

  test('another session than the one that is here, or nothing that answers with it, is not here', async () => {
    browser({}, good.since);
    expect((await readinessOf(8)).since).toBeUndefined();
    browser({}, good.since, false);
    expect(await readinessOf(7)).toEqual({ ...good, since: undefined });
    expect(readinessWords({ ...good, since: undefined }, clockOf).words).toBe('Not on this device yet: it opens with a network only.');
  });

  test.each([
    [5_000_000, false],
    [4_999_999, true],
  ])('%i bytes of room', async (free, isNearlyFull) => {
    browser({ quota: 60_000_000, usage: 60_000_000 - free }, good.since);
    expect((await readinessOf(7)).isNearlyFull).toBe(isNearlyFull);
    expect(readinessWords({ ...good, isNearlyFull }, clockOf).isWarning).toBe(isNearlyFull);
  });

  test('a full store is said before all else', async () => {
    browser({ quota: 60_000_000, usage: 60_000_000 }, good.since);
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const ready = await readinessOf(7);
    expect(ready).toEqual({ keeps: false, isNearlyFull: true, since: good.since });
    expect(readinessWords(ready, clockOf).words).toMatch(/^This device keeps nothing/);
  });
});
