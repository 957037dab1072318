import { describe, expect, test } from 'vitest';
import { readText, textOf, typed, waysOf } from './entryText';
import { counted, quotaOf, shotsOf, tallyOf, type Tap } from './tally';

const line = { least: 0, most: 999, step: 1 };
const taps = (text: string): Tap[] => text.split('').map((one) => ({ R: 'R', L: 'L', '.': 'drop', g: 'good', m: 'miss' })[one] as Tap);

describe('a row of the roll call', () => {
  test('is read as a number, in halves, or void with its reason, and written back the same', () => {
    expect(readText('33', line)).toEqual({ value: 33, isVoid: false, reason: '', parts: null });
    expect(readText('18+15', line)).toEqual({ value: 33, isVoid: false, reason: '', parts: { kind: 'halves', numbers: [18, 15] } });
    expect(readText('void a hand', line)).toEqual({ value: 0, isVoid: true, reason: 'a hand', parts: null });
    for (const text of ['33', '18+15', 'void', 'void a hand']) {
      const read = readText(text, line);
      expect('fault' in read ? read.fault : textOf(read, 1)).toBe(text);
    }
    expect(readText('7,5', { least: 0.1, most: 60, step: 0.1 })).toMatchObject({ value: 7.5 });
  });

  test('says what to write instead', () => {
    expect(readText('1000', line)).toEqual({ fault: 'Between 0 and 999; void where that was not reached.' });
    expect(readText('18+', line)).toEqual({ fault: 'Digits only.' });
    expect(readText('1+2+3', line)).toEqual({ fault: 'Digits only.' });
    expect(readText('7.5', line)).toEqual({ fault: 'A whole number.' });
    expect(readText('', line)).toEqual({ fault: 'Digits only.' });
  });

  test('is begun anew by the first digit after coming to it', () => {
    expect(typed('21', '3', true)).toBe('3');
    expect(typed('3', '4', false)).toBe('34');
    expect(typed('21', 'back', true)).toBe('2');
    expect(typed('void a hand', '5', false)).toBe('5');
    expect(typed('void', 'back', false)).toBe('');
    expect(typed('18', '+', false)).toBe('18+');
    expect(typed('18+1', '+', false)).toBe('18+1');
  });

  test('every measure can be typed', () => {
    for (const kind of ['count-in-time', 'time-for-work', 'hits-of-attempts', 'tries-for-quota', 'rung-reached']) expect(waysOf(kind)[0]).toBe('keys');
  });
});

describe('what was tapped', () => {
  test('the longest run ends with a drop, the total goes on', () => {
    expect(counted(taps('RLRL.RLR'))).toEqual({ right: 4, left: 3, run: 3, longest: 4 });
    expect(tallyOf('longest-run', taps('RLRL.RLR'))).toEqual({ value: 4, isVoid: false, reason: '', parts: { kind: 'total', numbers: [7] } });
    expect(tallyOf('count-in-time', taps('RLRL.RLR'))).toMatchObject({ value: 7, parts: { kind: 'feet', numbers: [4, 3] } });
    expect(tallyOf('count-in-time', taps('RR'))).toMatchObject({ value: 2, parts: null });
  });

  test('balls: how many hit, or the first that did, or not in so many', () => {
    expect(shotsOf('hits-of-attempts', taps('gmgm'), 6)).toBeNull();
    expect(shotsOf('hits-of-attempts', taps('gmgmmm'), 6)).toMatchObject({ value: 2, parts: { numbers: [2, 6] } });
    expect(shotsOf('tries-to-first-hit', taps('mmg'), 5)).toMatchObject({ value: 3, isVoid: false });
    expect(shotsOf('tries-to-first-hit', taps('mmmm'), 5)).toBeNull();
    expect(shotsOf('tries-to-first-hit', taps('mmmmm'), 5)).toMatchObject({ isVoid: true, reason: 'not in 5' });
  });

  test('good ones: tries until all are there; stopped before they are kept and count for nothing', () => {
    expect(quotaOf(taps('gmg'), 3, false)).toBeNull();
    expect(quotaOf(taps('gmgg'), 3, false)).toMatchObject({ value: 4, isVoid: false, parts: { numbers: [3, 4] } });
    expect(quotaOf(taps('gmm'), 3, true)).toMatchObject({ isVoid: true, reason: 'stopped at 1 of 3, 3 tried', parts: { numbers: [1, 3] } });
  });
});
