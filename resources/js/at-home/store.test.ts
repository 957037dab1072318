// @vitest-environment jsdom
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { AtHome } from '../shared/api/homeSchemas';
import type { Entry } from './store';

const entry = (uuid: string, more: Partial<Entry> = {}): Entry => ({
  uuid,
  code: 'AAAA',
  drill: 'sole-taps',
  name: 'Sole taps',
  on: '2026-03-10',
  felt: null,
  numbers: [],
  isSent: false,
  refusal: '',
  ...more,
});
const page = { name: 'Yui', today: '2026-03-10' } as AtHome;

/** As after the page was loaded anew: what is in memory is gone. */
const loaded = async () => {
  vi.resetModules();
  return import('./store');
};

beforeEach(() => localStorage.clear());

describe('what a phone at home keeps', () => {
  test('another code takes the place of the week before, and lets no number go that was not sent', async () => {
    const store = await loaded();
    store.keepCode('AAAA');
    store.keepPage(page);
    store.keepEntry(entry('1'));
    store.keepDraft({ of: '2026-03-10 sole-taps', texts: { key: '4' } });
    store.keepCode('AAAA');
    expect([store.keptDraft('2026-03-10 sole-taps'), store.keptDraft('2026-03-11 sole-taps')]).toEqual([{ key: '4' }, {}]);
    expect(store.keptPage()).toEqual({ isOwn: true, page });
    store.keepCode('BBBB');
    expect(store.keptPage()).toBeUndefined();
    expect(store.keptDraft('2026-03-10 sole-taps')).toEqual({});
    expect(JSON.stringify(localStorage)).not.toContain('Yui');
    const again = await loaded();
    expect(again.keptCode()).toBe('BBBB');
    expect(again.entries().map(({ uuid, code }) => [uuid, code])).toEqual([['1', 'AAAA']]);
  });

  test('entries of two tabs stand side by side, in the order of their days', async () => {
    const [one, two] = [await loaded(), await loaded()];
    one.keepEntry(entry('b', { on: '2026-03-09' }));
    two.keepEntry(entry('a'));
    const after = await loaded();
    expect(after.entries().map(({ uuid }) => uuid)).toEqual(['b', 'a']);
    after.dropEntry('b');
    expect((await loaded()).entries()).toHaveLength(1);
  });

  test('sent ones are let go after ten days, others never', async () => {
    const store = await loaded();
    store.keepEntry(entry('old', { on: '2026-02-27', isSent: true }));
    store.keepEntry(entry('ten', { on: '2026-02-28', isSent: true }));
    store.keepEntry(entry('unsent', { on: '2026-01-01' }));
    store.tidy('2026-03-10');
    expect(store.entries().map(({ uuid }) => uuid)).toEqual(['unsent', 'ten']);
  });

  test('a browser that keeps nothing still shows what was written while the page is open', async () => {
    const store = await loaded();
    const full = vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    store.keepEntry(entry('1'));
    full.mockRestore();
    expect(store.entries()).toHaveLength(1);
    expect(localStorage).toHaveLength(0);
  });

  test('what stands there and cannot be read is passed over', async () => {
    localStorage.setItem('home-entry x', '{');
    localStorage.setItem('home-page', 'null');
    const store = await loaded();
    expect(store.entries()).toEqual([]);
    expect(store.keptPage()).toBeUndefined();
  });

  test.each([
    ['k3f9-2m7q-xw4t-8r6c', 'K3F92M7QXW4T8R6C'],
    [' K3F9 2M7Q ', 'K3F92M7Q'],
    ['', ''],
  ])('a code is read as it may be typed: %s', async (typed, plain) => {
    expect((await loaded()).plainCode(typed)).toBe(plain);
  });
});
