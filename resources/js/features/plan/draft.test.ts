import { beforeEach, describe, expect, test } from 'vitest';
import type { PlanBlock, Session } from '../../shared/api/schemas';
import { changed, doseOfKind, doseWords, minutesBlock, moved, planOf, rememberUnkept, unkept } from './draft';

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
  test('a change touches one block only', () => {
    expect(changed(blocks, 'b', { minutes: 5 }).map((one) => one.minutes)).toEqual([2, 5, 2]);
  });
});

test('doses are said in a coach’s words', () => {
  expect(doseWords({ kind: 'timed', workSeconds: 30, sets: 2, restSeconds: 20, sides: 'each' })).toBe('2 × 30 s each foot, 20 s rest');
  expect(doseWords({ kind: 'quota', good: 8, restSeconds: 20, sides: 'weaker' })).toBe('8 good ones other foot, poor ones again');
  expect(['timed', 'reps', 'quota', 'race'].map((kind) => doseOfKind(kind, 'left').sides)).toEqual(['left', 'left', 'left', 'left']);
});

describe('what was typed and not kept', () => {
  const session: Session = {
    id: 7,
    squadId: 1,
    title: 'Turning',
    place: '',
    startsAt: '2026-03-12T18:00',
    slotMinutes: 60,
    version: 3,
    isRun: false,
    blocks: [],
    comingPlayerIds: [],
    players: [],
  };
  beforeEach(() => localStorage.clear());
  test('comes back as long as the plan is the same version', () => {
    const typed = { ...planOf(session), title: 'Turning, quick' };
    rememberUnkept(7, 3, typed);
    expect(unkept(session)).toEqual(typed);
    expect(unkept({ ...session, version: 4 })).toBeUndefined();
    rememberUnkept(7, 3, undefined);
    expect(unkept(session)).toBeUndefined();
  });
  test('a broken note is ignored', () => {
    localStorage.setItem('plan-7', '{');
    expect(unkept(session)).toBeUndefined();
  });
});
