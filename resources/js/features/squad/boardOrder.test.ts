import { expect, test } from 'vitest';
import type { SquadBoard } from '../../shared/api/schemas';
import { grouped, inOrder, ranked } from './boardOrder';

const player = (id: number, name: string, bib: number | null, came: number) => ({ id, name, bib, strongFoot: 'R' as const, birthYear: null, came, of: 10 });
const line = (key: string, name: string, side: 'R' | 'L', better: 'higher' | 'lower' = 'higher') =>
  ({ key, drillName: name, window: 'in 30 s', unit: 'reps', side, better }) as SquadBoard['lines'][number];
const cell = (best: number) => ({ best }) as SquadBoard['cells'][string][string];
const board = {
  players: [player(1, 'Noor', 6, 9), player(2, 'Amina', null, 9), player(3, 'Bo', 4, 2)],
  cells: { 1: { taps: cell(30) }, 3: { taps: cell(41) } },
} as unknown as SquadBoard;
const names = (players: SquadBoard['players']) => players.map(({ name }) => name);

test('players stand by name, by bib with those without one last, or by who came least', () => {
  expect(names(inOrder(board, 'name'))).toEqual(['Amina', 'Bo', 'Noor']);
  expect(names(inOrder(board, 'bib'))).toEqual(['Bo', 'Noor', 'Amina']);
  expect(names(inOrder(board, 'came'))).toEqual(['Bo', 'Amina', 'Noor']);
});

test('whoever asks for a ranking gets the best first, and those without a number last', () => {
  expect(names(ranked(board, line('taps', 'Sole taps', 'R')))).toEqual(['Bo', 'Noor', 'Amina']);
  expect(names(ranked(board, line('taps', 'Sole taps', 'R', 'lower')))).toEqual(['Noor', 'Bo', 'Amina']);
});

test('feet of one task stand together, other tasks apart', () => {
  const groups = grouped([line('a', 'Gate to gate', 'L'), line('b', 'Gate to gate', 'R'), line('c', 'Zigzag', 'R')]);
  expect(groups.map(({ name, lines }) => [name, lines.map(({ key }) => key)])).toEqual([
    ['Gate to gate', ['a', 'b']],
    ['Zigzag', ['c']],
  ]);
});
