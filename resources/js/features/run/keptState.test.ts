import { expect, test } from 'vitest';
import sample from '../../../../tests/fixtures/contract/run-pack.json';
import { runPack } from '../../shared/api/schemas';
import { brought } from './keptState';

test('a run that an older version began goes on: its pack is read, what it asks is asked under its new name', () => {
  const { tables, taken, others, ...before } = sample;
  const old = {
    ...before,
    blocks: sample.blocks.map(({ id, kind, title, drill }) => ({ id, kind, title, drill })),
    segments: sample.segments.map((segment) => ({ ...segment, asks: segment.asks.map(({ playerId, lineKey }) => ({ playerId, lineKey })) })),
  };
  expect([tables, taken, others].every(Array.isArray)).toBe(true);
  const kept = brought({ pack: old, presses: [{ press: 'start', atMs: 5 }] });
  const pack = runPack.parse(kept?.pack);
  expect(kept?.presses).toHaveLength(1);
  expect(pack.blocks[0]?.groups).toEqual([]);
  const asks = pack.segments.flatMap((segment) => segment.asks);
  expect(asks.map(({ side, set, blockId }) => [side, set, blockId])).toEqual(
    sample.segments.flatMap((segment) => segment.asks.map((ask) => [ask.side, segment.set ?? 1, ask.blockId])),
  );
  expect(brought(undefined)).toBeNull();
});
