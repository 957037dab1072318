import type { RunPack } from '../../shared/api/schemas';
import { listed } from '../../shared/lib/groups';
import { doingOf, doingWords, isAtBall, isService, type Seat } from '../../shared/lib/seats';
import type { RunBlock } from './words';

/** One line of who is where: a place, and who does what there. */
export interface WhoLine {
  key: string;
  /** Name of the station or number of the group; empty where there is one. */
  at: string;
  /** "Kofi works, Bo rests" */
  doing: string;
}

const isAlone = (group: RunBlock['groups'][number]): boolean => group.workers.length + group.servers.length === 1 && !group.isHelped;

/** Who does something first, then who serves, then who rests. */
const eagerness = (seat: Seat): number => (isAtBall(seat.role) ? 0 : isService(seat.role) ? 1 : 2);

/** Who is where and with whom, in a stretch of work; before it, who will be together; while they change over, who goes next. */
export function whoIsWhere(pack: RunPack, at: number): WhoLine[] {
  const segment = pack.segments[at];
  if (!segment || segment.kind === 'water' || segment.kind === 'talk') return [];
  const names = (id: number) => pack.players.find((player) => player.id === id)?.name ?? String(id);
  if (segment.stations.length > 0)
    return segment.stations
      .filter((station) => station.playerIds.length > 0)
      .map(({ blockId, playerIds }) => ({
        key: blockId,
        at: pack.blocks.find((block) => block.id === blockId)?.title ?? '',
        // In a round a seat stands for a whole visit: who is there is what matters.
        doing: listed(playerIds.map(names)),
      }));
  const groups = pack.blocks.find((one) => one.id === segment.blockId)?.groups ?? [];
  const areTogether = groups.length > 0 && !groups.every(isAlone);
  if (segment.kind === 'set-up' || segment.kind === 'explain')
    return areTogether
      ? groups.map((group, i) => ({
          key: String(i),
          at: groups.length > 1 ? String(i + 1) : '',
          doing: listed([...group.workers, ...group.servers].map(names)) + (group.isHelped ? ' with a helper' : ''),
        }))
      : [];
  const shown = segment.kind === 'change' ? (pack.segments.slice(at).find((one) => one.kind === 'work') ?? segment) : segment;
  const seats = shown.seats.toSorted((a, b) => eagerness(a) - eagerness(b));
  const [first] = seats;
  if (!first) return [];
  const isAllAlike = seats.every((seat) => doingWords(seat)[0] === doingWords(first)[0]);
  if (isAllAlike && seats.length > 2 && (!areTogether || eagerness(first) > 0))
    return [{ key: 'all', at: '', doing: `All ${seats.length} ${doingWords(first)[1]}` }];
  // Who counts and fetches in a game is named by that duty.
  if (segment.kind === 'game') {
    const playing = seats.filter((seat) => isAtBall(seat.role)).length;
    const few = ['Nobody may play', 'One plays, with a grown-up'][playing];
    return [{ key: 'all', at: '', doing: few ?? `${playing} play` }];
  }
  if (!areTogether) return [{ key: 'all', at: '', doing: doingOf(seats, names) }];
  const inGroups = new Set(groups.flatMap((group) => [...group.workers, ...group.servers]));
  const others = seats.filter(({ playerId }) => !inGroups.has(playerId));
  const lines = groups.map((group, i) => ({
    key: String(i),
    at: groups.length > 1 ? String(i + 1) : '',
    doing:
      inTurnOrDoing(
        seats.filter(({ playerId }) => group.workers.includes(playerId) || group.servers.includes(playerId)),
        (id) => nextGo(pack, shown, id),
        names,
      ) + (group.isHelped ? '; a helper serves' : ''),
  }));
  return others.length === 0 ? lines : [...lines, { key: 'others', at: '', doing: doingOf(others, names) }];
}

const isAtWork = (seats: Seat[], id: number): boolean => seats.some((seat) => seat.playerId === id && eagerness(seat) === 0);

/** The stretch of somebody's next go in the block, by its place in the session; -1 where there is none. */
function nextGo(pack: RunPack, shown: RunPack['segments'][number], id: number): number {
  const from = pack.segments.indexOf(shown) + 1;
  return pack.segments.findIndex((later, i) => i >= from && later.blockId === shown.blockId && isAtWork(later.seats, id));
}

/** As many as are named one by one; of more, how many. */
const named = 4;

/** "Amina, then Elif" where whoever rests or waits has a go to come, in the order of their goes; else what each does. */
function inTurnOrDoing(seats: Seat[], goOf: (id: number) => number, names: (id: number) => string): string {
  const [at, still] = [seats.filter((seat) => eagerness(seat) === 0), seats.filter((seat) => eagerness(seat) === 2)];
  const isInTurn = at.length > 0 && still.length > 0 && at.length + still.length === seats.length;
  if (!isInTurn || at.some((seat) => seat.isExtra) || !still.every((seat) => goOf(seat.playerId) >= 0)) return doingOf(seats, names);
  const next = still.map((seat) => seat.playerId).toSorted((a, b) => goOf(a) - goOf(b));
  const then = next.length > named ? [...next.slice(0, named - 1).map(names), `${next.length - named + 1} more`] : next.map(names);
  return `${listed(at.map((seat) => names(seat.playerId)))}, then ${listed(then)}`;
}
