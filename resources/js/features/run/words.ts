import type { RunPack } from '../../shared/api/schemas';
import { doseWords } from '../../shared/lib/doseWords';
import { clock, type FootWording } from '../../shared/lib/format';

export type RunSegment = RunPack['segments'][number];
export type RunBlock = RunPack['blocks'][number];

export const lengthWords = (segment: RunSegment): string => (segment.endsByClock ? clock(segment.seconds) : `about ${clock(segment.seconds)}`);

/** Which of how many: set, item of a circuit, turn of a round. */
export function placeIn(pack: RunPack, segment: RunSegment): { what: string; at: number; of: number }[] {
  if (segment.stations.length > 0) return [];
  const block = pack.blocks.find((one) => one.id === segment.blockId);
  const items = block?.drill?.composition === 'circuit' ? block.drill.parts.map((part) => part.name) : [];
  const item = items.indexOf(segment.item ?? '') + 1;
  const alike = pack.segments.filter((one) => one.blockId === segment.blockId && one.kind === 'work' && one.side === segment.side && one.item === segment.item);
  const sets = Math.max(0, ...alike.map((one) => one.set ?? 0));
  return [
    ...(item > 0 ? [{ what: 'item', at: item, of: items.length }] : []),
    ...(segment.set !== null && sets > 0 && (sets > 1 || item === 0) ? [{ what: item > 0 ? 'round' : 'set', at: segment.set, of: sets }] : []),
  ];
}

/** How much: of a circuit's item its own, else the block's dose; with the tempo where it is not the usual one. */
export function doseLine(block: RunBlock, segment: RunSegment, wording: FootWording): string {
  const part = block.drill?.parts.find((one) => one.name === segment.item);
  const dose = part?.dose ?? block.dose;
  const tempo = block.tempo === 'learn' ? 'slow, to learn' : block.tempo === 'match' ? 'at match tempo' : '';
  return [dose ? doseWords(dose, wording) : '', tempo].filter(Boolean).join(', ');
}

/** The rule of what is written down after the stretch, or at the end of its block. */
export function ruleOf(pack: RunPack, segment: RunSegment): { counts: string; voids: string; fault: string } {
  const asks = pack.segments.filter((one) => one.blockId === segment.blockId).flatMap((one) => one.asks);
  const ask = asks.find((one) => segment.stations.length === 0 && (segment.side === null || one.side === segment.side)) ?? asks[0];
  const rule = segment.stations.length > 0 || !ask ? undefined : pack.lines[ask.lineKey]?.rule;
  return { counts: rule?.countsOnlyIf ?? '', voids: rule?.voids ?? '', fault: rule?.fault ?? '' };
}

/** One thing to look at, another one each set. */
export const pointFor = (points: string[], segment: RunSegment): string | undefined =>
  points.length === 0 ? undefined : points[((segment.set ?? 1) - 1 + (segment.side === 'L' ? 1 : 0)) % points.length];

/** The set that is under way or was the last one of its block. */
export function workBefore(pack: RunPack, index: number): number | undefined {
  const blockId = pack.segments[index]?.blockId;
  for (let i = index; i >= 0 && pack.segments[i]?.blockId === blockId; i--) if (pack.segments[i]?.kind === 'work') return i;
  return undefined;
}
