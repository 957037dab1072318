import { describe, expect, test } from 'vitest';
import sample from '../../../../tests/fixtures/contract/run-pack.json';
import { runPack } from '../../shared/api/schemas';
import { dotsOf, placesAt, sharesUpTo, signOf, spellsOfPack } from './rehearsal';

const pack = runPack.parse(sample);
const spells = spellsOfPack(pack);
const ids = pack.players.map((one) => one.id);
const length = spells.at(-1)?.to ?? 0;

describe('a rehearsal is the timeline and nothing else', () => {
  test('what everybody had by the end is the seats added up, and never more than the session is long', () => {
    const shares = sharesUpTo(spells, ids, length);
    for (const { playerId, ballSeconds, waitingSeconds, servingSeconds } of shares) {
      const seats = pack.segments.flatMap((segment) => segment.seats.filter((seat) => seat.playerId === playerId).map((seat) => ({ seat, segment })));
      expect(waitingSeconds).toBeCloseTo(
        seats.reduce((sum, { seat, segment }) => sum + seat.wait * segment.seconds, 0),
        6,
      );
      expect(ballSeconds + waitingSeconds + servingSeconds).toBeLessThanOrEqual(length);
      expect(ballSeconds).toBeGreaterThan(0);
    }
    const half = sharesUpTo(spells, ids, length / 2);
    shares.forEach((share, i) => expect(half[i]?.ballSeconds).toBeLessThanOrEqual(share.ballSeconds));
    expect(sharesUpTo(spells, ids, 0).every((share) => share.ballSeconds + share.waitingSeconds === 0)).toBe(true);
  });

  test('everybody is at one place in every stretch', () => {
    for (const spell of spells) {
      const there = placesAt(pack, spell).flatMap((place) => place.seats.map((seat) => seat.playerId));
      expect(there.sort()).toEqual(spell.segment.seats.map((seat) => seat.playerId).sort());
    }
  });

  test('who is at the ball goes along its way, who rests stands before the start', () => {
    const spell = spells.find((one) => one.segment.kind === 'work');
    const place = spell && placesAt(pack, spell)[0];
    if (!place?.drawing) throw new Error('The sample is drawn.');
    const way = [0, 4].map((seconds) => ({ xMetres: seconds, yMetres: 0, seconds }));
    const drawing = { ...place.drawing, walk: { seconds: 4, ball: way, worker: [] } };
    const [now, later] = [0, 2].map((seconds) => dotsOf(drawing, place.seats, seconds));
    const moved = now?.filter((dot, i) => dot.xMetres !== later?.[i]?.xMetres || dot.yMetres !== later[i].yMetres).map((dot) => dot.sign);
    expect(moved).toEqual(place.seats.filter((seat) => signOf(seat) === 'at the ball').map(() => 'at the ball'));
    expect(now).toHaveLength(place.seats.length);
  });
});
