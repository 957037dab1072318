import { expect, test } from 'vitest';
import type { HomeDay } from '../shared/api/homeSchemas';
import { stretches } from './stretches';

const segment = (kind: HomeDay['segments'][number]['kind'], seconds: number, endsByClock: boolean): HomeDay['segments'][number] => ({
  id: `${kind} ${seconds}`,
  blockId: 'taps',
  kind,
  seconds,
  endsByClock,
  side: null,
  set: null,
  item: null,
});
const day: HomeDay = {
  number: 1,
  isOtherFoot: false,
  minutes: 3,
  items: [],
  segments: [segment('explain', 0, false), segment('work', 30, true), segment('explain', 30, false), segment('work', 20, false), segment('water', 60, true)],
};

test('the first thing is read before the start; pauses end by themselves where that is wished, work only by the clock', () => {
  const ends = (goesOn: boolean) => stretches(day, goesOn).map(({ kind, endsByClock }) => [kind, endsByClock]);
  expect(ends(true)).toEqual([
    ['work', true],
    ['explain', true],
    ['work', false],
    ['water', true],
  ]);
  expect(ends(false)[1]).toEqual(['explain', false]);
});
