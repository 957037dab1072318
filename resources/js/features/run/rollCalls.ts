import type { RunPack } from '../../shared/api/schemas';
import type { Entry } from '../../shared/lib/outbox';

export type Ask = RunPack['segments'][number]['asks'][number];

/** Positions of the segments that ask for numbers. */
export function askingSegments(pack: RunPack): number[] {
  return pack.segments.flatMap((segment, i) => (segment.asks.length > 0 ? [i] : []));
}

/** The set with which the numbers of a roll call begin to come: the best of several may be written after the first of them. */
export function beginsAt(pack: RunPack, at: number): number {
  const asked = pack.segments[at];
  const ask = asked?.asks[0];
  let first = at;
  for (let i = at - 1; asked && ask && i >= 0; i--) {
    const before = pack.segments[i];
    if (!before || before.blockId !== asked.blockId || (before.kind === 'work' && before.item !== asked.item)) break;
    if (before.asks.some((one) => one.playerId === ask.playerId && one.lineKey === ask.lineKey)) break;
    if (before.kind === 'work' && before.side === asked.side && before.working.includes(ask.playerId)) first = i;
  }
  return first;
}

/** The roll call whose numbers are wanted now: the last one begun, else the first to come. */
export function rollCallFor(pack: RunPack, index: number): number | undefined {
  const asking = askingSegments(pack);
  const begun = asking.filter((i) => beginsAt(pack, i) <= index);
  return begun.at(-1) ?? asking[0];
}

/** Which try on its line a number is: earlier sets, and earlier items of a circuit, of the same player and line come first. */
export function tryNumber(pack: RunPack, ask: Ask): number {
  const alike = pack.segments.flatMap((segment) => segment.asks).filter((one) => one.playerId === ask.playerId && one.lineKey === ask.lineKey);
  return 1 + alike.findIndex((one) => askName(one) === askName(ask));
}

/** Of one player, block, item, side and set: no two of a session are the same, wherever they are asked. */
export const askName = ({ blockId, item, side, set, playerId }: Ask): string => [blockId, item ?? '', side, set, playerId].join('|');

export const entryKey = (pack: RunPack, ask: Ask): string => `${pack.session.id}|${askName(ask)}`;

/** What the server had of this session when the pack was made, from whatever phone. */
export function takenBefore(pack: RunPack): Record<string, Entry> {
  const asks = new Map(pack.segments.flatMap((segment) => segment.asks).map((ask) => [`${ask.playerId} ${ask.lineKey} ${tryNumber(pack, ask)}`, ask]));
  return Object.fromEntries(
    pack.taken.flatMap(({ playerId, lineKey, tryNumber: at, ...mark }) => {
      const ask = asks.get(`${playerId} ${lineKey} ${at}`);
      if (!ask) return [];
      const key = entryKey(pack, ask);
      return [[key, { key, sessionId: pack.session.id, ...mark, refusal: '', isHad: true }]];
    }),
  );
}
