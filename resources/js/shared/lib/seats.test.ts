import { expect, test } from 'vitest';
import type { Player, Segment } from '../api/schemas';
import { momentWords, spellAt, spellsOf, stepsOf, type Seat } from './seats';

const players = ['Amina', 'Bo', 'Ines', 'Rafi'].map((name, i) => ({ id: i + 1, name }) as Player);
const seat = (playerId: number, role: string, change: Partial<Seat> = {}): Seat => ({ playerId, role, slot: 0, ball: 0, wait: 0, isExtra: false, ...change });
const segment = (seconds: number) => ({ seconds }) as Segment;

test('a moment belongs to the stretch that goes on', () => {
  const spells = spellsOf([segment(20), segment(0), segment(30), segment(10)]);
  expect(spells.map(({ from, to }) => [from, to])).toEqual([
    [0, 20],
    [20, 20],
    [20, 50],
    [50, 60],
  ]);
  expect([0, 19.9, 20, 59, 90].map((at) => spells.findIndex((one) => one === spellAt(spells, at)))).toEqual([0, 0, 2, 3, 3]);
});

test('a moment in words: who works, who rests, and whose rest has run out', () => {
  expect(momentWords([seat(1, 'works'), seat(2, 'rests'), seat(3, 'works'), seat(4, 'rests', { wait: 0.9 })], players)).toBe(
    'Amina and Ines work; Bo rests; Rafi waits.',
  );
  expect(momentWords([seat(1, 'works', { isExtra: true }), seat(2, 'waits')], players)).toBe('Amina goes on, not owed; Bo waits.');
  expect(
    momentWords(
      players.map(({ id }) => seat(id, 'works', { wait: 0.9 })),
      players,
    ),
  ).toBe('Everybody works in turns.');
  expect(momentWords([], players)).toBe('');
});

test('touches and waiting are drawn as often as their shares', () => {
  const steps = stepsOf(seat(1, 'works', { ball: 0.25, wait: 0.5 }), 40);
  expect(['R', 'L', 'wait', 'rest'].map((what) => steps.filter((one) => one === what).length)).toEqual([5, 5, 20, 10]);
  expect(new Set(stepsOf(seat(1, 'works', { ball: 1 }), 7, 'L'))).toEqual(new Set(['L']));
  expect(new Set(stepsOf(seat(1, 'waits', { wait: 1 }), 7))).toEqual(new Set(['wait']));
});
