import { describe, expect, test } from 'vitest';
import type { RunPack } from '../../shared/api/schemas';
import { answered, answers, called, calledAgain, callsMade, callWords, dueAt, newSet, noCalls } from './calling';

const calls = [3, 9, 16, 21].map((atSeconds, i) => ({
  atSeconds,
  ballSeconds: atSeconds + 1,
  places: [['red', 'blue', 'white', 'red'][i] ?? ''],
  number: null,
  asks: '',
  command: null,
}));
const players = [{ name: 'Amina' }, { name: 'Bo' }] as RunPack['players'];

describe('calling', () => {
  test('calls come as they were drawn, and a new set goes on in the sequence', () => {
    expect(dueAt(calls, noCalls, 1)).toBe(3);
    const second = called(noCalls);
    expect(dueAt(calls, second, 1)).toBe(9);
    const set = newSet(called(second));
    expect([dueAt(calls, set, 1), dueAt(calls, called(set), 1)]).toEqual([3, 8]);
    expect(dueAt(calls, called(called(set)), 1)).toBeUndefined();
  });

  test('quicker and slower stretch what lies between them', () => {
    expect([0.8, 1, 1.25].map((pace) => dueAt(calls, called(noCalls), pace as 1))).toEqual([3 + 6 * 0.8, 9, 3 + 6 * 1.25]);
  });

  test('again is a call of its own; a mark may be taken back', () => {
    const log = answered(calledAgain(answered(called(noCalls), 'hit')), 'slow');
    expect(answers(log)).toBe('2 called, 1 hit, 1 slow');
    expect(answers(answered(log, 'slow'))).toBe('2 called, 1 hit, 0 slow');
    expect([dueAt(calls, log, 1), calledAgain(noCalls)]).toEqual([9, noCalls]);
  });

  test('a name is that of somebody who is there', () => {
    const call = (places: string[]) => ({ atSeconds: 0, ballSeconds: 0, places, number: null, asks: '', command: null });
    expect(callWords(call(['3']), 'name', players)).toBe('Amina');
    expect(callWords(call(['red', 'blue']), 'colour', players)).toBe('red, then blue');
    expect(callWords({ ...call(['red']), command: 'first time' }, 'colour', players)).toBe('red: first time');
    expect(callWords({ ...call(['the next movement']), command: 'Skip' }, 'movement', players)).toBe('Skip');
  });

  test('all that was called is told by its place in the sequence', () => {
    const log = calledAgain(answered(called(noCalls), 'hit'));
    expect(callsMade({ a: log, b: called(noCalls) })).toEqual([
      { blockId: 'a', place: 0, answer: 'hit' },
      { blockId: 'a', place: 0, answer: null },
      { blockId: 'b', place: 0, answer: null },
    ]);
  });
});
