import { describe, expect, test } from 'vitest';
import type { PlanBlock } from '../api/schemas';
import { doseOfKind, doseWords } from './doseWords';
import { changed, cured, daysLater, mends, minutesBlock, moved, movedTo, proposedPlan, sized, sizeOf, stretched, together, withCut } from './draft';

const block = (id: string): PlanBlock => ({ ...minutesBlock('water'), id });
const ids = (blocks: PlanBlock[]) => blocks.map((one) => one.id);

describe('moving blocks', () => {
  const blocks = ['a', 'b', 'c'].map(block);
  test('earlier and later swap neighbours', () => {
    expect(ids(moved(blocks, 'b', -1))).toEqual(['b', 'a', 'c']);
    expect(ids(moved(blocks, 'b', 1))).toEqual(['a', 'c', 'b']);
  });
  test('the ends and strangers stay where they are', () => {
    expect(moved(blocks, 'a', -1)).toBe(blocks);
    expect(moved(blocks, 'c', 1)).toBe(blocks);
    expect(moved(blocks, 'x', 1)).toBe(blocks);
  });
  test('pulled to any place', () => {
    expect(ids(movedTo(blocks, 'a', 2))).toEqual(['b', 'c', 'a']);
    expect(ids(movedTo(blocks, 'c', 0))).toEqual(['c', 'a', 'b']);
    expect(movedTo(blocks, 'b', 1)).toBe(blocks);
    expect(movedTo(blocks, 'x', 1)).toBe(blocks);
  });
  test('a change touches one block only', () => {
    expect(changed(blocks, 'b', { minutes: 5 }).map((one) => one.minutes)).toEqual([2, 5, 2]);
  });
});

test('doses are said in a coach’s words', () => {
  expect(doseWords({ kind: 'timed', workSeconds: 30, sets: 2, restSeconds: 20, sides: 'each' })).toBe('2 × 30 s each foot, 20 s rest');
  expect(doseWords({ kind: 'quota', good: 8, restSeconds: 20, sides: 'weaker' })).toBe('8 good ones other foot, poor ones again');
  expect(['timed', 'reps', 'quota', 'race'].map((kind) => doseOfKind(kind, 'left'))).toMatchObject([
    { sides: 'left' },
    { sides: 'left' },
    { sides: 'left' },
    { sides: 'left' },
  ]);
});

test('every school of dose is said as a coach would', () => {
  const pattern = { sets: 2, restSeconds: 20, sides: 'each' };
  expect(doseWords({ kind: 'lengths', lengths: 4, andBack: 1, ...pattern })).toBe('2 × 4 lengths there and back each foot, 20 s rest');
  expect(doseWords({ kind: 'collective', total: 100, onlyGood: 0, ...pattern })).toBe('100 in all each foot, a drop goes on');
  expect(doseWords({ kind: 'streak', goal: 50, ...pattern })).toBe('best run of 2 tries each foot, up to 50');
  expect(doseWords({ kind: 'tries', balls: 5, untilHit: 1, ...pattern })).toBe('2 × 5 balls at the target, ending with the first hit, each foot');
  expect(doseWords({ kind: 'tries', balls: 6, untilHit: 0, ...pattern })).toBe('2 × 6 balls at the target, ending with the last ball, each foot');
  expect(doseWords({ kind: 'free', minutes: 3, sides: 'both' })).toBe('3 min free, either foot');
  expect(doseWords({ kind: 'timed', workSeconds: 30, ...pattern, sides: 'weaker' }, 'weaker')).toBe('2 × 30 s weaker foot, 20 s rest');
});

test.each(['timed', 'reps', 'lengths', 'quota', 'collective', 'streak', 'race', 'tries', 'free'])(
  'choosing %s gives a dose of that school on the same feet',
  (kind) => {
    expect(doseOfKind(kind, 'left')).toMatchObject({ kind, sides: 'left' });
  },
);

describe('one press', () => {
  const blocks = ['a', 'b', 'c'].map(block);
  test('a cure changes the stations, takes the block out, or puts water before it', () => {
    expect(cured(blocks, 'b', { kind: 'stations', words: '', stations: 3, dose: null }).map((one) => one.stations)).toEqual([null, 3, null]);
    const dose = { kind: 'timed', workSeconds: 15, sets: 4, restSeconds: 10, sides: 'each' } as const;
    expect(cured(blocks, 'b', { kind: 'dose', words: '', stations: null, dose }).map((one) => one.dose)[1]).toEqual(dose);
    expect(ids(cured(blocks, 'b', { kind: 'take-out', words: '', stations: null, dose: null }))).toEqual(['a', 'c']);
    const watered = cured(blocks, 'b', { kind: 'water', words: '', stations: null, dose: null });
    expect([watered.length, watered[1]?.kind, watered[2]?.id]).toEqual([4, 'water', 'b']);
  });
  test('a cut shortens the dose or leaves the block out', () => {
    const dose = doseOfKind('timed', 'each');
    const cut = { blockId: 'b', kind: 'set' as const, words: '', freedSeconds: 30, touchesLost: 9 };
    expect(withCut(blocks, { ...cut, dose })[1]?.dose).toEqual(dose);
    expect(ids(withCut(blocks, { ...cut, kind: 'block', dose: null }))).toEqual(['a', 'c']);
  });
});

test('a week later is the same hour over months, years and the change of the clock', () => {
  expect(['2026-11-24T18:00', '2026-12-29T17:30', '2026-10-20T18:00', '2028-02-25T09:05'].map((at) => daysLater(at, 7))).toEqual([
    '2026-12-01T18:00',
    '2027-01-05T17:30',
    '2026-10-27T18:00',
    '2028-03-03T09:05',
  ]);
});

describe('stretching blocks', () => {
  const drill = (dose: PlanBlock['dose']): PlanBlock => ({ ...block('d'), kind: 'drill', minutes: null, dose });
  const timed = drill({ kind: 'timed', workSeconds: 30, sets: 3, restSeconds: 20, sides: 'each' });
  test('minutes go by halves, sets, rounds and good ones by one', () => {
    expect(sized(block('w'), 3.3).minutes).toBe(3.5);
    expect(sizeOf(sized(timed, 4.4))).toBe(4);
    expect(sizeOf(sized(drill({ kind: 'quota', good: 10, restSeconds: 15, sides: 'each' }), 12))).toBe(12);
    expect(sizeOf(sized(drill({ kind: 'circuit', rounds: 1, restSeconds: 0 }), 2))).toBe(2);
    expect(sizeOf(sized(drill({ kind: 'free', minutes: 3, sides: 'both' }), 4.2))).toBe(4);
    expect(stretched(block('w'), 1).minutes).toBe(2.5);
    expect(sizeOf(stretched(timed, -1))).toBe(2);
  });
  test('nothing grows beyond its kind or shrinks to nothing', () => {
    expect(sized(block('w'), 0).minutes).toBe(0.5);
    expect(sized(block('w'), 500).minutes).toBe(60);
    expect(sizeOf(sized(timed, -4))).toBe(1);
    expect(sizeOf(sized(timed, 99))).toBe(20);
  });
});

describe('blocks at the same time', () => {
  const blocks = ['a', 'b', 'c', 'd'].map(block);
  const rounds = (some: PlanBlock[]) => some.map((one) => one.together);
  test('a block joins the one before it, and a third joins both', () => {
    const two = together(blocks, 'b', true);
    expect(rounds(two)).toEqual(['round-a', 'round-a', null, null]);
    expect(rounds(together(two, 'c', true))).toEqual(['round-a', 'round-a', 'round-a', null]);
  });
  test('taken out of the middle, those after it are a round of their own', () => {
    const four = ['b', 'c', 'd'].reduce((some, id) => together(some, id, true), blocks);
    expect(rounds(together(four, 'b', false))).toEqual(['round-a', null, 'round-a-b', 'round-a-b']);
  });
  test('the first has nobody to join', () => expect(together(blocks, 'a', true)).toBe(blocks));
});

test('one more helper changes no block', () => {
  const blocks = [block('a')];
  expect(cured(blocks, 'a', { kind: 'helper', words: 'A helper is there', stations: null, dose: null })).toBe(blocks);
});

test('a proposal that is taken becomes a running order with names of its own', () => {
  const [one] = proposedPlan([
    {
      id: 'p0',
      kind: 'drill',
      title: 'Sole taps',
      minutes: null,
      drill: 'sole-taps',
      drillVersionId: 7,
      dose: null,
      tempo: 'match',
      stations: 3,
      counted: 'nothing',
      phase: 'technique',
      reasons: [],
    },
  ]);
  expect(one).toMatchObject({
    kind: 'drill',
    title: 'Sole taps',
    drillVersionId: 7,
    tempo: 'match',
    stations: 3,
    links: null,
    together: null,
    counted: 'nothing',
  });
  expect(one?.id).not.toBe('p0');
  expect(one).not.toHaveProperty('reasons');
});

test('what a second coach would say is mended by one press where one is enough', () => {
  const blocks = [block('a'), block('b'), minutesBlock('talk')];
  expect(mends(blocks, 'no-early-numbers', 'a')?.blocks.map((one) => one.counted)).toEqual(['nothing', null, null]);
  expect(mends(blocks, 'water', 'b')?.blocks.map((one) => one.kind)).toEqual(['water', 'water', 'water', 'talk']);
  expect(mends(blocks, 'recap', null)?.blocks.map((one) => one.kind)).toEqual(['water', 'water', 'talk', 'talk']);
  // Play comes before the talk, or last where there is none.
  expect(mends(blocks, 'ends-with-play', 'b')?.blocks.map((one) => one.kind)).toEqual(['water', 'water', 'game', 'talk']);
  expect(mends([block('a')], 'ends-with-play', 'a')?.blocks.map((one) => one.kind)).toEqual(['water', 'game']);
  expect(mends(blocks, 'nobody-waits', 'a')).toBeUndefined();
});
