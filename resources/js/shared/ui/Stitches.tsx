/** The stitch: one touch. Right foot above the seam, leaning right, solid; left below, leaning left, hollow; other parts a dot. */
interface Contact {
  foot: string;
  surface: string;
}

const step = 14;
const lean = 7;
const tall = 15;
const wide = 5;

/** One stitch as an SVG path from the seam at (x, y). */
export function Stitch({ x, y, foot, height = tall, width = wide }: { x: number; y: number; foot: string; height?: number; width?: number }) {
  // Tall stitches lean less, so that neighbours stay apart.
  const slant = (Math.min(height, 18) * lean) / tall;
  if (foot === 'R') return <path d={`M${x} ${y - 1}l${slant} ${-height}h${width}l${-slant} ${height}z`} fill="var(--right)" />;
  if (foot === 'L') return <path d={`M${x} ${y + 1}l${slant} ${height}h${width}l${-slant} ${-height}z`} fill="none" stroke="var(--left)" strokeWidth="1.4" />;
  return <circle cx={x + lean / 2} cy={y} r={3} fill="var(--ink)" />;
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
          <Stitch key={i} x={4 + i * step} y={20} foot={contact.foot} />
        ))}
    </svg>
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
