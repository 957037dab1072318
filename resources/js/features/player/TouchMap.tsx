import { How } from '../../shared/ui/How';
import { WeekBand } from '../../shared/ui/WeekBand';
import type { TouchLedger } from '../../shared/api/seasonSchemas';
import { Stitch } from '../../shared/ui/Stitches';

/** Where each part of a left foot's sole lies in the drawing; the right foot is its mirror. Columns are stitches side by side. */
const zones: { surface: string; words: string; x: number; y: number; columns: number }[] = [
  { surface: 'toe', words: 'toe', x: 44, y: 20, columns: 5 },
  { surface: 'lace', words: 'laces', x: 40, y: 60, columns: 5 },
  { surface: 'in', words: 'inside', x: 94, y: 66, columns: 3 },
  { surface: 'out', words: 'outside', x: 8, y: 92, columns: 3 },
  { surface: 'sole', words: 'sole', x: 40, y: 124, columns: 5 },
  { surface: 'heel', words: 'heel', x: 48, y: 184, columns: 4 },
];
const wide = 128;
const tall = 214;
const most = 24;

interface TouchMapProps {
  touches: TouchLedger;
  name: string;
}

/** The season's touches: foot and part of the foot, counted and estimated told apart, week by week. */
export function TouchMap({ touches, name }: TouchMapProps) {
  const { all, counted, estimated, surfaces, purposes, weeks } = touches;
  const top = Math.max(1, ...surfaces.filter(({ foot }) => foot === 'L' || foot === 'R').map((one) => one.touches));
  if (all.total === 0)
    return (
      <section className="tight">
        <h2>Touches this season</h2>
        <p>None yet. They are added up when a session has been run.</p>
      </section>
    );
  return (
    <section className="tight">
      <h2>
        Touches <span className="num">{all.total.toLocaleString('en')}</span>
      </h2>
      <p className="quiet">
        {counted.total.toLocaleString('en')} counted, {estimated.total.toLocaleString('en')} estimated from the drills, {touches.ballMinutes} min with the ball;
        games are left out
      </p>
      <svg viewBox={`0 0 ${2 * wide + 84} ${tall}`} className="soles" aria-hidden>
        <Foot foot="L" surfaces={surfaces} top={top} />
        <g transform={`translate(${wide + 84} 0)`}>
          <Foot foot="R" surfaces={surfaces} top={top} />
        </g>
        {zones
          .filter(({ surface }) => surface !== 'out')
          .map(({ surface, words, y }) => (
            <text key={surface} x={wide + 42} y={y + (surface === 'in' ? 30 : 10)} textAnchor="middle" fontSize="13" fill="var(--quiet)">
              {words}
            </text>
          ))}
      </svg>
      <div className="spread">
        <span className="left">
          left <span className="num">{all.rightPercent === null ? '–' : `${100 - all.rightPercent}%`}</span>
        </span>
        {all.unknown > 0 && <span className="quiet">{all.unknown.toLocaleString('en')} of no known foot</span>}
        <span className="right">
          right <span className="num">{all.rightPercent === null ? '–' : `${all.rightPercent}%`}</span>
        </span>
      </div>
      {all.other > 0 && <p className="quiet">{all.other.toLocaleString('en')} with chest or head</p>}
      <WeekBand weeks={weeks} label={`${name}, touches week by week: ${weeks.map((week) => weekWords(week)).join('; ')}`} />
      <div className="spread quiet">
        <span>week 1</span>
        <span>week {weeks.length}</span>
      </div>
      <details>
        <summary>As a table</summary>
        <table className="plain">
          <caption className="sr">Touches by part of the foot</caption>
          <thead>
            <tr>
              <th scope="col">Part</th>
              <th scope="col">Left</th>
              <th scope="col">Right</th>
              <th scope="col">Foot not known</th>
            </tr>
          </thead>
          <tbody>
            {[...new Set(surfaces.map(({ surface }) => surface))].map((surface) => (
              <tr key={surface}>
                <th scope="row">{words(surface)}</th>
                {['L', 'R', '?'].map((foot) => (
                  <td key={foot} className="num">
                    {surfaces
                      .filter((one) => one.surface === surface && (one.foot === foot || (foot === '?' && one.foot === '-')))
                      .reduce((touched, one) => touched + one.touches, 0)
                      .toLocaleString('en')}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        {purposes.length > 0 && (
          <p className="quiet">{purposes.map((one) => `${purposeWords[one.purpose] ?? one.purpose} ${one.touches.toLocaleString('en')}`).join(', ')}</p>
        )}
      </details>
      <How evidence={touches.evidence} of="touches" />
    </section>
  );
}

const purposeWords: Record<string, string> = { first: 'first touches', control: 'controls', pass: 'passes', shot: 'shots' };
const words = (surface: string): string => zones.find((zone) => zone.surface === surface)?.words ?? (surface === '?' ? 'not known' : surface);

const weekWords = ({ week, touches }: TouchLedger['weeks'][number]): string =>
  `week ${week} right ${touches.right}, left ${touches.left}${touches.unknown > 0 ? `, not known ${touches.unknown}` : ''}`;

interface FootProps {
  foot: 'L' | 'R';
  surfaces: TouchLedger['surfaces'];
  /** Touches of the part that has most. */
  top: number;
}

/** A sole from above; each part filled with as many stitches as its share of the fullest part. */
function Foot({ foot, surfaces, top }: FootProps) {
  const mirrored = (x: number, width: number) => (foot === 'L' ? x : wide - x - width);
  return (
    <>
      <path
        d="M66 6C98 6 108 40 104 84C101 116 98 138 96 168C95 196 84 208 66 208C48 208 38 196 37 168C35 138 26 116 25 84C22 40 34 6 66 6Z"
        transform={foot === 'L' ? undefined : `translate(${wide} 0) scale(-1 1)`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {zones.map(({ surface, x, y, columns }) => {
        const touched = surfaces.find((one) => one.foot === foot && one.surface === surface)?.touches ?? 0;
        const stitches = touched === 0 ? 0 : Math.max(1, Math.round((most * touched) / top));
        return Array.from({ length: stitches }, (_, i) => (
          <Stitch
            key={`${surface} ${i}`}
            x={mirrored(x, columns * 9) + (i % columns) * 9}
            y={y + Math.floor(i / columns) * 12 + (foot === 'R' ? 8 : -2)}
            foot={foot}
            height={8}
            width={4}
          />
        ));
      })}
    </>
  );
}
