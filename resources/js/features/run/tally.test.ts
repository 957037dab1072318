import { describe, expect, test } from 'vitest';
import { counted, quotaOf, shotsOf, tallyOf, type Tap } from './tally';

const taps = (text: string): Tap[] => text.split('').map((one) => ({ R: 'R', L: 'L', '.': 'drop', g: 'good', m: 'miss' })[one] as Tap);

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
