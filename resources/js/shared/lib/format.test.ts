import { expect, test } from 'vitest';
import { clock, clockTime, countdown, day, dayAndTime, mark, shortDay, sideWords } from './format';

test.each([
  [0, '0:00'],
  [59.4, '0:59'],
  [59.5, '1:00'],
  [754, '12:34'],
  [-5, '0:00'],
])('%d seconds are %s', (seconds, text) => expect(clock(seconds)).toBe(text));

test.each([
  [30_000, '0:30'],
  [29_001, '0:30'],
  [1, '0:01'],
  [0, '0:00'],
  [-999, '0:00'],
  [-1000, '+0:01'],
  [-15_000, '+0:15'],
])('%d ms left read %s', (ms, text) => expect(countdown(ms)).toBe(text));

test('clock times run on from the start, past midnight too', () => {
  expect(clockTime('2026-11-24T18:00', 2700)).toBe('18:45');
  expect(clockTime('2026-11-24T23:50', 1200)).toBe('00:10');
});

test('days are named without a zone moving them', () => {
  expect(day('2026-11-24')).toBe('Tuesday 24 Nov');
  expect(shortDay('2026-03-01T18:00')).toBe('1 Mar');
});

test('times show their tenth and counts do not', () => {
  expect([mark(9.8, 0.1), mark(10, 0.1), mark(12, 1)]).toEqual(['9.8', '10.0', '12']);
});

test('sides are said, unknown ones as they are', () => {
  expect([sideWords('R'), sideWords('weaker'), sideWords('weaker', 'weaker'), sideWords(null), sideWords('x')]).toEqual([
    'right foot',
    'other foot',
    'weaker foot',
    '',
    'x',
  ]);
});

test('an instant is said as the phone has it', () => {
  expect(dayAndTime(new Date(2026, 11, 1, 7, 5).toISOString())).toBe('Tue 07:05');
  expect(dayAndTime(new Date(2026, 11, 6, 23, 59).toISOString())).toBe('Sun 23:59');
});
