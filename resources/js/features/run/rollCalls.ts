import type { RunPack } from '../../shared/api/schemas';

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
    if (!before || before.blockId !== asked.blockId) break;
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

/** Which try on its line a number of this segment is: earlier sets of the same player and line come first. */
export function tryNumber(pack: RunPack, at: number, playerId: number, lineKey: string): number {
  return 1 + pack.segments.slice(0, at).filter((segment) => segment.asks.some((ask) => ask.playerId === playerId && ask.lineKey === lineKey)).length;
}

export const entryKey = (pack: RunPack, at: number, playerId: number): string => `${pack.session.id}|${pack.segments[at]?.id ?? ''}|${playerId}`;
