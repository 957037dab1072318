import type { ProposedBlock } from '../api/bookSchemas';
import type { Drill, Evaluation, PlanBlock } from '../api/schemas';
import { doseOfKind, doseValue, sizeField, withDoseValue } from './doseWords';

const newId = (): string => crypto.randomUUID();

export const drillBlock = (drill: Drill): PlanBlock => ({
  id: newId(),
  kind: 'drill',
  title: drill.name,
  minutes: null,
  drillVersionId: drill.versionId,
  // A drill that comes with no dose asks for one: this is where the asking begins.
  dose: drill.dose ?? doseOfKind('timed', 'each'),
  tempo: 'steady',
  stations: null,
  links: null,
  together: null,
  stationsWait: false,
  counted: null,
});

const minuteTitles = { water: 'Water', talk: 'Recap by question', game: 'Small game' } as const;
export const minutesBlock = (kind: 'water' | 'talk' | 'game'): PlanBlock => ({
  id: newId(),
  kind,
  title: minuteTitles[kind],
  minutes: kind === 'game' ? 10 : 2,
  drillVersionId: null,
  dose: null,
  tempo: null,
  stations: null,
  links: null,
  together: null,
  stationsWait: false,
  counted: null,
});

export function moved(blocks: PlanBlock[], id: string, by: -1 | 1): PlanBlock[] {
  const from = blocks.findIndex((block) => block.id === id);
  const to = from + by;
  const block = blocks[from];
  if (!block || to < 0 || to >= blocks.length) return blocks;
  return blocks.toSpliced(from, 1).toSpliced(to, 0, block);
}

export const changed = (blocks: PlanBlock[], id: string, change: Partial<PlanBlock>): PlanBlock[] =>
  blocks.map((block) => (block.id === id ? { ...block, ...change } : block));

/** The block at another place of the order. */
export function movedTo(blocks: PlanBlock[], id: string, to: number): PlanBlock[] {
  const from = blocks.findIndex((block) => block.id === id);
  const block = blocks[from];
  return !block || from === to ? blocks : blocks.toSpliced(from, 1).toSpliced(to, 0, block);
}

/** What makes a block longer or shorter: its minutes, or how often its dose is done. */
export function sizeOf(block: PlanBlock): number | undefined {
  const field = block.dose && sizeField(block.dose);
  return block.dose && field ? Number(doseValue(block.dose, field.name)) : (block.minutes ?? undefined);
}

const stepOf = (block: PlanBlock) => (!block.dose || sizeField(block.dose)?.type === 'minutes' ? 0.5 : 1);

/** The block at another size, as near as its kind allows. */
export function sized(block: PlanBlock, size: number): PlanBlock {
  const { dose } = block;
  const field = dose && sizeField(dose);
  const step = stepOf(block);
  const within = (least: number, most: number) => Math.min(most, Math.max(least, Math.round(size / step) * step));
  if (dose && field) return { ...block, dose: withDoseValue(dose, field.name, within(field.least, field.most)) };
  return block.minutes === null ? block : { ...block, minutes: within(0.5, 60) };
}

/** One step longer or shorter. */
export const stretched = (block: PlanBlock, by: -1 | 1): PlanBlock => {
  const size = sizeOf(block);
  return size === undefined ? block : sized(block, size + by * stepOf(block));
};

/** Runs at the same time as the block before it, or by itself again. */
export function together(blocks: PlanBlock[], id: string, isTogether: boolean): PlanBlock[] {
  const at = blocks.findIndex((block) => block.id === id);
  const before = blocks[at - 1];
  if (!before) return blocks;
  if (!isTogether) {
    // Those that came after it in the same round go on as a round of their own.
    const name = blocks[at]?.together;
    return blocks.map((block, i) =>
      i === at ? { ...block, together: null } : i > at && block.together === name && name ? { ...block, together: `${name}-b` } : block,
    );
  }
  const name = before.together ?? `round-${before.id.slice(0, 8)}`;
  return blocks.map((block, i) => (i === at || i === at - 1 ? { ...block, together: name } : block));
}

/** All stations of a round wait for each other, or none does. */
export const waiting = (blocks: PlanBlock[], round: string, stationsWait: boolean): PlanBlock[] =>
  blocks.map((block) => (block.together === round ? { ...block, stationsWait } : block));

type Cure = NonNullable<Evaluation['blocks'][number]['warnings'][number]['cure']>;

/** The running order after one press on a cure; one more helper is no change of the order. */
export function cured(blocks: PlanBlock[], id: string, cure: Cure): PlanBlock[] {
  if (cure.kind === 'helper') return blocks;
  if (cure.kind === 'stations') return changed(blocks, id, { stations: cure.stations });
  if (cure.kind === 'dose') return cure.dose ? changed(blocks, id, { dose: cure.dose }) : blocks;
  if (cure.kind === 'take-out') return blocks.filter((block) => block.id !== id);
  return blocks.toSpliced(
    Math.max(
      0,
      blocks.findIndex((block) => block.id === id),
    ),
    0,
    minutesBlock('water'),
  );
}

/** The running order after a cut: a shorter dose, or a block fewer. */
export const withCut = (blocks: PlanBlock[], cut: Evaluation['cuts'][number]): PlanBlock[] =>
  cut.dose ? changed(blocks, cut.blockId, { dose: cut.dose }) : blocks.filter((block) => block.id !== cut.blockId);

/** The running order of a proposal that is taken. */
export const proposedPlan = (blocks: ProposedBlock[]): PlanBlock[] =>
  blocks.map(({ kind, title, minutes, drillVersionId, dose, tempo, stations, counted }) => ({
    id: newId(),
    kind,
    title,
    minutes,
    drillVersionId,
    dose,
    tempo,
    stations,
    links: null,
    together: null,
    stationsWait: false,
    counted,
  }));

/** The same hour so many days later: 2026-11-24T18:00 and 7 days make 2026-12-01T18:00. */
export function daysLater(startsAt: string, days: number): string {
  const at = new Date(`${startsAt.slice(0, 10)}T00:00:00Z`);
  at.setUTCDate(at.getUTCDate() + days);
  return `${at.toISOString().slice(0, 10)}${startsAt.slice(10)}`;
}

/** What one press mends of what a second coach would say: the running order then, and the words on the press. */
export function mends(blocks: PlanBlock[], rule: string, blockId: string | null): { words: string; blocks: PlanBlock[] } | undefined {
  if (rule === 'no-early-numbers' && blockId) return { words: 'No number there', blocks: changed(blocks, blockId, { counted: 'nothing' }) };
  if (rule === 'water' && blockId)
    return { words: 'Water before it', blocks: cured(blocks, blockId, { kind: 'water', words: '', stations: null, dose: null }) };
  if (rule === 'recap') return { words: 'Two minutes of questions at the end', blocks: [...blocks, minutesBlock('talk')] };
  if (rule === 'ends-with-play') return { words: 'A game of ten minutes at the end', blocks: withPlay(blocks) };
  return undefined;
}

/** Play goes before the talk that ends a session. */
function withPlay(blocks: PlanBlock[]): PlanBlock[] {
  const at = blocks.at(-1)?.kind === 'talk' ? blocks.length - 1 : blocks.length;
  return blocks.toSpliced(at, 0, minutesBlock('game'));
}
