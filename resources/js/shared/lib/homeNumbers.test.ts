import { describe, expect, test } from 'vitest';
import { readNumber } from './homeNumbers';

const inARow = { kind: 'longest-run', least: 0, most: 9999, step: 1 };
const inAll = { kind: 'running-total', least: 0, most: 500, step: 1 };
const inTime = { kind: 'count-in-time', least: 0, most: 999, step: 1 };
const time = { kind: 'time-for-work', least: 0.1, most: 3600, step: 0.1 };

describe('what a child writes down', () => {
  test.each([
    ['', inTime, null],
    ['23', inTime, { value: 23, parts: null }],
    ['12,5', time, { value: 12.5, parts: null }],
    // After a drop the count goes on; the longest is kept apart from all of it.
    ['12 30 7', inARow, { value: 30, parts: { kind: 'total', numbers: [49] } }],
    ['12, 30', inARow, { value: 30, parts: { kind: 'total', numbers: [42] } }],
    ['200 200 99', inAll, { value: 499, parts: null }],
    ['30', inARow, { value: 30, parts: null }],
  ])('%s', (text, line, expected) => expect(readNumber(text, line)).toEqual(expected));

  test.each([
    ['many', inTime, 'Digits only.'],
    ['2.5', inTime, 'A whole number.'],
    ['1000', inTime, 'Between 0 and 999.'],
    ['void', inTime, 'Digits only.'],
    ['12 x', inARow, 'Whole numbers, one after the other.'],
    ['200 200 101', inAll, 'Between 0 and 500.'],
  ])('%s is said to be none', (text, line, fault) => expect(readNumber(text, line)).toEqual({ fault }));
});
