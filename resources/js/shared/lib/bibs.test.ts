import { expect, test } from 'vitest';
import { freeBibs } from './bibs';

test('guests wear the lowest bibs that are free', () => {
  expect(freeBibs([{ bib: 2 }, { bib: null }, { bib: 1 }], 3)).toEqual([3, 4, 5]);
  expect(freeBibs([], 0)).toEqual([]);
  expect(freeBibs([], -1)).toEqual([]);
  expect(
    freeBibs(
      Array.from({ length: 98 }, (_, i) => ({ bib: i + 1 })),
      5,
    ),
  ).toEqual([99]);
});
