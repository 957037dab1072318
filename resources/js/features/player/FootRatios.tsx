import { scaleLinear, scaleUtc } from 'd3-scale';
import type { PlayerPage } from '../../shared/api/seasonSchemas';
import { mark, shortDay } from '../../shared/lib/format';
import { How } from '../../shared/ui/How';
import { Stitch } from '../../shared/ui/Stitches';

const width = 260;
const height = 40;

/** The other foot against the strong one, drill by drill over the season; level is the line. */
export function FootRatios({ feet, strongFoot }: Pick<PlayerPage, 'feet' | 'strongFoot'>) {
  if (feet.length === 0 || strongFoot === 'both') return null;
  const other = strongFoot === 'R' ? 'L' : 'R';
  const all = feet.flatMap(({ days }) => days);
  const at = all.map(({ on }) => Date.parse(on));
  const x = scaleUtc([Math.min(...at), Math.max(...at) + 1], [6, width - 54]);
  const y = scaleLinear([Math.min(0.7, ...all.map(({ ratio }) => ratio)), Math.max(1.1, ...all.map(({ ratio }) => ratio))], [height - 8, 8]);
  return (
    <section className="tight">
      <h2>{other === 'L' ? 'Left against right' : 'Right against left'}</h2>
      <p className="quiet">Same drill, within two weeks. On the line both are level.</p>
      <ul className="rows">
        {feet.map(({ about, days, evidence }) => (
          <li key={about}>
            <details className="ratio-line">
              <summary className="spread">
                <span>{about}</span>
                <span className="num">{mark(days.at(-1)?.ratio ?? 0, 0.01)}</span>
              </summary>
              <How evidence={evidence} of={`${about}, one foot against the other`} />
            </details>
            <svg
              viewBox={`0 0 ${width} ${height}`}
              className="ratio"
              role="img"
              aria-label={`${about}: ${days.map(({ on, ratio }) => `${shortDay(on)} ${ratio}`).join(', ')}`}
            >
              <line x1={0} x2={width - 46} y1={y(1)} y2={y(1)} stroke="var(--quiet)" strokeDasharray="1 3" />
              <text x={width - 42} y={y(1) + 4} fontSize="12" fill="var(--quiet)">
                level
              </text>
              {days.map(({ on, ratio }) => (
                <Stitch key={on} x={x(Date.parse(on)) - 3} y={y(ratio) + (other === 'L' ? -5 : 5)} foot={other} height={9} width={4} />
              ))}
            </svg>
          </li>
        ))}
      </ul>
    </section>
  );
}
