import { scaleLinear, scaleUtc } from 'd3-scale';
import { area, line as through } from 'd3-shape';
import type { PlayerLine } from '../../shared/api/seasonSchemas';
import { mark, shortDay } from '../../shared/lib/format';
import { Stitch } from '../../shared/ui/Stitches';

/** Of what is counted in whole numbers there is no half. */
const marksOf = (ticks: number[], step: number): number[] => (step < 1 ? ticks : ticks.filter(Number.isInteger));

interface LineChartProps {
  one: PlayerLine;
  label: string;
}

const width = 560;
const height = 128;
const right = 64;

/**
 * The best of each session day as a stitch, its middle try as a short bar, how far a day strays by itself as a band about the way the line
 * goes, the next number dotted. Up is better.
 */
export function LineChart({ one, label }: LineChartProps) {
  const { days, line, target, typicalError, slope } = one;
  const [first, last] = [days[0], days.at(-1)];
  if (!first || !last) return null;
  const at = days.map((day) => Date.parse(day.on));
  const values = [...days.flatMap((day) => [day.best, day.median]), ...(target === null ? [] : [target.value])];
  const x = scaleUtc([at[0] ?? 0, Math.max((at[0] ?? 0) + 1, at.at(-1) ?? 0)], [14, width - right]);
  const range = [height - 22, 14];
  const y = scaleLinear([Math.min(...values), Math.max(...values)], line.better === 'higher' ? range : [...range].reverse()).nice(4);
  const ends: [number, number][] =
    slope === null
      ? []
      : [
          [at[0] ?? 0, slope.start],
          [at.at(-1) ?? 0, slope.end],
        ];
  const reach = typicalError ?? 0;
  const band = area(
    ([when]) => x(when),
    ([, value]) => y(value - reach),
    ([, value]) => y(value + reach),
  )(ends);
  const way = through(
    ([when]) => x(when),
    ([, value]) => y(value),
  )(ends);
  const said = days.map((day) => `${shortDay(day.on)} ${mark(day.best, line.step)}`).join(', ');
  return (
    <div className="chart">
      <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={`${label}: ${said}`}>
        {days.length > 2 && band && <path d={band} fill="var(--line)" opacity={0.55} />}
        {days.length > 2 && way && <path d={way} stroke="var(--quiet)" strokeWidth="1.2" fill="none" />}
        {marksOf(y.ticks(3), line.step).map((tick) => (
          <text key={tick} x={width - right + 12} y={y(tick) + 4} fontSize="12" fill="var(--quiet)">
            {mark(tick, tick % 1 === 0 ? 1 : 0.1)}
          </text>
        ))}
        {target !== null && (
          <>
            <line x1={0} x2={width - 34} y1={y(target.value)} y2={y(target.value)} stroke="var(--ink)" strokeDasharray="2 4" />
            <text x={width - 2} y={y(target.value) + 6} textAnchor="end" fontSize="20" className="num" fill="var(--ink)">
              {mark(target.value, line.step)}
            </text>
          </>
        )}
        <line x1={0} x2={width - right + 6} y1={height - 18} y2={height - 18} stroke="var(--line)" />
        {days.map((day, i) => {
          const when = x(at[i] ?? 0);
          return (
            <g key={day.on}>
              {day.median !== day.best && <line x1={when - 6} x2={when + 6} y1={y(day.median)} y2={y(day.median)} stroke="var(--quiet)" strokeWidth="2" />}
              {line.side === 'R' || line.side === 'L' ? (
                <Stitch x={when - 5} y={y(day.best) + (line.side === 'R' ? 6 : -6)} foot={line.side} height={11} width={5} />
              ) : (
                <circle cx={when} cy={y(day.best)} r="4.5" fill="var(--ink)" />
              )}
            </g>
          );
        })}
        <text x={0} y={height - 3} fontSize="12" fill="var(--quiet)">
          {shortDay(first.on)}
        </text>
        {days.length > 1 && (
          <text x={width - right} y={height - 3} fontSize="12" textAnchor="end" fill="var(--quiet)">
            {shortDay(last.on)}
          </text>
        )}
      </svg>
    </div>
  );
}
