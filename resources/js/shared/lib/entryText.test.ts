import { describe, expect, test } from 'vitest';
import { readText, textOf, typed, waysOf } from './entryText';

const line = { least: 0, most: 999, step: 1 };

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
