import { clockTime } from '../../shared/lib/format';
import { stepsOf, type Seat, type Spell } from '../../shared/lib/seats';
import { Stitch } from '../../shared/ui/Stitches';

/** Height of one person's row. */
export const row = 28;
const step = 7;

interface PieceProps {
  spell: Spell;
  /** Nothing where they are not there. */
  seat: Seat | undefined;
  strong: string;
  from: number;
  to: number;
}

/** One person in one stretch: stitches where the ball is theirs, a line for rest, a dotted box for serving, short strokes for waiting. */
export function Piece({ spell, seat, strong, from, to }: PieceProps) {
  if (!seat || to - from < 0.5) return null;
  const middle = row / 2;
  switch (seat.role) {
    case 'works':
    case 'plays':
    case 'keeps-goal':
      return <Work seat={seat} side={footOf(spell.segment.side, strong)} from={from} to={to} />;
    case 'serves':
    case 'counts':
      return <rect x={from + 1} y={6} width={Math.max(1, to - from - 2)} height={row - 12} fill="none" stroke="var(--quiet)" strokeDasharray="2 2" />;
    case 'rests':
    case 'listens':
    case 'drinks':
      return (
        <>
          <line x1={from + 1} x2={to - seat.wait * (to - from) - 1} y1={middle} y2={middle} stroke="var(--ink)" strokeWidth="1.6" />
          {seat.wait > 0 && <Strokes from={to - seat.wait * (to - from)} to={to} />}
        </>
      );
    case 'lays-out':
    case 'writes-down':
      // Drawn once over all rows.
      return null;
    default:
      return <Strokes from={from} to={to} />;
  }
}

/** Laying out and writing down hold everybody up alike. */
export function HeldUp({ from, to, height }: { from: number; to: number; height: number }) {
  return <rect x={from + 1} y={0} width={Math.max(1, to - from - 2)} height={height} fill="none" stroke="var(--warning)" strokeDasharray="2 3" />;
}

function Strokes({ from, to }: { from: number; to: number }) {
  const middle = row / 2;
  return <line x1={from + 1} x2={to - 1} y1={middle} y2={middle} stroke="var(--warning)" strokeWidth="7" strokeDasharray="2 3" />;
}

function footOf(side: string | null, strong: string): string {
  if (side === 'strong' || side === 'weaker') return strong === 'both' ? 'both' : (side === 'strong') === (strong === 'R') ? 'R' : 'L';
  return side ?? 'both';
}

function Work({ seat, side, from, to }: { seat: Seat; side: string; from: number; to: number }) {
  const steps = stepsOf(seat, Math.max(1, Math.floor((to - from - 3) / step)), side);
  return (
    <g opacity={seat.isExtra ? 0.45 : 1}>
      {steps.map((what, i) => {
        const at = from + 1 + i * step;
        if (what === 'wait') return <line key={i} x1={at + 2} x2={at + 2} y1={row / 2 - 3.5} y2={row / 2 + 3.5} stroke="var(--warning)" strokeWidth="2" />;
        if (what === 'rest') return <line key={i} x1={at} x2={at + 4} y1={row / 2} y2={row / 2} stroke="var(--quiet)" />;
        return <Stitch key={i} x={at} y={row / 2} foot={what} height={10} width={3} />;
      })}
    </g>
  );
}

interface ScaleProps {
  startsAt: string;
  from: number;
  end: number;
  x: (seconds: number) => number;
  isNarrow: boolean;
  /** Where its strokes end. */
  foot: number;
}

export function Scale({ startsAt, from, end, x, isNarrow, foot }: ScaleProps) {
  const most = isNarrow ? 3 : 8;
  const gap = [60, 120, 300, 600, 900].find((seconds) => end / seconds <= most) ?? 1800;
  const first = Math.ceil(from / gap) * gap;
  const ticks = Array.from({ length: Math.max(0, Math.floor((from + end - first) / gap) + 1) }, (_, i) => first + i * gap);
  return (
    <g>
      {ticks.map((seconds) => (
        <g key={seconds}>
          <line x1={x(seconds - from)} x2={x(seconds - from)} y1={14} y2={foot} stroke="var(--quiet)" />
          <text x={x(seconds - from)} y={11} fontSize="12" textAnchor={x(seconds - from) > x(end) - 24 ? 'end' : 'middle'} fill="var(--quiet)">
            {clockTime(startsAt, seconds)}
          </text>
        </g>
      ))}
    </g>
  );
}

export function Legend() {
  const middle = row / 2;
  return (
    <ul className="legend" aria-label="How to read it">
      <li>
        <svg width={40} height={row} aria-hidden>
          <Work seat={{ playerId: 0, role: 'works', slot: 0, ball: 1, wait: 0, isExtra: false }} side="both" from={0} to={40} />
        </svg>
        works, the ball is theirs
      </li>
      <li>
        <svg width={30} height={row} aria-hidden>
          <line x1={0} x2={30} y1={middle} y2={middle} stroke="var(--ink)" strokeWidth="1.6" />
        </svg>
        rests or listens
      </li>
      <li>
        <svg width={30} height={row} aria-hidden>
          <rect x={1} y={6} width={28} height={row - 12} fill="none" stroke="var(--quiet)" strokeDasharray="2 2" />
        </svg>
        serves or counts
      </li>
      <li>
        <svg width={40} height={row} aria-hidden>
          <Work seat={{ playerId: 0, role: 'works', slot: 0, ball: 1, wait: 0, isExtra: true }} side="both" from={0} to={40} />
        </svg>
        goes on, not owed
      </li>
      <li className="warn-words">
        <svg width={30} height={row} aria-hidden>
          <Strokes from={0} to={30} />
        </svg>
        waits
      </li>
      <li>
        <svg width={30} height={row} aria-hidden>
          <rect x={1} y={2} width={28} height={row - 4} fill="none" stroke="var(--warning)" strokeDasharray="2 3" />
        </svg>
        held up by laying out or writing
      </li>
    </ul>
  );
}
