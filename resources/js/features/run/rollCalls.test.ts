import { expect, test } from 'vitest';
import type { RunPack } from '../../shared/api/schemas';
import { askingSegments, beginsAt, entryKey, rollCallFor, tryNumber } from './rollCalls';

/** Set-up, two sets with the right foot, one with the left, a talk. */
const segment = (id: string, lineKey?: string): RunPack['segments'][number] => ({
  id,
  blockId: 'b',
  kind: lineKey ? 'work' : 'talk',
  seconds: 30,
  endsByClock: Boolean(lineKey),
  side: lineKey ?? null,
  item: null,
  set: null,
  turn: null,
  working: [1],
  leftTouches: 0,
  plainSeconds: null,
  rightTouches: 0,
  stations: [],
  seats: [],
  asks: lineKey ? [{ playerId: 1, lineKey, item: null }] : [],
});
const pack = {
  session: { id: 5 },
  segments: [segment('s0'), segment('s1', 'right'), segment('s2', 'right'), segment('s3', 'left'), segment('s4')],
} as unknown as RunPack;

test('numbers are asked for in the sets that count', () => {
  expect(askingSegments(pack)).toEqual([1, 2, 3]);
  expect([0, 1, 2, 3, 4].map((index) => rollCallFor(pack, index))).toEqual([1, 1, 2, 3, 3]);
  expect(rollCallFor({ ...pack, segments: [segment('s0')] }, 0)).toBeUndefined();
});

test('the best of the sets may be written from the first of them on', () => {
  const sets = { ...pack, segments: [segment('s0'), { ...segment('s1', 'right'), asks: [] }, segment('s2', 'right'), segment('s3', 'left')] };
  expect(beginsAt(sets, 2)).toBe(1);
  expect([0, 1, 2, 3].map((index) => rollCallFor(sets, index))).toEqual([2, 2, 2, 3]);
  // A set of its own that asked begins by itself, and so does one that somebody else worked.
  expect([1, 2].map((at) => beginsAt(pack, at))).toEqual([1, 2]);
  const other = { ...sets, segments: sets.segments.map((one, i) => (i === 1 ? { ...one, working: [2] } : one)) };
  expect(beginsAt(other, 2)).toBe(2);
});

test('tries are counted on their own line', () => {
  expect([1, 2, 3].map((at) => tryNumber(pack, at, { playerId: 1, lineKey: pack.segments[at]?.asks[0]?.lineKey ?? '', item: null }))).toEqual([1, 2, 1]);
});

test('an entry is named by session, segment and player', () => {
  expect(entryKey(pack, 2, { playerId: 1, lineKey: 'right', item: null })).toBe('5|s2|1');
});

test('items of a circuit asked for at once are entries and tries of their own', () => {
  const asks = [0, 2, 3].map((item) => ({ playerId: 1, lineKey: item === 2 ? 'other' : 'right', item }));
  const circuit = { ...pack, segments: [segment('s0', 'right'), { ...segment('s1', 'both'), asks }] };
  expect(asks.map((ask) => entryKey(circuit, 1, ask))).toEqual(['5|s1|1|0', '5|s1|1|2', '5|s1|1|3']);
  // One before it and then the first and the last item are of the same line.
  expect(asks.map((ask) => tryNumber(circuit, 1, ask))).toEqual([2, 1, 3]);
});

test('a number of an item is not written during the item before', () => {
  const item = (id: string, at: number | null) => ({ ...segment(id, 'right'), item: at === null ? null : `Item ${at}`, asks: [] });
  const circuit = { ...pack, segments: [item('a', 1), { ...segment('b', 'right'), item: 'Item 2' }] };
  expect(beginsAt(circuit, 1)).toBe(1);
});
