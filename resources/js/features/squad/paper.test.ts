import { expect, test } from 'vitest';
import { cellName, marksOf, pasted, readCell, slipIn, spread } from './paper';

const line = { least: 0, most: 99, step: 1 };

test('a cell is a number, several tries, or void; what it cannot be is said', () => {
  expect(readCell('12', line).values.map(({ value }) => value)).toEqual([12]);
  expect(readCell(' 12  14;13 ', line).values.map(({ value }) => value)).toEqual([12, 14, 13]);
  expect(readCell('void ball left the box', line).values).toEqual([{ value: 0, isVoid: true, reason: 'ball left the box', parts: null }]);
  expect(readCell('', line)).toEqual({ values: [], fault: '' });
  expect(readCell('12 abc', line).fault).toBe('Digits only.');
  expect(readCell('120', line).fault).toBe('Between 0 and 99; void where that was not reached.');
});

test('a digit too many is asked about', () => {
  expect(slipIn(readCell('12 90', line), 13)).toBe(90);
  expect(slipIn(readCell('12 14', line), 13)).toBeUndefined();
  expect(slipIn(readCell('90', line), null)).toBeUndefined();
});

const grid = {
  players: [
    { id: 1, name: 'Amina' },
    { id: 2, name: 'Bo' },
    { id: 3, name: 'Dag' },
  ],
  lines: [{ key: 'left' }, { key: 'right' }],
};

test('a table from a spreadsheet is laid from the cell on, and what falls outside is counted', () => {
  expect(pasted('9\t10\r\n11\t12\r\n')).toEqual([
    ['9', '10'],
    ['11', '12'],
  ]);
  expect(spread(pasted('9\t10\n11\t12'), grid, { player: 1, line: 0 })).toEqual({
    cells: { [cellName(2, 'left')]: '9', [cellName(2, 'right')]: '10', [cellName(3, 'left')]: '11', [cellName(3, 'right')]: '12' },
    outside: 0,
  });
  expect(spread(pasted('9\t10\t8'), grid, { player: 2, line: 1 })).toEqual({ cells: { [cellName(3, 'right')]: '9' }, outside: 2 });
});

test('rows that begin with names go to those players, in whatever order', () => {
  expect(spread(pasted('dag\t7\nAmina\t5'), grid, { player: 1, line: 1 }).cells).toEqual({ [cellName(3, 'right')]: '7', [cellName(1, 'right')]: '5' });
});

test('each try is a mark after those that are there already', () => {
  const marks = marksOf(
    [{ playerId: 2, lineKey: 'left', cell: readCell('9 11', line) }],
    { sessionId: 7, tries: { 2: { left: 3 } }, recordedAt: '2026-03-05T12:00:00.000Z' },
    () => 'u',
  );
  expect(marks.map(({ sessionId, tryNumber, value }) => [sessionId, tryNumber, value])).toEqual([
    [7, 4, 9],
    [7, 5, 11],
  ]);
});
