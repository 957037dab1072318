import type { Evaluation } from '../api/schemas';
import { clock, clockTime } from '../lib/format';
import { Pieces, mostTouches, seam } from './RibbonPieces';

const pixelsPerMinute = 9;
const top = 12;
/** Across the seam: as far as the tallest stitch reaches, on either side. */
const across = 96;
const apart = 25;

interface UprightRibbonProps {
  evaluation: Evaluation;
  titles: Record<string, string>;
  startsAt: string;
  slotMinutes: number;
  selectedId?: string | undefined;
  /** A block is pressed; only told where that is left out. */
  onSelect?: (blockId: string) => void;
}

interface Mark {
  key: string;
  atSeconds: number;
  words: string;
  length: string;
}

/** Where each label stands: at its moment, or under the one before where there is no room. */
export function labelPlaces(at: number[]): number[] {
  const places: number[] = [];
  for (const wanted of at) places.push(Math.max(wanted, (places.at(-1) ?? -apart) + apart));
  return places;
}

/** The session as one seam to scale, from top to bottom beside its running order: for a phone. */
export function UprightRibbon({ evaluation, titles, startsAt, slotMinutes, selectedId, onSelect }: UprightRibbonProps) {
  const slot = slotMinutes * 60;
  const y = (seconds: number) => (seconds / 60) * pixelsPerMinute + top;
  const marks: Mark[] = [
    ...evaluation.blocks.map((block) => ({
      key: block.id,
      atSeconds: block.startSeconds,
      words: titles[block.id] ?? '',
      length: clock(block.meanSeconds),
    })),
    { key: 'five', atSeconds: evaluation.fiveInTenSeconds, words: 'ends, 5 in 10', length: '' },
    { key: 'eight', atSeconds: evaluation.eightInTenSeconds, words: 'ends, 8 in 10', length: '' },
    { key: 'slot', atSeconds: slot, words: 'end of the slot', length: '' },
  ].sort((a, b) => a.atSeconds - b.atSeconds);
  const places = labelPlaces(marks.map(({ atSeconds }) => y(atSeconds)));
  const height = Math.max(y(Math.max(slot, evaluation.eightInTenSeconds)), places.at(-1) ?? 0) + apart;
  const most = mostTouches(evaluation.blocks);
  return (
    <div className="upright" style={{ height }}>
      <svg width={across + 24} height={height} aria-hidden>
        <line x1={across / 2} x2={across / 2} y1={top} y2={y(slot)} stroke="var(--quiet)" strokeDasharray="1 4" />
        {/* The lying ribbon, turned by a quarter: what was above the seam is to its right. */}
        <g transform={`translate(${across / 2 + seam} 0) rotate(90)`}>
          {evaluation.blocks.map((block) => (
            <g key={block.id}>
              {block.id === selectedId && (
                <rect
                  x={y(block.startSeconds)}
                  y={seam - 46}
                  width={(block.meanSeconds / 60) * pixelsPerMinute}
                  height={92}
                  fill="var(--card)"
                  stroke="var(--now)"
                  strokeWidth="3"
                />
              )}
              <Pieces block={block} x={y} most={most} />
            </g>
          ))}
        </g>
        {marks.map(({ key, atSeconds }, i) => (
          <path
            key={key}
            d={`M${key === 'slot' ? 0 : across / 2} ${y(atSeconds)}H${across}L${across + 20} ${places[i] ?? 0}`}
            fill="none"
            stroke={key === 'slot' ? 'var(--ink)' : 'var(--line)'}
            strokeWidth={key === 'slot' ? 2 : 1}
          />
        ))}
        <path d={`M${across - 12} ${y(evaluation.fiveInTenSeconds) - 6}v12l-11 -6z`} fill="var(--ink)" />
        <path d={`M${across - 12} ${y(evaluation.eightInTenSeconds) - 6}v12l-11 -6z`} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      </svg>
      <ol>
        {marks.map(({ key, atSeconds, words, length }, i) => (
          <li key={key} style={{ top: places[i] }} className={length ? undefined : 'quiet'}>
            <span className="num">{clockTime(startsAt, atSeconds)}</span>{' '}
            {length && onSelect ? (
              <button type="button" className="link words" aria-pressed={key === selectedId} onClick={() => onSelect(key)}>
                {words}
              </button>
            ) : (
              <span className="words">{words}</span>
            )}
            {length && <span className="num"> {length}</span>}
          </li>
        ))}
      </ol>
    </div>
  );
}
