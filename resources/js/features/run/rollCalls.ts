import type { RunPack } from '../../shared/api/schemas';

/** Positions of the segments that ask for numbers. */
export function askingSegments(pack: RunPack): number[] {
  return pack.segments.flatMap((segment, i) => (segment.asks.length > 0 ? [i] : []));
}

/** The set whose numbers are wanted now: the last one begun, else the first to come. */
export function rollCallFor(pack: RunPack, index: number): number | undefined {
  const asking = askingSegments(pack);
  const begun = asking.filter((i) => i <= index);
  return begun.at(-1) ?? asking[0];
}

/** Which try on its line a number of this segment is: earlier sets of the same player and line come first. */
export function tryNumber(pack: RunPack, at: number, playerId: number, lineKey: string): number {
  return 1 + pack.segments.slice(0, at).filter((segment) => segment.asks.some((ask) => ask.playerId === playerId && ask.lineKey === lineKey)).length;
}

export const entryKey = (pack: RunPack, at: number, playerId: number): string => `${pack.session.id}|${pack.segments[at]?.id ?? ''}|${playerId}`;
