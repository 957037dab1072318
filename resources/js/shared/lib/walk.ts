import type { Drawing } from '../api/schemas';

export type Walk = NonNullable<Drawing['walk']>;

/** What a station takes of the ground, and how far a rep goes on it. */
export function groundWords({ spaceText, pathLength, balls }: Drawing): string {
  const far = pathLength && (balls.length > 0 ? `the ball travels ${pathLength.text} a rep` : `a rep is ${pathLength.text} on foot`);
  return `One station takes ${spaceText} with room round it${far ? `; ${far}` : ''}.`;
}

/** Straight between the points the server timed: drawing, not reckoning. */
export function whereAt(points: Walk['ball'], seconds: number): { xMetres: number; yMetres: number } {
  const after = points.findIndex((point) => point.seconds >= seconds);
  const [to, from] = [points[after] ?? points[points.length - 1], points[Math.max(0, after - 1)]];
  if (!to || !from) return { xMetres: 0, yMetres: 0 };
  const share = to.seconds > from.seconds ? (seconds - from.seconds) / (to.seconds - from.seconds) : 1;
  return { xMetres: from.xMetres + (to.xMetres - from.xMetres) * share, yMetres: from.yMetres + (to.yMetres - from.yMetres) * share };
}
