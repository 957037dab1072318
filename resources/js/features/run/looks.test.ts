import { expect, test } from 'vitest';
import { lookedAt, seenWords, settledLooks, takenBack, type KeptLook } from './looks';

const look = (more: object) => ({ uuid: crypto.randomUUID(), playerId: 1, drillSlug: 'd', lookedAt: '2026-03-10T18:00:00.000Z', ...more });

test('only the last ball can be taken back, and only until the next', () => {
  let looks = lookedAt([], look({ weight: 'right' }));
  looks = lookedAt(looks, look({ weight: 'short' }));
  expect(looks.map(({ isSent }) => isSent)).toEqual([true, false]);
  looks = takenBack(looks);
  expect(looks.map(({ look: { weight } }) => weight)).toEqual(['right']);
  expect(takenBack(looks)).toEqual(looks);
  expect(takenBack(settledLooks(lookedAt(looks, look({})))).length).toBe(2);
});

test('what was seen is told for the player and the drill in focus', () => {
  const looks: KeptLook[] = [
    look({ weight: 'right' }),
    look({ weight: 'right' }),
    look({ weight: 'away' }),
    look({ isAccurate: true, isClean: true }),
    look({ isAccurate: true }),
    look({ playerId: 2, weight: 'short' }),
    look({ drillSlug: 'other', weight: 'short' }),
  ].map((one) => ({ look: one, isSent: true }));
  expect(seenWords(looks, 1, 'd')).toBe('0 too short, 2 right, 1 ran away; of 2 passes 2 accurate, 0 at the right pace, 1 clean');
  expect(seenWords(looks, 3, 'd')).toBe('');
});
