import { scaleLinear } from 'd3-scale';
import type { FeetTouches } from '../api/seasonSchemas';
import { Stitch } from './Stitches';

interface WeekBandProps {
  weeks: { week: number; touches: FeetTouches }[];
  /** Touches of the fullest half of a week, where several bands share one scale. */
  most?: number;
  /** @default 340 */
  width?: number;
  /** Spoken instead of the drawing. */
  label: string;
}

const tall = 26;

/** Weeks along the seam: how high a stitch is, is how many; right above, left below, of no known foot a dot on it. */
export function WeekBand({ weeks, most, width = 340, label }: WeekBandProps) {
  const top = most ?? Math.max(1, ...weeks.flatMap(({ touches }) => [touches.left, touches.right]));
  const height = scaleLinear([0, top], [0, tall]).clamp(true);
  const each = (width - 8) / Math.max(1, weeks.length);
  const middle = tall + 6;
  return (
    <svg viewBox={`0 0 ${width} ${2 * middle}`} className="band" role="img" aria-label={label}>
      <line x1={0} x2={width} y1={middle} y2={middle} stroke="var(--quiet)" strokeDasharray="1 3" />
      {weeks.map(({ week, touches }, i) => {
        const x = 4 + i * each;
        const thick = Math.min(12, each * 0.4);
        return (
          <g key={week}>
            {touches.right > 0 && <Stitch x={x} y={middle} foot="R" height={Math.max(3, height(touches.right))} width={thick} />}
            {touches.left > 0 && <Stitch x={x} y={middle} foot="L" height={Math.max(3, height(touches.left))} width={thick} />}
            {touches.unknown > 0 && <circle cx={x + thick + 4} cy={middle} r={2.2} fill="var(--ink)" />}
          </g>
        );
      })}
    </svg>
  );
}
