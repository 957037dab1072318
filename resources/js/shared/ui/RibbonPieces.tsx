import type { BlockEvaluation, Segment } from '../api/schemas';
import { Stitch } from './Stitches';

/** The height at which the seam runs in a ribbon that lies. */
export const seam = 92;
const tallest = 42;
const spacing = 6;

interface PiecesProps {
  block: BlockEvaluation;
  /** Seconds of the session → along the seam. */
  x: (seconds: number) => number;
  /** Touches of one foot in a stretch, of the session's fullest. */
  most: number;
}

/** The most touches of one foot in any stretch: stitches are drawn against it. */
export const mostTouches = (blocks: BlockEvaluation[]): number =>
  Math.max(1, ...blocks.flatMap((block) => block.segments.flatMap((one) => [one.leftTouches, one.rightTouches])));

/** One block along the seam: work in stitches, rest in gaps, set-up dotted, talk a bar. */
export function Pieces({ block, x, most }: PiecesProps) {
  const total = block.segments.reduce((sum, one) => sum + one.seconds, 0) || 1;
  return block.segments.map((segment, i) => {
    const before = block.segments.slice(0, i).reduce((sum, one) => sum + one.seconds, 0);
    const start = x(block.startSeconds + (before / total) * block.meanSeconds);
    const stop = x(block.startSeconds + ((before + segment.seconds) / total) * block.meanSeconds);
    return <Piece key={segment.id} segment={segment} from={start} to={stop} most={most} />;
  });
}

function Piece({ segment, from, to, most }: { segment: Segment; from: number; to: number; most: number }) {
  const length = Math.max(0, to - from);
  switch (segment.kind) {
    case 'work':
      return <Work segment={segment} from={from} length={length} most={most} />;
    case 'rest':
      return null;
    case 'set-up':
      return <rect x={from} y={seam - 7} width={length} height={14} fill="none" stroke="var(--quiet)" strokeDasharray="2 2" />;
    case 'explain':
    case 'talk':
      return <rect x={from} y={seam - 3} width={length} height={6} fill="var(--quiet)" />;
    case 'game':
      return <rect x={from} y={seam - 16} width={length} height={32} fill="none" stroke="var(--quiet)" />;
    case 'water':
      return <rect x={from} y={seam - 9} width={length} height={18} fill="var(--line)" />;
    default:
      return <line x1={from} x2={to} y1={seam} y2={seam} stroke="var(--quiet)" strokeWidth="2" />;
  }
}

/** Stitches fill the time at even steps; their height is how many touches of that foot one player makes. */
function Work({ segment, from, length, most }: { segment: Segment; from: number; length: number; most: number }) {
  const count = Math.max(1, Math.floor((length - 4) / spacing));
  const height = (touches: number) => (touches > 0 ? 5 + (tallest - 5) * Math.sqrt(touches / most) : 0);
  const right = height(segment.rightTouches);
  const left = height(segment.leftTouches);
  if (right === 0 && left === 0) return <line x1={from} x2={from + length} y1={seam} y2={seam} stroke="var(--ink)" strokeWidth="4" strokeDasharray="3 4" />;
  return (
    <>
      {Array.from({ length: count }, (_, i) => (
        <g key={i}>
          {right > 0 && <Stitch x={from + i * spacing} y={seam} foot="R" height={right} width={4} />}
          {left > 0 && <Stitch x={from + i * spacing} y={seam} foot="L" height={left} width={4} />}
        </g>
      ))}
    </>
  );
}
