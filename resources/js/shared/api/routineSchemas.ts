import { dose } from './schemas';
import { z } from './zod';

const yesNo = z.enum(['yes', 'no']);
export const routineWishes = z.object({
  minutes: z.number(),
  days: z.number(),
  space: z.enum(['hallway', 'small-square', 'square', 'lane']),
  wall: z.enum(['no', 'couch', 'yes']),
  helper: yesNo,
  quiet: yesNo,
  kit: z.enum(['things', 'ball', 'nothing']),
  school: z.enum(['both-feet', 'other-foot-day', 'records', 'good-ones']),
  /** Drills the coach chose and took out, by slug, a space between. */
  with: z.string(),
  without: z.string(),
});
const routineItem = z.object({
  drill: z.string(),
  name: z.string(),
  family: z.string(),
  minutes: z.number(),
  dose,
  reasons: z.array(z.string()),
  target: z.nullable(z.string()),
  easier: z.nullable(z.string()),
  harder: z.nullable(z.string()),
  links: z.nullable(z.number()),
});
export const routinePage = z.object({
  playerId: z.number(),
  playerName: z.string(),
  squadId: z.number(),
  wishes: routineWishes,
  keptOn: z.nullable(z.string()),
  /** Whether what is proposed is what was kept. */
  isAsKept: z.boolean(),
  days: z.array(z.object({ number: z.number(), isOtherFoot: z.boolean(), minutes: z.number(), items: z.array(routineItem) })),
  /** Why there is nothing to do; empty where there is. */
  refusal: z.string(),
  /** Names of drills the coach chose that do not fit. */
  left: z.array(z.string()),
});
export type RoutineWishes = z.infer<typeof routineWishes>;
export type RoutinePage = z.infer<typeof routinePage>;
export type RoutineDay = RoutinePage['days'][number];
