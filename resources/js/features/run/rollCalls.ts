import type { RunPack } from '../../shared/api/schemas';

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
export function tryNumber(pack: RunPack, at: number, ask: Ask): number {
  const isSame = (one: Ask) => one.playerId === ask.playerId && one.lineKey === ask.lineKey;
  const before = pack.segments.slice(0, at).flatMap((segment) => segment.asks);
  const beside = (pack.segments[at]?.asks ?? []).filter((one) => (one.item ?? 0) < (ask.item ?? 0));
  return 1 + [...before, ...beside].filter(isSame).length;
}

/** Of one player, and one item where a stretch asks for several. */
export const askName = (ask: Ask): string => (ask.item === null ? `${ask.playerId}` : `${ask.playerId}|${ask.item}`);

export const entryKey = (pack: RunPack, at: number, ask: Ask): string => `${pack.session.id}|${pack.segments[at]?.id ?? ''}|${askName(ask)}`;
