import type { Drawing } from '../api/schemas';

export type Walk = NonNullable<Drawing['walk']>;

/** Straight between the points the server timed: drawing, not reckoning. */
export function whereAt(points: Walk['ball'], seconds: number): { xMetres: number; yMetres: number } {
  const after = points.findIndex((point) => point.seconds >= seconds);
  const [to, from] = [points[after] ?? points[points.length - 1], points[Math.max(0, after - 1)]];
  if (!to || !from) return { xMetres: 0, yMetres: 0 };
  const share = to.seconds > from.seconds ? (seconds - from.seconds) / (to.seconds - from.seconds) : 1;
  return { xMetres: from.xMetres + (to.xMetres - from.xMetres) * share, yMetres: from.yMetres + (to.yMetres - from.yMetres) * share };
}
