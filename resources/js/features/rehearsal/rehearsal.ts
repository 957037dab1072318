import type { Drawing, RunPack } from '../../shared/api/schemas';
import { doingWords, isAtBall, isService, spellAt, spellsOf, type Seat, type Spell } from '../../shared/lib/seats';
import { whereAt } from '../../shared/lib/walk';
import type { Shares } from '../../shared/ui/ShareBars';

type RunBlock = RunPack['blocks'][number];
interface PointInMetres {
  xMetres: number;
  yMetres: number;
}

/** What everybody has had up to a moment: nothing but the seats of the timeline, added up. */
export function sharesUpTo(spells: Spell[], playerIds: number[], seconds: number): Shares[] {
  const shares = new Map(playerIds.map((id) => [id, { playerId: id, ballSeconds: 0, servingSeconds: 0, waitingSeconds: 0 }]));
  for (const { segment, from, to } of spells) {
    const gone = Math.min(seconds, to) - from;
    if (gone <= 0) continue;
    for (const seat of segment.seats) {
      const share = shares.get(seat.playerId);
      if (!share) continue;
      share.ballSeconds += seat.ball * gone;
      share.waitingSeconds += seat.wait * gone;
      if (isService(seat.role)) share.servingSeconds += (1 - seat.wait) * gone;
    }
  }
  return [...shares.values()];
}

/** Places that are worked at side by side: a station, a group, or everybody on one ground. */
export interface Place {
  key: string;
  title: string;
  drawing: Drawing | undefined;
  seats: Seat[];
}

export function placesAt(pack: RunPack, { segment }: Spell): Place[] {
  const block = pack.blocks.find((one) => one.id === segment.blockId);
  const seatsOf = (ids: number[]) => segment.seats.filter((seat) => ids.includes(seat.playerId));
  if (segment.stations.length > 0)
    return segment.stations.map(({ blockId, playerIds }) => {
      const station = pack.blocks.find((one) => one.id === blockId);
      return { key: blockId, title: station?.title ?? '', drawing: station?.drill?.drawing, seats: seatsOf(playerIds) };
    });
  const groups = groupsOf(block, segment.seats);
  const inGroups = new Set(groups.flat());
  const others = segment.seats.filter((seat) => !inGroups.has(seat.playerId));
  const places = groups.map((ids, i) => ({
    key: String(i),
    title: groups.length > 1 ? String(i + 1) : '',
    drawing: block?.drill?.drawing,
    seats: seatsOf(ids),
  }));
  return others.length === 0 ? places : [...places, { key: 'others', title: 'beside', drawing: undefined, seats: others }];
}

function groupsOf(block: RunBlock | undefined, seats: Seat[]): number[][] {
  const groups = (block?.groups ?? []).map((group) => [...group.workers, ...group.servers]);
  if (groups.length > 0) return groups;
  const everybody = seats.map((seat) => seat.playerId);
  // A ground each, or one for all.
  return block && block.stations > 1 && block.stations >= everybody.length ? everybody.map((id) => [id]) : [everybody];
}

export type Sign = 'at the ball' | 'serving' | 'resting' | 'waiting';
export interface Dot extends PointInMetres {
  playerId: number;
  sign: Sign;
}

export function signOf(seat: Seat): Sign {
  if (seat.wait > 0.5) return 'waiting';
  if (isAtBall(seat.role)) return 'at the ball';
  return isService(seat.role) ? 'serving' : doingWords(seat)[0] === 'waits' ? 'waiting' : 'resting';
}

/** Where everybody of a place stands: who is at the ball goes along its way, the others stand in line before the start. */
export function dotsOf(drawing: Drawing | undefined, seats: Seat[], seconds: number): Dot[] {
  const atBall = seats.filter((seat) => signOf(seat) === 'at the ball');
  const others = seats.filter((seat) => signOf(seat) !== 'at the ball');
  const spots = drawing?.places ?? [];
  const centre = middle(drawing);
  const spread = (point: PointInMetres, i: number, of: number): PointInMetres => {
    const [angle, radius] = [(2 * Math.PI * i) / of, Math.max(1.2, of / 5)];
    return of < 2 ? point : { xMetres: point.xMetres + Math.cos(angle) * radius * 2, yMetres: point.yMetres + Math.sin(angle) * radius };
  };
  const serverSpots = spots.filter((spot) => spot.role === 'server');
  const first = drawing?.path[0] ?? spots[0] ?? centre;
  return [
    ...atBall.map((seat, i) => {
      const walk = drawing?.walk;
      const way = walk && walk.ball.length > 0 ? walk.ball : walk?.worker;
      const point = walk && way ? whereAt(way, (seconds + (i * walk.seconds) / atBall.length) % walk.seconds) : spread(spots[i] ?? centre, i, atBall.length);
      return { playerId: seat.playerId, sign: signOf(seat), ...point };
    }),
    ...others.map((seat, i) => {
      const spot = signOf(seat) === 'serving' ? serverSpots[i] : undefined;
      return { playerId: seat.playerId, sign: signOf(seat), ...(spot ?? { xMetres: first.xMetres - 1.6 - i * 1.2, yMetres: first.yMetres }) };
    }),
  ].map(({ playerId, sign, xMetres, yMetres }) => ({ playerId, sign, xMetres, yMetres }));
}

function middle(drawing: Drawing | undefined): PointInMetres {
  const points = drawing ? [...drawing.markers, ...drawing.path, ...drawing.places] : [];
  const mean = (of: (point: PointInMetres) => number) => (points.length === 0 ? 0 : points.reduce((sum, point) => sum + of(point), 0) / points.length);
  return { xMetres: mean((point) => point.xMetres), yMetres: mean((point) => point.yMetres) };
}

/** The whole session on one clock. */
export const spellsOfPack = (pack: RunPack): Spell[] => spellsOf(pack.segments);
export { spellAt };
