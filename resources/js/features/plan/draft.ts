import type { PlanDraft, PlanHeader } from '../../shared/api/queries';
import type { Dose, Drill, PlanBlock, Session } from '../../shared/api/schemas';

/** The plan in hand: what is typed, and the version it started from. */
export interface PlanInHand extends PlanDraft, PlanHeader {}

export const planOf = (session: Session): PlanInHand => ({
  title: session.title,
  place: session.place,
  startsAt: session.startsAt,
  slotMinutes: session.slotMinutes,
  blocks: session.blocks,
  comingPlayerIds: session.comingPlayerIds,
});

const newId = (): string => crypto.randomUUID();

export const drillBlock = (drill: Drill): PlanBlock => ({
  id: newId(),
  kind: 'drill',
  title: drill.name,
  minutes: null,
  drillVersionId: drill.versionId,
  dose: drill.dose,
  tempo: 'steady',
  stations: null,
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

/** The dose of another school with sensible numbers, on the same feet. */
export function doseOfKind(kind: string, sides: string): Dose {
  if (kind === 'reps') return { kind, reps: 10, sets: 2, restSeconds: 20, sides };
  if (kind === 'quota') return { kind, good: 10, restSeconds: 15, sides };
  if (kind === 'lengths') return { kind, lengths: 4, andBack: 1, sets: 2, restSeconds: 20, sides };
  if (kind === 'collective') return { kind, total: 100, onlyGood: 0, sets: 1, restSeconds: 0, sides };
  if (kind === 'streak') return { kind, goal: 50, sets: 3, restSeconds: 10, sides };
  if (kind === 'tries') return { kind, balls: 5, untilHit: 1, sets: 2, restSeconds: 20, sides };
  if (kind === 'free') return { kind, minutes: 3, sides };
  if (kind === 'race') return { kind, reps: 1, sets: 3, restSeconds: 25, sides };
  return { kind: 'timed', workSeconds: 30, sets: 2, restSeconds: 20, sides };
}

const keyOf = (sessionId: number): string => `plan-${sessionId}`;

/** What was typed and not kept survives a reload, as long as nobody else changed the plan. */
export function unkept(session: Session): PlanInHand | undefined {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(session.id)) ?? 'null') as { version: number; plan: PlanInHand } | null;
    return kept?.version === session.version ? kept.plan : undefined;
  } catch {
    return undefined;
  }
}

export function rememberUnkept(sessionId: number, version: number, plan: PlanInHand | undefined): void {
  if (plan) localStorage.setItem(keyOf(sessionId), JSON.stringify({ version, plan }));
  else localStorage.removeItem(keyOf(sessionId));
}
