import { expect, test } from 'vitest';
import type { RunPack } from '../../shared/api/schemas';
import { partTimes } from './useClock';

test('every stretch is told with what it took and stood still; only what a coach is judged by has a planned time', () => {
  const segment = (id: string, kind: string, seconds: number, plainSeconds: number | null) => ({
    id,
    blockId: 'b',
    kind,
    seconds,
    plainSeconds,
    endsByClock: kind === 'work',
  });
  const segments = [segment('s', 'set-up', 20, null), segment('e', 'explain', 60, 40), segment('w', 'work', 30, null), segment('n', 'write', 9, null)];
  const times = partTimes(
    { segments } as unknown as RunPack,
    [
      { press: 'start', atMs: 0 },
      { press: 'next', atMs: 25_000 },
      { press: 'freeze', atMs: 30_000 },
      { press: 'resume', atMs: 42_000 },
      { press: 'next', atMs: 60_000 },
    ],
    80_000,
  );
  expect(times.map((one) => [one.part, one.plannedSeconds, one.expectedSeconds, one.actualSeconds, one.frozenSeconds])).toEqual([
    ['set-up', 0, 20, 25, 0],
    ['explain', 40, 60, 23, 12],
    ['work', 0, 30, 20, 0],
    ['write', 0, 9, 0, 0],
  ]);
});
