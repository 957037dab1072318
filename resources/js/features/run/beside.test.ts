import { describe, expect, test } from 'vitest';
import { besideLines, noted, suggestions, type Beside } from './beside';

const none: Beside = { reminders: {}, watchedIds: [] };
const players = [
  { id: 1, name: 'Amina' },
  { id: 2, name: 'Bo' },
];

describe('beside a name', () => {
  test('what is said again counts, what is mended begins anew', () => {
    let beside = noted(none, { playerId: 1, kind: 'said', words: ' Far foot ' });
    expect(beside.reminders[1]).toEqual({ words: 'Far foot', times: 1, isFixed: false });
    beside = noted(beside, { playerId: 1, kind: 'again', words: 'far foot' });
    expect(beside.reminders[1]?.times).toBe(2);
    beside = noted(beside, { playerId: 1, kind: 'fixed', words: 'far foot' });
    expect(beside.reminders[1]).toEqual({ words: 'far foot', times: 2, isFixed: true });
    expect(noted(beside, { playerId: 1, kind: 'again', words: 'far foot' }).reminders[1]).toEqual({ words: 'far foot', times: 1, isFixed: false });
  });

  test('something else takes its place', () => {
    const beside = noted(noted(none, { playerId: 1, kind: 'said', words: 'bend' }), { playerId: 1, kind: 'said', words: 'look up' });
    expect(beside.reminders[1]).toEqual({ words: 'look up', times: 1, isFixed: false });
  });

  test('those who are there are told, mended ones are not, the watched last', () => {
    let beside = noted(none, { playerId: 2, kind: 'said', words: 'bend' });
    beside = noted(beside, { playerId: 1, kind: 'watch' });
    beside = noted(noted(beside, { playerId: 1, kind: 'said', words: 'look' }), { playerId: 1, kind: 'fixed', words: 'look' });
    beside = noted(beside, { playerId: 9, kind: 'said', words: 'not here' });
    expect(besideLines(beside, players)).toEqual(['Bo: bend', 'watch Amina']);
    expect(besideLines(noted(beside, { playerId: 1, kind: 'seen' }), players)).toEqual(['Bo: bend']);
  });

  test('short fixes of the drill may be said with a press', () => {
    const long = 'x'.repeat(61);
    const drill = {
      faults: [
        { fault: 'f', fix: 'Bend the knees.' },
        { fault: 'g', fix: long },
      ],
      points: ['Bend the knees', 'Look up.'],
    };
    expect(suggestions(drill as never)).toEqual(['Bend the knees', 'Look up']);
    expect(suggestions(undefined)).toEqual([]);
  });
});
