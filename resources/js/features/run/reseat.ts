import { seating } from '../../kernel/seating';
import type { Player, RunPack } from '../../shared/api/schemas';
import { isAtBall, type Seat } from '../../shared/lib/seats';
import type { Ask } from './rollCalls';
import type { RunBlock, RunSegment } from './words';

/** Who is there: who works, and who only serves, counts and fetches today. */
export interface Roster {
  working: number[];
  serving: number[];
}

type Table = RunPack['tables'][number];
type TableSegment = Table['segments'][number];
/** Place → player. */
type Names = Record<number, number>;

const isWorked = (block: RunBlock) => block.kind === 'drill' || block.kind === 'game';

/** As planned: who may work in nothing today only serves. */
export function rosterOf(pack: RunPack): Roster {
  const worked = pack.blocks.filter(isWorked);
  const onlyServes = ({ id }: Player) => worked.length > 0 && worked.every((block) => block.mayNot.includes(id));
  const ids = (some: Player[]) => some.map((one) => one.id);
  return { working: ids(pack.players.filter((one) => !onlyServes(one))), serving: ids(pack.players.filter(onlyServes)) };
}

/** Who is there for a block: without those who may not work in it, or in a station of its round. */
function rosterIn(pack: RunPack, block: RunBlock, roster: Roster): Roster {
  const round = new Set([block.id, ...(block.round[0] ?? []).map((station) => station.blockId)]);
  const mayNot = new Set(pack.blocks.filter((one) => round.has(one.id)).flatMap((one) => one.mayNot));
  return {
    working: roster.working.filter((id) => !mayNot.has(id)),
    serving: [...roster.serving, ...roster.working.filter((id) => mayNot.has(id))],
  };
}

/** How a block is done by as many as are there for it. */
interface Seating {
  table: Table;
  roster: Roster;
}

const tableFor = (pack: RunPack, { working }: Roster): Table | undefined => pack.tables.find(({ size }) => size === working.length);

/** The first block the pack does not know for as many as may work in it, and how many those are. */
export function unknownFor(pack: RunPack, roster: Roster): { block: RunBlock; working: number } | undefined {
  const block = pack.blocks.find((one) => !tableFor(pack, rosterIn(pack, one, roster)));
  return block && { block, working: rosterIn(pack, block, roster).working.length };
}

/** Block id → how it is done; undefined where the pack does not know it for as many. */
export function seatingsFor(pack: RunPack, roster: Roster): Map<string, Seating> | undefined {
  const seatings = new Map<string, Seating>();
  for (const block of pack.blocks) {
    const here = rosterIn(pack, block, roster);
    const table = tableFor(pack, here);
    if (!table) return undefined;
    seatings.set(block.id, { table, roster: here });
  }
  return seatings;
}

/**
 * The run with others than were planned: what has been done stands, the stretch that goes on keeps its time, and from here on names
 * are put on the places of the table for as many as are there. Null where the pack has no such table.
 *
 * @param at of the stretch that goes on
 * @param times how often this was done before, to tell the new stretches from the old ones
 */
export function reseated(pack: RunPack, at: number, roster: Roster, times: number): RunPack | null {
  const seatings = seatingsFor(pack, roster);
  if (!seatings) return null;
  const everybody = [...pack.players, ...pack.others];
  const foot = (id: number) => everybody.find((one) => one.id === id)?.strongFoot ?? 'both';
  const names = namesByBlock(pack, seatings);
  const filled = [...seatings].flatMap(([id, { table, roster: here }]) =>
    table.segments.filter((segment) => segment.blockId === id).map((segment) => fill(segment, names[id] ?? {}, here, foot, times)),
  );
  const here = pack.segments[at];
  const before = pack.segments.slice(0, here ? at : pack.segments.length);
  const hereAt = here ? matching(filled, here) : undefined;
  const goesOn = here && { ...here, ...(hereAt?.isSame ? seatsOf(filled[hereAt.at]) : {}) };
  const blockAt = pack.blocks.findIndex((block) => block.id === here?.blockId);
  const later = new Set(pack.blocks.slice(blockAt + 1).map((block) => block.id));
  const rest = here
    ? filled.filter((segment, i) => (segment.blockId === here.blockId ? hereAt !== undefined && i > hereAt.at : later.has(segment.blockId)))
    : [];
  return {
    ...pack,
    players: inOrder(everybody, new Set([...pack.players.map((one) => one.id), ...roster.working, ...roster.serving])),
    others: everybody.filter((one) => !pack.players.includes(one) && !roster.working.includes(one.id) && !roster.serving.includes(one.id)),
    blocks: pack.blocks.map((block, i) => (i < blockAt ? block : together(block, seatings.get(block.id), names[block.id] ?? {}))),
    segments: goesOn ? [...before, goesOn, ...rest] : before,
  };
}

const inOrder = (players: Player[], ids: Set<number>): Player[] => players.filter((one) => ids.has(one.id)).sort((a, b) => a.name.localeCompare(b.name));

/** Groups of players, or those of each station in the first turn of a round. */
const groupsOf = (block: Pick<RunBlock, 'groups' | 'round'> | undefined): number[][] => {
  const [turn] = block?.round ?? [];
  if (turn) return turn.map((station) => station.playerIds).filter((ids) => ids.length > 0);
  return (block?.groups ?? []).map((group) => [...group.workers, ...group.servers]);
};

function namesByBlock(pack: RunPack, seatings: Map<string, Seating>): Record<string, Names> {
  const names: Record<string, Names> = {};
  for (const [id, { table, roster }] of seatings) {
    const block = table.blocks.find((one) => one.id === id);
    if (names[id] || !block) continue;
    const all = Array.from({ length: table.size }, (_, i) => i + 1);
    const places = groupsOf(block);
    const seated = new Set(places.flat());
    const alone = all.filter((place) => !seated.has(place));
    const put = seating(groupsOf(pack.blocks.find((one) => one.id === block.id)), [...places, ...alone.map((place) => [place])], roster.working);
    names[block.id] = put;
    // Stations of a round share their people.
    for (const station of block.round[0] ?? []) names[station.blockId] = put;
  }
  return names;
}

const named = (names: Names, places: number[]): number[] => places.flatMap((place) => names[place] ?? []);

function together(block: RunBlock, seating: Seating | undefined, names: Names): RunBlock {
  const now = seating?.table.blocks.find((one) => one.id === block.id);
  if (!seating || !now) return block;
  const beside = isWorked(block) ? seating.roster.serving.map((playerId) => ({ playerId, kind: 'counts' as const })) : [];
  return {
    ...block,
    ...now,
    groups: now.groups.map((group) => ({ ...group, workers: named(names, group.workers), servers: named(names, group.servers) })),
    duties: [...now.duties.map((duty) => ({ ...duty, playerId: names[duty.playerId] ?? duty.playerId })), ...beside],
    round: now.round.map((turn) => turn.map((station) => ({ ...station, playerIds: named(names, station.playerIds) }))),
    ages: [],
  };
}

function seatOf(playerId: number, code: string): Seat {
  const role = code.replace(/[~+]/g, '');
  const isIdle = code.includes('~') || ['waits', 'changes-over', 'lays-out', 'writes-down'].includes(role);
  return { playerId, role, slot: 0, ball: isAtBall(role) && !isIdle ? 1 : 0, wait: isIdle ? 1 : 0, isExtra: code.includes('+') };
}

function fill({ places, asks, ...segment }: TableSegment, names: Names, { serving }: Roster, foot: (id: number) => string, times: number): RunSegment {
  const seats = Object.entries(places).flatMap(([code, at]) => named(names, at).map((playerId) => seatOf(playerId, code)));
  // Who serves counts while the others are at it, and else does what they do.
  const beside = segment.kind === 'work' || segment.kind === 'game' ? 'counts' : (seats[0]?.role ?? 'rests');
  return {
    ...segment,
    id: `${segment.id}~${times}`,
    leftTouches: 0,
    rightTouches: 0,
    seats: seats.length === 0 ? [] : [...seats, ...serving.map((playerId) => seatOf(playerId, beside))],
    working: seats.filter((seat) => isAtBall(seat.role)).map((seat) => seat.playerId),
    stations: segment.stations.map((station) => ({ ...station, playerIds: named(names, station.playerIds) })),
    asks: asks.flatMap(({ place, byFoot, ...ask }): Ask[] => {
      const playerId = names[place];
      const owed = playerId === undefined ? undefined : (byFoot[foot(playerId)] ?? byFoot.both);
      return playerId === undefined || !owed ? [] : [{ ...ask, ...owed, playerId }];
    }),
  };
}

const seatsOf = (segment: RunSegment | undefined): Partial<RunSegment> =>
  segment ? { seats: segment.seats, working: segment.working, stations: segment.stations, asks: segment.asks } : {};

/** Where in the new table the run stands: at the same stretch, or after the last one of the same set where there is none like it. */
function matching(segments: RunSegment[], here: RunSegment): { at: number; isSame: boolean } | undefined {
  const isOfSet = (one: RunSegment) => one.blockId === here.blockId && one.side === here.side && one.set === here.set && one.item === here.item;
  const same = segments.findIndex((one) => isOfSet(one) && one.kind === here.kind && one.turn === here.turn);
  if (same >= 0) return { at: same, isSame: true };
  const last = segments.findLastIndex(isOfSet);
  return last >= 0 ? { at: last, isSame: false } : undefined;
}
