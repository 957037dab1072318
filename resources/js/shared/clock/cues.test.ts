import { describe, expect, test } from 'vitest';
import { clockAt, type Press } from '../../kernel/segmentClock';
import { cuesAhead } from './cues';
import type { RunPack } from '../api/schemas';

type RunSegment = RunPack['segments'][number];

const segment = (kind: RunSegment['kind'], seconds: number, more: Partial<RunSegment> = {}): RunSegment => ({
  id: `${kind}-${seconds}`,
  blockId: 'taps',
  kind,
  seconds,
  endsByClock: kind === 'work' || kind === 'rest' || kind === 'change',
  side: null,
  item: null,
  set: 1,
  turn: 1,
  working: [],
  leftTouches: 0,
  rightTouches: 0,
  plainSeconds: null,
  stations: [],
  seats: [],
  asks: [],
  ...more,
});
const pair = [
  segment('explain', 60),
  segment('work', 45, { side: 'R' }),
  segment('change', 3, { side: 'R', turn: 2 }),
  segment('work', 45, { side: 'R', turn: 2 }),
  segment('rest', 15),
  segment('work', 15, { side: 'L' }),
  segment('write', 20),
];
const heard = (presses: Press[], nowMs: number) =>
  cuesAhead(pair, clockAt(pair, presses, nowMs), nowMs, 'other').map(({ atMs, tone, words }) => `${atMs / 1000} ${tone} ${words}`);
const started: Press[] = [
  { press: 'start', atMs: 0 },
  { press: 'next', atMs: 50_000 },
];

describe('what is heard', () => {
  test('every change until a press is needed, with a warning where the stretch is long enough', () => {
    expect(heard(started, 50_000)).toEqual([
      '85 soon Ten seconds',
      '95 next Swap',
      '98 go Go',
      '133 soon Ten seconds',
      '143 stop Rest',
      '158 go Other foot: left foot',
      '173 next Write down',
    ]);
  });

  test('nothing while a press is awaited, before the start or while the clock stands still', () => {
    expect(heard([{ press: 'start', atMs: 0 }], 10_000)).toEqual([]);
    expect(heard([], 10_000)).toEqual([]);
    expect(heard([...started, { press: 'freeze', atMs: 60_000 }], 70_000)).toEqual([]);
    expect(heard([...started, { press: 'hold', atMs: 60_000 }], 70_000)).toEqual([]);
  });

  test('thirty seconds more move everything after them', () => {
    expect(heard([...started, { press: 'extend', atMs: 60_000, seconds: 30 }], 60_000)[0]).toBe('115 soon Ten seconds');
  });

  test('the other foot is named', () => {
    const straight = [segment('work', 30, { side: 'R' }), segment('work', 30, { side: 'L' })];
    const cues = cuesAhead(straight, clockAt(straight, [{ press: 'start', atMs: 0 }], 25_000), 25_000, 'other');
    expect(cues[0]).toEqual({ atMs: 30_000, tone: 'go', words: 'Other foot: left foot' });
    expect(cues.at(-1)?.words).toBe('That was the session');
  });
});
