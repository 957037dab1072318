import type { Drawing } from '../api/schemas';

const wide = 84;
const deep = 60;
const edge = 6;

/** A layout as small as a stamp: markers, the way of the ball, walls. The words beside it name the drill. */
export function PlanThumb({ drawing }: { drawing: Drawing }) {
  const ends = drawing.walls.flatMap((wall) => [wall.from, wall.to]);
  const drawn = [...drawing.markers, ...drawing.path, ...drawing.places, ...ends];
  if (drawn.length === 0) return null;
  const [xs, ys] = [drawn.map((point) => point.xMetres), drawn.map((point) => point.yMetres)];
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min((wide - 2 * edge) / Math.max(maxX - minX, 0.5), (deep - 2 * edge) / Math.max(maxY - minY, 0.5));
  const x = (metres: number) => wide / 2 + (metres - (minX + maxX) / 2) * scale;
  const y = (metres: number) => deep / 2 - (metres - (minY + maxY) / 2) * scale;
  return (
    <svg className="thumb-plan" width={wide} height={deep} viewBox={`0 0 ${wide} ${deep}`} aria-hidden>
      {drawing.walls.map(({ from, to }, i) => (
        <line key={i} x1={x(from.xMetres)} y1={y(from.yMetres)} x2={x(to.xMetres)} y2={y(to.yMetres)} stroke="var(--ink)" strokeWidth="3" />
      ))}
      {drawing.path.length > 1 && (
        <polyline
          points={drawing.path.map((point) => `${x(point.xMetres)},${y(point.yMetres)}`).join(' ')}
          fill="none"
          stroke="var(--ink)"
          strokeDasharray="3 2.5"
        />
      )}
      {drawing.markers.map((marker, i) => (
        <path key={i} d={`M${x(marker.xMetres)} ${y(marker.yMetres) - 3}l3 5.4h-6z`} fill="var(--card)" stroke="var(--ink)" />
      ))}
      {drawing.places.map((place, i) => (
        <circle key={i} cx={x(place.xMetres)} cy={y(place.yMetres)} r="2" fill="var(--ink)" />
      ))}
    </svg>
  );
}
