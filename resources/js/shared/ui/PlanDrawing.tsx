import type { Drawing } from '../api/schemas';
import { Stitch } from './Stitches';

interface PointInMetres {
  xMetres: number;
  yMetres: number;
}

/** A layout as a builder's plan: thin ink, open shapes with their colour written, dimension lines. Metres in, squad's unit on the labels. */
interface PlanDrawingProps {
  drawing: Drawing;
  title: string;
  /** Drawn into less room, so that its words stay legible where it is shown small. @default false */
  isSmall?: boolean;
  /** Where ball and worker are just now, in a drawing that moves. */
  now?: { ball: PointInMetres | null; worker: PointInMetres | null } | undefined;
}

export function PlanDrawing({ drawing, title, isSmall = false, now }: PlanDrawingProps) {
  const ends = drawing.walls.flatMap((wall) => [wall.from, wall.to]);
  const drawn = [...drawing.markers, ...drawing.path, ...drawing.runPath, ...drawing.places, ...drawing.labels, ...ends];
  const xs = drawn.map((point) => point.xMetres);
  const ys = drawn.map((point) => point.yMetres);
  const [minX, maxX, minY, maxY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  // Long and narrow layouts keep room for their words; the scale is the same both ways.
  const [roomWide, roomDeep] = isSmall ? [220, 120] : [430, 330];
  const scale = Math.min(roomWide / Math.max(maxX - minX, 0.5), roomDeep / Math.max(maxY - minY, 0.5));
  const drawnWidth = (maxX - minX) * scale;
  const drawnHeight = (maxY - minY) * scale;
  const width = roomWide + 130;
  const height = drawnHeight + 130;
  const x = (metres: number) => (width - drawnWidth) / 2 + (metres - minX) * scale;
  const y = (metres: number) => 46 + (maxY - metres) * scale;
  const near = (a: PointInMetres, b: PointInMetres, pixels: number) => Math.hypot(a.xMetres - b.xMetres, a.yMetres - b.yMetres) * scale < pixels;
  // A colour is written once where markers of it stand close together.
  const isNamed = (i: number) => {
    const marker = drawing.markers[i];
    return marker !== undefined && !drawing.markers.slice(0, i).some((other) => other.colour === marker.colour && near(other, marker, 44));
  };
  // A number stands in a ring of its own, a target or a ball in its turn, unless a marker is there already.
  const isRing = (label: { text: string } & PointInMetres) => /^\d+$/.test(label.text) && !drawing.markers.some((marker) => near(marker, label, 12));
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Layout of ${title}: ${drawing.markers.length} markers, ${drawing.dimensions.map((line) => line.text).join(', ')}.`}
    >
      {drawing.walls.map(({ from, to }, i) => (
        <line key={i} x1={x(from.xMetres)} y1={y(from.yMetres)} x2={x(to.xMetres)} y2={y(to.yMetres)} stroke="var(--ink)" strokeWidth="6" />
      ))}
      {drawing.runPath.length > 1 && (
        <polyline
          points={drawing.runPath.map((point) => `${x(point.xMetres)},${y(point.yMetres) + 5}`).join(' ')}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
          strokeLinecap="round"
          strokeDasharray="0.1 6"
        />
      )}
      {drawing.path.length > 1 && (
        <polyline
          points={drawing.path.map((point) => `${x(point.xMetres)},${y(point.yMetres)}`).join(' ')}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth="1.5"
          strokeDasharray="6 5"
        />
      )}
      {drawing.stitches.map((stitch, i) => (
        <g key={i} transform={`translate(${x(stitch.xMetres)} ${y(stitch.yMetres)}) rotate(${-stitch.degrees})`}>
          <Stitch x={-4} y={0} foot={stitch.foot} surface={stitch.surface} height={11} width={4} />
        </g>
      ))}
      {drawing.balls
        .filter((ball) => !drawing.labels.some((label) => isRing(label) && near(label, ball, 4)))
        .map((ball, i) => (
          <circle key={i} cx={x(ball.xMetres)} cy={y(ball.yMetres)} r="4.5" fill="var(--ink)" />
        ))}
      {drawing.dimensions.map((line, i) => (
        <Dimension
          key={i}
          from={[x(line.from.xMetres), y(line.from.yMetres)]}
          to={[x(line.to.xMetres), y(line.to.yMetres)]}
          text={line.text}
          lane={i}
          rightEdge={x(maxX)}
        />
      ))}
      {drawing.places.slice(1).map(({ xMetres, yMetres, role }, i) => (
        <text key={i} x={x(xMetres) - 14} y={y(yMetres) + 5} fontSize="13" textAnchor="end" fill="var(--quiet)">
          {role}
        </text>
      ))}
      {drawing.markers.map((marker, i) => (
        <g key={i} transform={`translate(${x(marker.xMetres)} ${y(marker.yMetres)})`}>
          <MarkerShape shape={marker.shape} />
          {isNamed(i) && (
            <text y="-15" fontSize="14" textAnchor="middle" fill="var(--quiet)" stroke="var(--card)" strokeWidth="4" paintOrder="stroke">
              {marker.colour}
            </text>
          )}
        </g>
      ))}
      {drawing.labels.map((label, i) =>
        isRing(label) ? (
          <g key={i} transform={`translate(${x(label.xMetres)} ${y(label.yMetres)})`}>
            <circle r="11" fill="var(--card)" stroke="var(--ink)" strokeWidth="1.4" />
            <text y="5" fontSize="14" textAnchor="middle" fill="var(--ink)">
              {label.text}
            </text>
          </g>
        ) : (
          <text
            key={i}
            x={x(label.xMetres)}
            y={y(label.yMetres) + (['wall', 'goal'].includes(label.text) ? -12 : 32)}
            fontSize="14"
            textAnchor="middle"
            fill="var(--ink)"
          >
            {label.text}
          </text>
        ),
      )}
      {now?.worker && (
        <circle cx={x(now.worker.xMetres)} cy={y(now.worker.yMetres)} r="11" fill="none" stroke="var(--ink)" strokeWidth="2.5" data-walks="worker" />
      )}
      {now?.ball && <circle cx={x(now.ball.xMetres)} cy={y(now.ball.yMetres)} r="6" fill="var(--ink)" stroke="var(--now)" strokeWidth="3" data-walks="ball" />}
    </svg>
  );
}

/** An open shape; the colour is written beside it, never told by paint alone. */
export function MarkerShape({ shape, isDashed = false }: { shape: 'triangle' | 'square' | 'ring'; isDashed?: boolean }) {
  const pen = { fill: 'var(--card)', stroke: 'var(--ink)', strokeWidth: 1.6, strokeDasharray: isDashed ? '3 3' : undefined };
  if (shape === 'ring') return <circle r="7" {...pen} />;
  if (shape === 'square') return <rect x="-7" y="-7" width="14" height="14" {...pen} />;
  return <path d="M0 -9L9 7H-9Z" {...pen} />;
}

interface DimensionProps {
  from: [number, number];
  to: [number, number];
  text: string;
  lane: number;
  /** Upright lines stand to the right of everything drawn. */
  rightEdge: number;
}

/** A dimension line with serifs, set off from what it measures; a level one goes below, an upright one to the right. */
function Dimension({ from, to, text, lane, rightEdge }: DimensionProps) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy) || 1;
  const isUpright = Math.abs(dy) > Math.abs(dx) * 3;
  const isLevel = Math.abs(dx) > Math.abs(dy) * 3;
  const off = isLevel ? 46 + lane * 16 : isUpright ? 34 : 30;
  // Square to the line and above it, whichever way it runs.
  const side: [number, number] = isLevel ? [0, 1] : isUpright ? [1, 0] : [(dx >= 0 ? dy : -dy) / length, -Math.abs(dx) / length];
  const [ox, oy] = [side[0] * off, side[1] * off];
  const [ax, ay, bx, by] = isUpright ? [rightEdge + 34, from[1], rightEdge + 34, to[1]] : [from[0] + ox, from[1] + oy, to[0] + ox, to[1] + oy];
  const [sx, sy] = [(-dy / length) * 6, (dx / length) * 6];
  const [mx, my] = [(ax + bx) / 2, (ay + by) / 2];
  const room = text.length * 7.5 + 10;
  return (
    <g stroke="var(--ink)" strokeWidth="1">
      <path d={`M${ax} ${ay}L${bx} ${by}M${ax - sx} ${ay - sy}l${2 * sx} ${2 * sy}M${bx - sx} ${by - sy}l${2 * sx} ${2 * sy}`} fill="none" />
      <rect x={mx - room / 2} y={my - 9} width={room} height="18" fill="var(--card)" stroke="none" />
      <text x={mx} y={my + 5} fontSize="14" textAnchor="middle" fill="var(--ink)" stroke="none">
        {text}
      </text>
    </g>
  );
}
