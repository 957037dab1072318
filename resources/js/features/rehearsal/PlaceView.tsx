import type { Player } from '../../shared/api/schemas';
import { doingOf } from '../../shared/lib/seats';
import { MarkerShape } from '../../shared/ui/PlanDrawing';
import { dotsOf, type Place } from './rehearsal';

const [wide, deep, edge] = [260, 130, 26];

/** One ground with its people, to its own scale. */
export function PlaceView({ place, players, seconds }: { place: Place; players: Player[]; seconds: number }) {
  const { drawing, seats } = place;
  const dots = dotsOf(drawing, seats, seconds);
  const laid = [...(drawing?.markers ?? []), ...(drawing?.path ?? []), ...(drawing?.places ?? [])];
  // Where nothing is laid out, a game is as wide as its players.
  const ground = [...laid, ...dots.filter((dot) => laid.length === 0 || dot.sign !== 'at the ball')];
  const xs = ground.map((point) => point.xMetres);
  const ys = ground.map((point) => point.yMetres);
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min((wide - 2 * edge) / Math.max(maxX - minX, 1), (deep - 2 * edge) / Math.max(maxY - minY, 1));
  const x = (metres: number) => (wide - (maxX - minX) * scale) / 2 + (metres - minX) * scale;
  const y = (metres: number) => (deep - (maxY - minY) * scale) / 2 + (maxY - metres) * scale;
  const names = (id: number) => players.find((player) => player.id === id)?.name ?? String(id);
  return (
    <li>
      <p>
        {place.title && <strong>{place.title}</strong>} {doingOf(seats, names)}
      </p>
      <svg viewBox={`0 0 ${wide} ${deep}`} aria-hidden>
        {drawing && drawing.path.length > 1 && (
          <polyline
            points={drawing.path.map((point) => `${x(point.xMetres)},${y(point.yMetres)}`).join(' ')}
            fill="none"
            stroke="var(--quiet)"
            strokeDasharray="5 5"
          />
        )}
        {drawing?.markers.map((marker, i) => (
          <g key={i} transform={`translate(${x(marker.xMetres)} ${y(marker.yMetres)}) scale(0.7)`}>
            <MarkerShape shape={marker.shape} />
          </g>
        ))}
        {dots.map((dot) => (
          <g key={dot.playerId} transform={`translate(${x(dot.xMetres)} ${y(dot.yMetres)})`} data-sign={dot.sign}>
            <circle
              r="9"
              fill={dot.sign === 'at the ball' ? 'var(--ink)' : 'var(--card)'}
              stroke={dot.sign === 'waiting' ? 'var(--warning)' : 'var(--ink)'}
              strokeWidth={dot.sign === 'waiting' ? 2.5 : 1.5}
              strokeDasharray={dot.sign === 'serving' ? '2 2' : dot.sign === 'waiting' ? '4 3' : undefined}
            />
            <text y="4.5" fontSize="12" textAnchor="middle" fill={dot.sign === 'at the ball' ? 'var(--card)' : 'var(--ink)'}>
              {names(dot.playerId).slice(0, 1)}
            </text>
          </g>
        ))}
      </svg>
    </li>
  );
}
