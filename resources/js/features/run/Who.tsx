import type { RunPack } from '../../shared/api/schemas';
import { whoIsWhere } from './whoIsWhere';
import type { RunSegment } from './words';

/** Who is where and with whom; a line each. */
export function Who({ pack, segment }: { pack: RunPack; segment: RunSegment }) {
  const lines = whoIsWhere(pack, pack.segments.indexOf(segment));
  if (lines.length === 0) return null;
  return (
    <ul className="who-where" aria-label="Who is where">
      {lines.map(({ key, at, doing }) => (
        <li key={key}>
          {at && <strong>{at}</strong>} {doing}
        </li>
      ))}
    </ul>
  );
}
