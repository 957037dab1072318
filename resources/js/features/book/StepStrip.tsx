import type { Step } from '../../shared/api/bookSchemas';

const width = 116;
const height = 132;
const feet = { L: { x: 38, y: 88 }, R: { x: 78, y: 88 } };
const ball = { x: 58, y: 48 };

/** A move as a row of pictures: which foot acts, which one stands, where the ball goes, which way one faces. */
export function StepStrip({ steps }: { steps: Step[] }) {
  return (
    <ol className="strip" aria-label="Step by step">
      {steps.map((step, i) => (
        <li key={i}>
          <svg viewBox={`0 0 ${width} ${height}`} aria-hidden>
            <text x={6} y={16} fontSize="13" fill="var(--quiet)">
              {i + 1}
            </text>
            <Picture step={step} />
          </svg>
          <p>
            {step.words}
            {step.times && <span className="quiet"> ({step.times})</span>}
          </p>
        </li>
      ))}
    </ol>
  );
}

function Picture({ step }: { step: Step }) {
  if (step.kind === 'turn') return <Turned degrees={step.headingDegrees} />;
  const isLow = step.surface === null || ['in', 'out', 'sole', 'lace', 'toe', 'heel', '?'].includes(step.surface);
  return (
    <>
      {(['L', 'R'] as const).map((side) => (
        <Shoe key={side} side={side} isActing={step.foot === side && isLow} isStanding={step.standing === side} />
      ))}
      {step.kind !== 'event' && <circle cx={ball.x} cy={ball.y} r={9} fill="var(--card)" stroke="var(--ink)" strokeWidth="1.6" />}
      {step.kind === 'feint' && <path d={`M${ball.x - 17} ${ball.y + 12}a18 18 0 1 1 34 0`} fill="none" stroke="var(--ink)" strokeDasharray="3 4" />}
      {!isLow && (
        <text x={ball.x} y={ball.y - 18} fontSize="14" textAnchor="middle" fill="var(--ink)">
          {step.surface}
        </text>
      )}
      <Arrow way={step.way} foot={step.foot} />
    </>
  );
}

/** A shoe from above: the acting one reaches for the ball, solid right or hollow left; the standing one has a bar under it. */
function Shoe({ side, isActing, isStanding }: { side: 'L' | 'R'; isActing: boolean; isStanding: boolean }) {
  const { x, y } = feet[side];
  const dy = isActing ? -18 : 0;
  const dx = isActing ? (side === 'L' ? 8 : -8) : 0;
  const paint = !isActing
    ? { fill: 'none', stroke: 'var(--quiet)', strokeWidth: 1.2 }
    : side === 'R'
      ? { fill: 'var(--right)', stroke: 'var(--right)', strokeWidth: 1.5 }
      : { fill: 'var(--card)', stroke: 'var(--left)', strokeWidth: 2.6 };
  return (
    <g transform={`translate(${x + dx} ${y + dy})`}>
      <path d="M0 -19c8 0 9 8 8 16c-1 6 -2 10 -2 15c0 8 -12 8 -12 0c0 -5 -1 -9 -2 -15c-1 -8 0 -16 8 -16z" {...paint} />
      {isStanding && <line x1={-11} x2={11} y1={25} y2={25} stroke="var(--ink)" strokeWidth="3" />}
    </g>
  );
}

/** Where the ball goes, as seen from the foot that touches it. */
function Arrow({ way, foot }: { way: string | null; foot: Step['foot'] }) {
  if (way === null || way === 'still') return null;
  const outward = foot === 'L' ? -1 : 1;
  const to = {
    fwd: [0, -30],
    over: [0, -36],
    back: [0, 34],
    across: [-outward * 34, 0],
    out: [outward * 34, -6],
    behind: [-outward * 30, 24],
  }[way];
  if (!to) return null;
  const [dx = 0, dy = 0] = to;
  const length = Math.hypot(dx, dy);
  const [ux, uy] = [dx / length, dy / length];
  const [fromX, fromY] = [ball.x + ux * 11, ball.y + uy * 11];
  const [toX, toY] = [ball.x + dx, ball.y + dy];
  return (
    <g stroke="var(--ink)" strokeWidth="1.8" fill="none">
      <path d={`M${fromX} ${fromY}L${toX} ${toY}`} />
      <path d={`M${toX - ux * 7 - uy * 5} ${toY - uy * 7 + ux * 5}L${toX} ${toY}L${toX - ux * 7 + uy * 5} ${toY - uy * 7 - ux * 5}`} />
    </g>
  );
}

/** Which way one faces after a turn; up is where one began. */
function Turned({ degrees }: { degrees: number }) {
  return (
    <g transform="translate(58 70)">
      <circle r={34} fill="none" stroke="var(--line)" />
      <line y2={-34} stroke="var(--quiet)" strokeDasharray="2 4" />
      <g transform={`rotate(${-degrees})`} stroke="var(--ink)" strokeWidth="2" fill="none">
        <line y1={12} y2={-30} />
        <path d="M-6 -22L0 -31L6 -22" />
        <path d="M-14 12h28" />
      </g>
    </g>
  );
}
