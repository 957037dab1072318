import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { runPack } from '../../shared/api/schemas';
import { targetsOf } from './targets';

const pack = runPack.parse(JSON.parse(readFileSync('tests/fixtures/contract/run-pack.json', 'utf8')));

test('only players with a number to beat are named, each line once with its side', () => {
  const block = pack.blocks[0]?.id ?? '';
  const expected = pack.players.filter((player) => Object.values(pack.standings[String(player.id)] ?? {}).some((one) => one.target)).map(({ name }) => name);
  const targets = targetsOf(pack, block);
  expect(targets.map(({ name }) => name)).toEqual(expected);
  for (const { numbers } of targets) expect(numbers).toMatch(/^\d+(\.\d+)?( [RL])?(, \d+(\.\d+)?( [RL])?)*$/);
  expect(targetsOf(pack, 'nowhere')).toEqual([]);
});
