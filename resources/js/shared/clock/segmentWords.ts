import type { ClockSegment } from '../../kernel/segmentClock';
import { sideWords, type FootWording } from '../lib/format';

/** One stretch of a session, or of a day at home, as the clock counts it. */
export interface ClockedSegment extends ClockSegment {
  kind: string;
  side: string | null;
  item: string | null;
  /** Of a pair that takes turns; null at home. */
  turn: number | null;
  /** Who is where, in a round of stations; empty elsewhere. */
  stations: unknown[];
}

const kinds: Record<string, string> = {
  'set-up': 'Lay out',
  explain: 'Explain and show',
  rest: 'Rest',
  write: 'Write down',
  change: 'Change over',
  water: 'Water',
  talk: 'Talk',
  game: 'Game',
};

const inSentence = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

/** What happens in a segment, in a few words. */
export function segmentWords(segment: ClockedSegment, wording: FootWording): string {
  if (segment.kind === 'rest' && segment.item) return `Rest, then ${inSentence(segment.item)}`;
  if (segment.kind === 'work' && segment.stations.length > 0) return `Turn ${segment.turn ?? 1} of ${segment.stations.length}`;
  if (segment.kind !== 'work') return kinds[segment.kind] ?? segment.kind;
  const side = sideWords(segment.side, wording);
  if (segment.item) return side ? `${segment.item}, ${side}` : segment.item;
  return side ? side.charAt(0).toUpperCase() + side.slice(1) : 'Work';
}

/** What is called out when a stretch begins, after the last one of work; only what changes is said. */
export function cueWords(last: ClockedSegment | undefined, next: ClockedSegment, wording: FootWording): string {
  const isSwap = last !== undefined && last.turn !== null && next.turn !== null && last.turn !== next.turn;
  if (next.kind === 'change') return isSwap ? 'Swap' : 'Change over';
  if (next.kind !== 'work') return segmentWords(next, wording);
  if (next.stations.length > 0) return 'Go';
  const isOtherFoot = [next.side, last?.side].every((side) => side === 'R' || side === 'L') && next.side !== last?.side;
  return isOtherFoot ? `Other foot: ${sideWords(next.side, wording)}` : (next.item ?? 'Go');
}
