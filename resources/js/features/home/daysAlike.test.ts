import { expect, test } from 'vitest';
import { daysAlike } from './daysAlike';

const day = (number: number, isOtherFoot = false) => ({ number, isOtherFoot });

test('days for both feet stand together, that of the other foot apart', () => {
  const groups = daysAlike([day(1), day(2, true), day(3)]);
  expect(groups.map(({ numbers, day: { isOtherFoot } }) => [numbers, isOtherFoot])).toEqual([
    [[1, 3], false],
    [[2], true],
  ]);
  expect(daysAlike([])).toEqual([]);
});
