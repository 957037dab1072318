import { expect, test } from 'vitest';
import type { RunPack } from '../../shared/api/schemas';
import { askingSegments, entryKey, rollCallFor, tryNumber } from './rollCalls';

/** Set-up, two sets with the right foot, one with the left, a talk. */
const segment = (id: string, lineKey?: string): RunPack['segments'][number] => ({
  id,
  blockId: 'b',
  kind: lineKey ? 'work' : 'talk',
  seconds: 30,
  endsByClock: Boolean(lineKey),
  side: null,
  item: null,
  set: null,
  turn: null,
  working: [1],
  leftTouches: 0,
  plainSeconds: null,
  rightTouches: 0,
  stations: [],
  seats: [],
  asks: lineKey ? [{ playerId: 1, lineKey }] : [],
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

test('tries are counted on their own line', () => {
  expect([1, 2, 3].map((at) => tryNumber(pack, at, 1, pack.segments[at]?.asks[0]?.lineKey ?? ''))).toEqual([1, 2, 1]);
});

test('an entry is named by session, segment and player', () => {
  expect(entryKey(pack, 2, 1)).toBe('5|s2|1');
});
