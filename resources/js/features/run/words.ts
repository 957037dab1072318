import type { RunPack } from '../../shared/api/schemas';
import { clock, sideWords, type FootWording } from '../../shared/lib/format';

export type RunSegment = RunPack['segments'][number];

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

/** What happens in a segment, in a few words. */
export function segmentWords(segment: RunSegment, wording: FootWording): string {
  if (segment.kind === 'rest' && segment.item) return `Rest, then ${segment.item.charAt(0).toLowerCase()}${segment.item.slice(1)}`;
  if (segment.kind === 'work' && segment.stations.length > 0) return `Turn ${segment.turn} of ${segment.stations.length}`;
  if (segment.kind !== 'work') return kinds[segment.kind] ?? segment.kind;
  const side = sideWords(segment.side, wording);
  if (segment.item) return side ? `${segment.item}, ${side}` : segment.item;
  return side ? side.charAt(0).toUpperCase() + side.slice(1) : 'Work';
}

export const lengthWords = (segment: RunSegment): string => (segment.endsByClock ? clock(segment.seconds) : `about ${clock(segment.seconds)}`);
