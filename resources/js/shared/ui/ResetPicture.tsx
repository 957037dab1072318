import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { bookQueries } from '../api/bookQueries';
import type { ResetDrawing } from '../api/bookSchemas';
import type { Drill } from '../api/schemas';
import { MarkerShape } from './PlanDrawing';
import { useSquadId } from './SquadChoice';

/** From one layout to the next on one station's ground: stays is drawn firm, comes with a plus, goes with a stroke through it. */
export function ResetPicture({ from, to }: { from: Drill; to: Drill }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>What stays, what moves</summary>
      {isOpen && <Picture from={from} to={to} />}
    </details>
  );
}

function Picture({ from, to }: { from: Drill; to: Drill }) {
  const { squadId } = useSquadId();
  const reset = useQuery(bookQueries.reset(squadId, from.slug, to.slug));
  if (reset.isPending) return <p className="quiet">Working it out …</p>;
  if (reset.isError) return <p className="notice">{reset.error.message}</p>;
  const { markers, kept, moved, added, lifted } = reset.data;
  const words = `One station, after ${from.name}: ${kept} stay, ${moved} move, ${added} to lay, ${lifted} to lift.`;
  return (
    <figure className="drawing" style={{ margin: 0 }}>
      <Ground markers={markers} label={words} />
      <figcaption className="quiet">{words}</figcaption>
    </figure>
  );
}

function Ground({ markers, label }: { markers: ResetDrawing['markers']; label: string }) {
  const xs = markers.map((marker) => marker.xMetres);
  const ys = markers.map((marker) => marker.yMetres);
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(220 / Math.max(maxX - minX, 1), 170 / Math.max(maxY - minY, 1));
  const height = (maxY - minY) * scale + 60;
  return (
    <svg viewBox={`0 0 280 ${height}`} role="img" aria-label={label}>
      {markers.map((marker, i) => (
        <g
          key={i}
          transform={`translate(${(280 - (maxX - minX) * scale) / 2 + (marker.xMetres - minX) * scale} ${30 + (maxY - marker.yMetres) * scale})`}
          opacity={marker.fate === 'leave' ? 0.7 : 1}
        >
          <MarkerShape shape={marker.shape} isDashed={marker.fate === 'leave'} />
          {marker.fate === 'arrive' && (
            <text x="10" y="-5" fontSize="16" fontWeight="700" fill="var(--ink)">
              +
            </text>
          )}
          {marker.fate === 'leave' && <path d="M-11 11L11 -11" stroke="var(--ink)" strokeWidth="1.6" />}
          {marker.fate === 'keep' && <circle r="2.6" fill="var(--ink)" />}
        </g>
      ))}
    </svg>
  );
}
