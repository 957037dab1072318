import { note, noted } from './deviceNotes';
import type { PlanDraft, PlanHeader } from '../api/queries';
import type { Session } from '../api/schemas';

/** The plan in hand: what is typed, and the version it started from. */
export interface PlanInHand extends Required<PlanDraft>, PlanHeader {}

export const planOf = (session: Session): PlanInHand => ({
  title: session.title,
  place: session.place,
  startsAt: session.startsAt,
  slotMinutes: session.slotMinutes,
  blocks: session.blocks,
  comingPlayerIds: session.comingPlayerIds,
  helpers: session.helpers,
  laidBefore: session.laidBefore,
  may: session.may,
  isHot: session.isHot,
  temperatureCelsius: session.temperatureCelsius,
  humidityPercent: session.humidityPercent,
  overrides: session.overrides.map(({ blockId, code, reason }) => ({ blockId, code, reason })),
});

/** Who comes, when, with whose help, and in what heat: what any order for that day goes by. */
export const dayOf = (plan: PlanInHand) => ({
  comingPlayerIds: plan.comingPlayerIds,
  startsAt: plan.startsAt,
  helpers: plan.helpers,
  laidBefore: plan.laidBefore,
  may: plan.may,
  isHot: plan.isHot,
  temperatureCelsius: plan.temperatureCelsius,
  humidityPercent: plan.humidityPercent,
});

/** What the server needs to work the plan out. */
export const draftOf = (plan: PlanInHand): PlanDraft => ({
  slotMinutes: plan.slotMinutes,
  blocks: plan.blocks,
  ...dayOf(plan),
  overrides: plan.overrides,
});

const keyOf = (sessionId: number): string => `plan-${sessionId}`;

/** A plan, and the version that it changes: somebody else may have kept another since. */
export interface Typed {
  version: number;
  plan: PlanInHand;
}

/** What was typed and not kept: it survives a reload. */
export function unkept(session: Session): Typed | undefined {
  try {
    const note = JSON.parse(noted(keyOf(session.id)) ?? 'null') as Typed | null;
    return note ? { version: note.version, plan: { ...planOf(session), ...note.plan } } : undefined;
  } catch {
    return undefined;
  }
}

/** The plan as its views show it first. */
export const inHand = (session: Session): Typed => unkept(session) ?? { version: session.version, plan: planOf(session) };

export function rememberUnkept(sessionId: number, version: number, plan: PlanInHand | undefined): void {
  note(keyOf(sessionId), plan && JSON.stringify({ version, plan }));
}
