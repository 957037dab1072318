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

/** What was typed and not kept survives a reload, as long as nobody else changed the plan. */
export function unkept(session: Session): PlanInHand | undefined {
  try {
    const kept = JSON.parse(noted(keyOf(session.id)) ?? 'null') as { version: number; plan: PlanInHand } | null;
    return kept?.version === session.version ? { ...planOf(session), ...kept.plan } : undefined;
  } catch {
    return undefined;
  }
}

export function rememberUnkept(sessionId: number, version: number, plan: PlanInHand | undefined): void {
  note(keyOf(sessionId), plan && JSON.stringify({ version, plan }));
}
