import { scaleLinear, scalePoint } from 'd3-scale';
import type { SeasonFamily, SeasonPage } from '../../shared/api/seasonSchemas';
import { familyWords, shortDay } from '../../shared/lib/format';
import { How } from '../../shared/ui/How';
import { Stitch } from '../../shared/ui/Stitches';

const width = 860;
const first = 8;
const tall = 64;
const middle = 32;
/** A stitch in a band stands for a share of the fullest week; so many are the most that fit a week. */
const most = 8;

/** Weeks by families as bands of stitches: right above the seam, left below, what is stale a broken line. */
export function FamilyBands({ season }: { season: SeasonPage }) {
  const { weeks, families, fullest } = season;
  if (families.length === 0) return <p>Nothing yet. A session that has been run leaves its touches here.</p>;
  const x = scalePoint(
    weeks.map(({ week }) => week),
    [first, width - 70],
  );
  return (
    <section className="tight" aria-label="Weeks by families">
      <div className="bands">
        <div className="bands-row quiet" aria-hidden>
          <span />
          <svg viewBox={`0 0 ${width} 22`}>
            {weeks.map(({ week }) => (
              <text key={week} x={(x(week) ?? 0) + 14} y={16} textAnchor="middle" fontSize="15" fill="var(--quiet)" className="num">
                {week}
              </text>
            ))}
          </svg>
        </div>
        {families.map((family) => (
          <div key={family.family} className="bands-row">
            <span>
              {familyWords(family.family)}
              <br />
              <span className="quiet">{family.touches.rightPercent === null ? 'no foot known' : `right ${family.touches.rightPercent}%`}</span>
            </span>
            <Band family={family} weeks={weeks} fullest={fullest} at={(week) => x(week) ?? 0} />
          </div>
        ))}
      </div>
      <details>
        <summary>As a table: minutes at work, touches, numbers written down</summary>
        <div className="scroll" tabIndex={0} role="region" aria-label="Weeks by families, scrolls sideways">
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">Family</th>
                {weeks.map(({ week, from }) => (
                  <th key={week} scope="col" title={shortDay(from)}>
                    {week}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {families.map((family) => (
                <tr key={family.family}>
                  <th scope="row">{familyWords(family.family)}</th>
                  {weeks.map(({ week }) => {
                    const had = family.weeks.find((one) => one.week === week);
                    return (
                      <td key={week}>
                        {had ? (
                          <>
                            <span className="num">{had.minutes}</span> min
                            <br />
                            <span className="right">{had.touches.right} R</span> <span className="left">{had.touches.left} L</span>
                            {had.touches.unknown > 0 && ` ${had.touches.unknown} ?`}
                            <br />
                            <span className="quiet">{had.marks} written</span>
                          </>
                        ) : (
                          '–'
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
      <How evidence={season.familiesEvidence} of="the weeks by families" />
    </section>
  );
}

interface BandProps {
  family: SeasonFamily;
  weeks: SeasonPage['weeks'];
  fullest: number;
  at: (week: number) => number;
}

function Band({ family, weeks, fullest, at }: BandProps) {
  const stitches = scaleLinear([0, fullest], [0, most]).clamp(true);
  const many = (touches: number) => (touches === 0 ? 0 : Math.max(1, Math.round(stitches(touches))));
  const step = Math.min(9, Math.max(4, (width - 80) / Math.max(1, weeks.length) / (most + 1)));
  const last = family.weeks.reduce((latest, week) => (week.week > latest.week ? week : latest));
  const staleFrom = at(last.week) + Math.max(many(last.touches.right), many(last.touches.left)) * step + 16;
  // Where little room is left the words end at the edge.
  const isLate = staleFrom > width - 170;
  const said = family.weeks.map(({ week, minutes, touches }) => `week ${week} ${minutes} min, right ${touches.right}, left ${touches.left}`).join('; ');
  return (
    <svg viewBox={`0 0 ${width} ${tall}`} role="img" aria-label={`${familyWords(family.family)}: ${said}`}>
      <line x1={0} x2={width} y1={middle} y2={middle} stroke="var(--quiet)" strokeDasharray="1 4" />
      {family.weeks.map(({ week, touches }) => (
        <g key={week}>
          {Array.from({ length: many(touches.right) }, (_, i) => (
            <Stitch key={`R${i}`} x={at(week) + i * step} y={middle} foot="R" height={20} width={Math.min(5, step - 2)} />
          ))}
          {Array.from({ length: many(touches.left) }, (_, i) => (
            <Stitch key={`L${i}`} x={at(week) + i * step} y={middle} foot="L" height={20} width={Math.min(5, step - 2)} />
          ))}
          {Array.from({ length: Math.ceil(many(touches.unknown) / 2) }, (_, i) => (
            <circle key={`?${i}`} cx={at(week) + Math.max(many(touches.right), many(touches.left)) * step + 10 + i * 8} cy={middle} r={2.6} fill="var(--ink)" />
          ))}
        </g>
      ))}
      {family.isStale && (
        <>
          <line x1={staleFrom} x2={width} y1={middle} y2={middle} stroke="var(--warning)" strokeWidth="2" strokeDasharray="7 4" />
          <text x={isLate ? width - 4 : staleFrom + 4} y={middle - 8} textAnchor={isLate ? 'end' : 'start'} fontSize="15" fill="var(--warning)">
            not met for {family.daysAgo} days
          </text>
        </>
      )}
    </svg>
  );
}
