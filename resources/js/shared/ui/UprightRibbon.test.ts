import { expect, test } from 'vitest';
import { labelPlaces } from './UprightRibbon';

test('labels stand at their moment, or under the one before, and never cross', () => {
  expect(labelPlaces([0, 10, 100, 101, 102, 400])).toEqual([0, 25, 100, 125, 150, 400]);
  expect(labelPlaces([])).toEqual([]);
});
