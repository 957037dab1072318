import type { Player, Segment } from '../api/schemas';
import { listed } from './groups';

export type Seat = Segment['seats'][number];

/** One stretch of a block on its own clock. */
export interface Spell {
  segment: Segment;
  /** Seconds from the start of the block. */
  from: number;
  to: number;
}

export function spellsOf(segments: Segment[]): Spell[] {
  let from = 0;
  return segments.map((segment) => {
    const spell = { segment, from, to: from + segment.seconds };
    from = spell.to;
    return spell;
  });
}

/** The stretch that goes on at a moment; a moment between two belongs to the later one. */
export const spellAt = (spells: Spell[], seconds: number): Spell | undefined =>
  spells.findLast((spell) => spell.from <= seconds && spell.segment.seconds > 0) ?? spells[0];

/** At the ball, or in the game round it; for others. */
export const isAtBall = (role: string): boolean => role === 'works' || role === 'plays' || role === 'keeps-goal';
export const isService = (role: string): boolean => role === 'serves' || role === 'counts';

/** What somebody does, of one person and of several. */
const doing: Record<string, [one: string, many: string]> = {
  works: ['works', 'work'],
  plays: ['plays', 'play'],
  serves: ['serves', 'serve'],
  'keeps-goal': ['keeps goal', 'keep goal'],
  counts: ['counts', 'count'],
  waits: ['waits', 'wait'],
  rests: ['rests', 'rest'],
  'changes-over': ['changes over', 'change over'],
  listens: ['listens', 'listen'],
  drinks: ['drinks', 'drink'],
  'lays-out': ['waits for the layout', 'wait for the layout'],
  'writes-down': ['waits for the numbers', 'wait for the numbers'],
};

/** Whose rest has run out is waiting; who has the ball only in turns works in turns. */
export function doingWords(seat: Seat): [one: string, many: string] {
  if (seat.role === 'rests' && seat.wait > 0.5) return doing.waits ?? ['', ''];
  const [one, many] = doing[seat.role] ?? [seat.role, seat.role];
  if (seat.isExtra) return [`goes on, not owed`, `go on, not owed`];
  return (seat.role === 'works' || seat.role === 'plays') && seat.wait > 0.5 ? [`${one} in turns`, `${many} in turns`] : [one, many];
}

interface Doing {
  words: [one: string, many: string];
  names: string[];
}

/** Those who do the same, together. */
function doingTogether(seats: Seat[], nameOf: (id: number) => string): Doing[] {
  const groups = new Map<string, Doing>();
  for (const seat of seats) {
    const words = doingWords(seat);
    const group = groups.get(words[0]) ?? { words, names: [] };
    groups.set(words[0], { ...group, names: [...group.names, nameOf(seat.playerId)] });
  }
  return [...groups.values()];
}

const inWords = (groups: Doing[]): string => groups.map(({ words: [one, many], names }) => `${listed(names)} ${names.length === 1 ? one : many}`).join('; ');

/** "Amina and Tomasz work; Ines waits" */
export const doingOf = (seats: Seat[], nameOf: (id: number) => string): string => inWords(doingTogether(seats, nameOf));

/** "Amina and Tomasz work; Bo and Rafi rest; Ines waits." */
export function momentWords(seats: Seat[], players: Player[]): string {
  const groups = doingTogether(seats, (id) => players.find((player) => player.id === id)?.name ?? String(id));
  const [first] = groups;
  if (first && groups.length === 1 && first.names.length > 2) return `Everybody ${first.words[0]}.`;
  const sentence = inWords(groups);
  return sentence && `${sentence}.`;
}

/**
 * What is drawn at each step of a stretch: a touch of a foot, waiting, or neither, each as often as its share, spread evenly. Feet
 * take turns unless the stretch is on one side.
 */
export function stepsOf(seat: Seat, count: number, side = 'both'): ('R' | 'L' | 'wait' | 'rest')[] {
  let [ball, wait, touches] = [0.5, 0.5, 0];
  return Array.from({ length: count }, () => {
    ball += seat.ball;
    wait += seat.wait;
    if (ball >= 1) {
      ball -= 1;
      touches += 1;
      return side === 'R' || side === 'L' ? side : touches % 2 === 1 ? 'R' : 'L';
    }
    if (wait >= 1) {
      wait -= 1;
      return 'wait';
    }
    return 'rest';
  });
}
