import { expect, test } from 'vitest';
import type { RunPack } from '../../shared/api/schemas';
import { askingSegments, beginsAt, entryKey, rollCallFor, takenBefore, tryNumber, type Ask } from './rollCalls';

const ask = (lineKey: string, set = 1, item: number | null = null): Ask => ({ playerId: 1, lineKey, item, blockId: 'b', side: lineKey, set });

/** Set-up, two sets with the right foot, one with the left, a talk. */
const segment = (id: string, lineKey?: string, set = 1): RunPack['segments'][number] => ({
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
  asks: lineKey ? [ask(lineKey, set)] : [],
});
const pack = {
  session: { id: 5 },
  segments: [segment('s0'), segment('s1', 'right'), segment('s2', 'right', 2), segment('s3', 'left'), segment('s4')],
  taken: [],
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
  expect([ask('right'), ask('right', 2), ask('left')].map((one) => tryNumber(pack, one))).toEqual([1, 2, 1]);
});

test('an entry is named by what is owed, wherever it is asked for', () => {
  expect(entryKey(pack, ask('right', 2))).toBe('5|b||right|2|1');
});

test('items of a circuit asked for at once are entries and tries of their own', () => {
  const asks = [0, 2, 3].map((item) => ask(item === 2 ? 'other' : 'right', 1, item));
  const circuit = { ...pack, segments: [segment('s0', 'right'), { ...segment('s1', 'both'), asks }] };
  expect(new Set(asks.map((one) => entryKey(circuit, one))).size).toBe(3);
  // One before it and then the first and the last item are of the same line.
  expect(asks.map((one) => tryNumber(circuit, one))).toEqual([2, 1, 3]);
});

test('what the server had of the session stands as had', () => {
  const mark = { uuid: 'u', playerId: 1, lineKey: 'right', tryNumber: 2, value: 21, isVoid: false, reason: '', parts: null };
  expect(takenBefore({ ...pack, taken: [mark, { ...mark, tryNumber: 9 }] })).toEqual({
    '5|b||right|2|1': {
      key: '5|b||right|2|1',
      sessionId: 5,
      uuid: 'u',
      value: 21,
      isVoid: false,
      reason: '',
      parts: null,
      refusal: '',
      isHad: true,
    },
  });
});

test('a number of an item is not written during the item before', () => {
  const item = (id: string, at: number | null) => ({ ...segment(id, 'right'), item: at === null ? null : `Item ${at}`, asks: [] });
  const circuit = { ...pack, segments: [item('a', 1), { ...segment('b', 'right'), item: 'Item 2' }] };
  expect(beginsAt(circuit, 1)).toBe(1);
});
