import { describe, expect, test } from 'vitest';
import bestCases from '../../../core/tests/golden/best-check.json';
import clockCases from '../../../core/tests/golden/segment-clock.json';
import seatingCases from '../../../core/tests/golden/seating.json';
import slipCases from '../../../core/tests/golden/slip.json';
import { bestCheck } from './bestCheck';
import { seating } from './seating';
import { isLikelySlip } from './slip';
import { clockAt, spentMs, stoppedMs, type Press } from './segmentClock';

describe('the run kernel agrees with the core', () => {
  test.each(clockCases.cases)('clock: $name', ({ presses, nowMs, expected }) => {
    expect(clockAt(clockCases.segments, presses as Press[], nowMs)).toEqual(expected);
  });
  test.each(clockCases.spent)('spent: $name', ({ presses, nowMs, expected }) => {
    expect(spentMs(clockCases.segments, presses as Press[], nowMs)).toEqual(expected);
  });
  test.each(clockCases.stopped)('stopped: $name', ({ presses, nowMs, expected }) => {
    expect(stoppedMs(clockCases.segments, presses as Press[], nowMs)).toEqual(expected);
  });
  test.each(seatingCases.cases)('seating: $name', ({ before, places, present, expected }) => {
    expect(seating(before, places, present)).toEqual(expected);
  });
  test.each(bestCases.cases)('best: $name', ({ better, best, value, expected }) => {
    expect(bestCheck(better as 'higher' | 'lower', best, value)).toBe(expected);
  });
  test.each(slipCases.cases)('slip: $name', ({ best, value, expected }) => {
    expect(isLikelySlip(best, value)).toBe(expected);
  });
});
