import { describe, expect, test } from 'vitest';
import type { BlockEvaluation, Player } from '../api/schemas';
import { dutyWords, groupWords, listed } from './groups';

const player = (id: number, name: string): Player => ({ id, name, bib: null, birthYear: null, strongFoot: 'R' });
const players = [player(1, 'Amina'), player(2, 'Bo'), player(3, 'Dag'), player(4, 'Kofi')];
const block = (change: Partial<BlockEvaluation>): BlockEvaluation => ({ groups: [], duties: [], ...change }) as unknown as BlockEvaluation;

test('names are listed as they are said', () => {
  expect(listed([])).toBe('');
  expect(listed(['Amina'])).toBe('Amina');
  expect(listed(['Amina', 'Bo'])).toBe('Amina and Bo');
  expect(listed(['Amina', 'Bo', 'Dag'])).toBe('Amina, Bo and Dag');
});

describe('who is together', () => {
  test('pairs, threes, with a helper, served and alone', () => {
    const group = (workers: number[], servers: number[] = [], isHelped = false) => ({ workers, servers, isHelped });
    expect(groupWords(block({ groups: [group([1, 2, 3]), group([1], [4]), group([2], [], true), group([3])] }), players)).toEqual([
      'Amina, Bo and Dag',
      'Amina, served by Kofi',
      'Bo with a helper',
      'Dag alone',
    ]);
  });
  test('goal and counting are said, serving is not said twice', () => {
    const duties: BlockEvaluation['duties'] = [
      { playerId: 1, kind: 'keeper' },
      { playerId: 2, kind: 'keeper' },
      { playerId: 3, kind: 'server' },
      { playerId: 4, kind: 'counts' },
    ];
    expect(dutyWords(block({ duties }), players)).toEqual(['In goal: Amina and Bo.', 'To count and fetch: Kofi.']);
    expect(dutyWords(block({}), players)).toEqual([]);
  });
});
