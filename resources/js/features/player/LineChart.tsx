import type { Standing } from '../../shared/api/schemas';
import { mark, shortDay } from '../../shared/lib/format';
import { Stitch } from '../../shared/ui/Stitches';

interface LineChartProps {
  days: Standing['days'];
  side: string;
  better: 'higher' | 'lower';
  step: number;
  target: number | undefined;
  label: string;
}

const width = 560;
const height = 96;
const dayMs = 86_400_000;

/** The best of each session day as a stitch, the middle of that day's tries as a short bar, the next target dotted. Up is better. */
export function LineChart({ days, side, better, step, target, label }: LineChartProps) {
  if (days.length === 0) return null;
  const values = [...days.flatMap((day) => [day.best, day.median]), ...(target === undefined ? [] : [target])];
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const spread = high - low || 1;
  const share = (value: number) => (better === 'higher' ? (value - low) / spread : (high - value) / spread);
  const y = (value: number) => height - 14 - share(value) * (height - 40);
  const times = days.map((day) => Date.parse(day.on) / dayMs);
  const first = times[0] ?? 0;
  const range = (times.at(-1) ?? first) - first || 1;
  const x = (i: number) => 12 + (((times[i] ?? first) - first) / range) * (width - 110);
  const said = days.map((day) => `${shortDay(day.on)} ${mark(day.best, step)}`).join(', ');
  return (
    <div className="chart">
      <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={`${label}: ${said}`}>
        <line x1={0} x2={width - 60} y1={height - 6} y2={height - 6} stroke="var(--line)" />
        {target !== undefined && (
          <>
            <line x1={0} x2={width - 52} y1={y(target)} y2={y(target)} stroke="var(--ink)" strokeDasharray="2 4" />
            <text x={width - 2} y={y(target) + 6} textAnchor="end" fontSize="20" className="num" fill="var(--ink)">
              {mark(target, step)}
            </text>
          </>
        )}
        {days.map((day, i) => (
          <g key={day.on}>
            {day.median !== day.best && <line x1={x(i) - 6} x2={x(i) + 6} y1={y(day.median)} y2={y(day.median)} stroke="var(--quiet)" strokeWidth="2" />}
            {side === 'R' || side === 'L' ? (
              <Stitch x={x(i) - 5} y={y(day.best) + (side === 'R' ? 6 : -6)} foot={side} height={11} width={5} />
            ) : (
              <circle cx={x(i)} cy={y(day.best)} r="4.5" fill="var(--ink)" />
            )}
          </g>
        ))}
        <text x={0} y={12} fontSize="13" fill="var(--quiet)">
          {days.length > 1 ? `${shortDay(days[0]?.on ?? '')} to ${shortDay(days.at(-1)?.on ?? '')}` : shortDay(days[0]?.on ?? '')}
        </text>
      </svg>
    </div>
  );
}
