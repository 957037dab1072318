import { describe, expect, test } from 'vitest';
import sample from '../../../../tests/fixtures/contract/run-pack.json';
import { runPack, type RunPack } from '../../shared/api/schemas';
import { reseated, rosterOf, seatingsFor, unknownFor } from './reseat';
import { askName } from './rollCalls';

const pack: RunPack = runPack.parse(sample);
const ids = pack.players.map((one) => one.id);
const seat = (working: number[], serving: number[] = [], at = 1) => reseated(pack, at, { working, serving }, 1);
const after = (now: RunPack | null, at: number) => now?.segments.slice(at) ?? [];
const isUpTo = (all: number[], some: number[]) => some.every((one) => all.includes(one));

/** The same block once more after it, by another name. */
function twice(one: RunPack): RunPack {
  const again = <T extends { blockId: string; id: string }>(some: T[]) => [...some, ...some.map((it) => ({ ...it, id: `${it.id} again`, blockId: 'again' }))];
  return {
    ...one,
    blocks: one.blocks.flatMap((block) => [{ ...block }, { ...block, id: 'again' }]),
    segments: again(one.segments),
    tables: one.tables.map((table) => ({
      ...table,
      blocks: table.blocks.flatMap((block) => [block, { ...block, id: 'again' }]),
      segments: again(table.segments),
    })),
  };
}

describe('others are there than were planned', () => {
  test('from here on everybody who is there has one seat in every stretch, and nobody else has any', () => {
    expect(ids).toHaveLength(4);
    for (const gone of ids) {
      const working = ids.filter((id) => id !== gone);
      const now = seat(working);
      expect(now?.segments.slice(0, 1)).toEqual(pack.segments.slice(0, 1));
      const rest = after(now, 1).filter((one) => one.seats.length > 0);
      expect(rest.length).toBeGreaterThan(2);
      for (const segment of rest) {
        expect(segment.seats.map((one) => one.playerId).sort()).toEqual([...working].sort());
        expect(isUpTo(working, segment.working)).toBe(true);
      }
    }
  });

  test('the stretch that goes on keeps its time and its name', () => {
    const at = pack.segments.findIndex((one) => one.kind === 'work');
    const now = seat(ids.slice(1), [], at);
    const [was, is] = [pack.segments[at], now?.segments[at]];
    expect([is?.id, is?.seconds, is?.endsByClock, is?.set, is?.side]).toEqual([was?.id, was?.seconds, was?.endsByClock, was?.set, was?.side]);
    expect(is?.working).not.toEqual(was?.working);
    expect(after(now, at + 1).every((one) => one.id.endsWith('~1'))).toBe(true);
  });

  test('numbers are owed by those who are there, once each and on lines the pack knows', () => {
    const working = ids.slice(0, 3);
    const now = seat(working);
    const asks = after(now, 1).flatMap((one) => one.asks);
    expect(new Set(asks.map((one) => one.playerId))).toEqual(new Set(working));
    expect(new Set(asks.map(askName)).size).toBe(asks.length);
    expect(asks.every((one) => pack.lines[one.lineKey] !== undefined)).toBe(true);
    // The best of the sets on each foot, as for everybody who was planned.
    const planned = pack.segments.flatMap((one) => one.asks).filter((one) => one.playerId === working[0]);
    expect(asks.filter((one) => one.playerId === working[0])).toHaveLength(planned.length);
  });

  test('who may not work in a block counts in it also when seated anew, owes nothing of it, and works in the others', () => {
    const [barred = 0, gone = 0, ...others] = ids;
    const careful = twice(pack);
    const [first, later] = careful.blocks;
    if (!first || !later) throw new Error('The sample has no block.');
    first.mayNot = [barred];
    const now = reseated(careful, 1, { working: [barred, ...others], serving: [] }, 1);
    const seats = (blockId: string) => after(now, 1).filter((one) => one.blockId === blockId && one.kind === 'work');
    expect(seats(first.id).length).toBeGreaterThan(0);
    for (const segment of seats(first.id)) {
      expect(segment.seats.find((one) => one.playerId === barred)?.role).toBe('counts');
      expect(segment.asks.some((one) => one.playerId === barred)).toBe(false);
    }
    expect(now?.blocks[0]?.duties).toContainEqual({ playerId: barred, kind: 'counts' });
    expect(now?.blocks[1]?.duties).toEqual([]);
    expect(seats(later.id).some((one) => one.working.includes(barred))).toBe(true);
    expect(after(now, 1).some((one) => one.seats.some((seat) => seat.playerId === gone))).toBe(false);
  });

  test('who may work in nothing today only serves from the start, and who may work in something does not', () => {
    const [one = 0, ...others] = ids;
    const all = { ...pack, blocks: pack.blocks.map((block) => ({ ...block, mayNot: [one] })) };
    expect(rosterOf(all)).toEqual({ working: others, serving: [one] });
    const [first, ...later] = twice(all).blocks;
    expect(rosterOf({ ...all, blocks: first ? [{ ...first, mayNot: [] }, ...later] : [] }).serving).toEqual([]);
    expect(rosterOf(pack)).toEqual({ working: ids, serving: [] });
  });

  test('nobody is seated where the pack knows no block for as few', () => {
    const careful = { ...pack, blocks: pack.blocks.map((block) => ({ ...block, mayNot: ids.slice(1) })) };
    expect(seatingsFor(careful, { working: ids.slice(1), serving: [] })).toBeUndefined();
    expect(unknownFor(careful, { working: ids.slice(1), serving: [] })).toEqual({ block: careful.blocks[0], working: 0 });
    expect(unknownFor(careful, { working: ids, serving: [] })).toBeUndefined();
    expect(seatingsFor(careful, { working: ids, serving: [] })?.get(pack.blocks[0]?.id ?? '')?.roster).toEqual({
      working: ids.slice(0, 1),
      serving: ids.slice(1),
    });
  });

  test('who only serves today counts, and owes nothing', () => {
    const [server = 0, ...working] = ids;
    const now = seat(working, [server]);
    for (const segment of after(now, 2).filter((one) => one.kind === 'work')) expect(segment.seats.find((one) => one.playerId === server)?.role).toBe('counts');
    const between = after(now, 1).filter((one) => one.kind !== 'work' && one.seats.length > 0);
    expect(between.length).toBeGreaterThan(0);
    for (const { seats } of between) expect(seats.find((one) => one.playerId === server)?.role).toBe(seats[0]?.role);
    expect(
      after(now, 1)
        .flatMap((one) => one.asks)
        .some((one) => one.playerId === server),
    ).toBe(false);
  });

  test('who was not to come takes a place, and is a name from then on; who left may come back', () => {
    const [late, ...planned] = pack.players;
    if (!late) throw new Error('The sample has players.');
    const smaller = reseated({ ...pack, players: planned, others: [late] }, 1, { working: planned.map((one) => one.id), serving: [] }, 1);
    const now = smaller && reseated(smaller, 2, { working: ids, serving: [] }, 2);
    expect(now?.players).toContain(late);
    expect(now?.others).not.toContain(late);
    expect(after(now, 3).some((one) => one.working.includes(late.id))).toBe(true);
    expect(new Set(now?.segments.map((one) => one.id)).size).toBe(now?.segments.length);
  });

  test('without a table for so many nothing is changed', () => {
    expect(seat([])).toBeNull();
    expect(seat(Array.from({ length: 30 }, (_, i) => i))).toBeNull();
  });

  test('after the last stretch there is nothing to seat', () => {
    expect(seat(ids.slice(1), [], pack.segments.length)?.segments).toEqual(pack.segments);
  });
});
