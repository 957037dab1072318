/**
 * The stitch: one touch. Right foot above the seam, leaning right, solid; left below, leaning left, hollow. How the thread ends says which
 * part of the foot; what is no foot is a ring, what is not known a dot.
 */
interface Contact {
  foot: string;
  surface: string;
}

const step = 14;
const lean = 7;
const tall = 15;
const wide = 5;

interface StitchProps {
  x: number;
  y: number;
  foot: string;
  /** Part of the foot or the body; plain where it does not matter. */
  surface?: string;
  height?: number;
  width?: number;
}

/** One stitch as an SVG path from the seam at (x, y). */
export function Stitch({ x, y, foot, surface = '', height = tall, width = wide }: StitchProps) {
  if (foot === 'turn') return <TurnMark x={x} y={y} />;
  if (foot !== 'R' && foot !== 'L') return <NoFoot x={x + lean / 2} y={y} part={surface} />;
  // Tall stitches lean less, so that neighbours stay apart.
  const slant = (Math.min(height, 18) * lean) / tall;
  const up = foot === 'R' ? -1 : 1;
  const [seam, tip] = [y + up, y + up * (1 + height)];
  const thread = (from: number, at: number, ends: number) => `M${from} ${seam}L${from + slant} ${tip}h${ends}L${from + at} ${seam}z`;
  const path = surface === 'toe' ? thread(x, width, 0) : surface === 'thigh' ? `${thread(x - 1, 2, 2)}${thread(x + width - 1, 2, 2)}` : thread(x, width, width);
  const ink = foot === 'R' ? { fill: 'var(--right)' } : { fill: 'none', stroke: 'var(--left)', strokeWidth: 1.4 };
  const end = foot === 'R' ? { fill: 'var(--right)' } : { fill: 'var(--card)', stroke: 'var(--left)', strokeWidth: 1.4 };
  const bar = { stroke: foot === 'R' ? 'var(--right)' : 'var(--left)', strokeWidth: 2 };
  return (
    <>
      <path d={path} {...ink} />
      {surface === 'in' && <circle cx={x + width / 2} cy={seam} r={width * 0.62} {...end} />}
      {surface === 'out' && <circle cx={x + slant + width / 2} cy={tip} r={width * 0.62} {...end} />}
      {surface === 'sole' && <path d={`M${x + slant - 2} ${tip}h${width + 5}`} {...bar} />}
      {surface === 'heel' && <path d={`M${x - 4} ${seam}h${width + 5}`} {...bar} />}
    </>
  );
}

/** Chest, head and shoulder are rings; what is not known is a dot. */
function NoFoot({ x, y, part }: { x: number; y: number; part: string }) {
  if (!['chest', 'head', 'shoulder'].includes(part)) return <circle cx={x} cy={y} r={3} fill="var(--ink)" />;
  return (
    <>
      <circle cx={x} cy={y} r={4.6} fill="none" stroke="var(--ink)" strokeWidth="1.4" />
      {part === 'chest' && <path d={`M${x - 4.6} ${y}h9.2`} stroke="var(--ink)" strokeWidth="1.4" />}
      {part === 'head' && <circle cx={x} cy={y} r={1.6} fill="var(--ink)" />}
    </>
  );
}

/** The player turns. */
function TurnMark({ x, y }: { x: number; y: number }) {
  return <path d={`M${x - 1} ${y + 3}q5 -11 10 -2m-4 0l4 1l0 -4`} fill="none" stroke="var(--ink)" strokeWidth="1.3" />;
}

interface StitchLineProps {
  contacts: Contact[];
  /** How many times over the move is drawn. @default 1 */
  times?: number;
  /** @default 1 */
  scale?: number;
  /** Spoken instead of the drawing; empty when the text beside it says the same. */
  label: string;
}

/** A touch script as a row of stitches on its seam. */
export function StitchLine({ contacts, times = 1, scale = 1, label }: StitchLineProps) {
  const width = Math.max(2, contacts.length * times) * step + 14;
  return (
    <svg
      className="stitches"
      width={width * scale}
      height={40 * scale}
      viewBox={`0 0 ${width} 40`}
      role={label ? 'img' : undefined}
      aria-label={label || undefined}
      aria-hidden={label ? undefined : true}
    >
      <line x1={0} x2={width} y1={20} y2={20} stroke="var(--quiet)" strokeDasharray="1 3" />
      {Array.from({ length: times }, () => contacts)
        .flat()
        .map((contact, i) => (
          <Stitch key={i} x={4 + i * step} y={20} foot={contact.foot} surface={contact.surface} />
        ))}
    </svg>
  );
}

const parts: [foot: string, surface: string, name: string, words: string][] = [
  ['R', 'in', 'inside', 'dot at the seam'],
  ['R', 'out', 'outside', 'dot at the tip'],
  ['R', 'sole', 'sole', 'bar at the tip'],
  ['R', 'heel', 'heel', 'bar at the seam'],
  ['R', 'lace', 'laces', 'plain'],
  ['R', 'toe', 'toe', 'pointed'],
  ['R', 'thigh', 'thigh', 'two threads'],
  ['-', 'chest', 'chest', 'ring with a bar'],
  ['-', 'head', 'head', 'ring with a dot'],
  ['-', 'shoulder', 'shoulder', 'ring'],
  ['?', '?', 'not known', 'dot'],
  ['turn', '', 'turn', 'arrow'],
];

/** What each stitch says; one press away. */
export function StitchLegend() {
  return (
    <details className="no-print">
      <summary>What the stitches say</summary>
      <p className="quiet">Above the line, solid, leaning right: right foot. Below, hollow, leaning left: left foot.</p>
      <ul className="legend">
        {parts.map(([foot, surface, name, words]) => (
          <li key={name}>
            <StitchLine
              contacts={
                foot === 'R'
                  ? [
                      { foot: 'R', surface },
                      { foot: 'L', surface },
                    ]
                  : [{ foot, surface }]
              }
              label=""
            />
            <span>
              {name} <span className="quiet">{words}</span>
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}

export function StitchMark() {
  return (
    <svg width={26} height={26} viewBox="0 0 26 26" aria-hidden>
      <line x1={0} x2={26} y1={13} y2={13} stroke="var(--ink)" strokeDasharray="2 2" />
      <Stitch x={2} y={13} foot="R" height={9} width={4} />
      <Stitch x={13} y={13} foot="R" height={9} width={4} />
      <Stitch x={7} y={13} foot="L" height={9} width={4} />
    </svg>
  );
}
