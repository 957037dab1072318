import { contact } from './schemas';
import { z } from './zod';

/** The move dictionary. */
export const moveSummary = z.object({
  slug: z.string(),
  name: z.string(),
  family: z.string(),
  script: z.string(),
  contacts: z.array(contact),
  touchesPerRep: z.number(),
  words: z.array(z.string()),
});
export const moves = z.object({ moves: z.array(moveSummary) });

export const step = z.object({
  foot: z.enum(['L', 'R', '?', '-']).nullable(),
  kind: z.enum(['contact', 'feint', 'turn', 'event']),
  surface: z.string().nullable(),
  way: z.string().nullable(),
  standing: z.enum(['L', 'R']).nullable(),
  words: z.string(),
  headingDegrees: z.number(),
  times: z.string(),
});
const moveRef = z.object({ slug: z.string(), name: z.string() });
export const move = moveSummary.extend({
  mirror: z.string(),
  cue: z.string(),
  faults: z.array(z.object({ fault: z.string(), fix: z.string() })),
  easier: z.array(moveRef),
  harder: z.array(moveRef),
  before: z.array(moveRef),
  stepsRight: z.array(step),
  stepsLeft: z.array(step),
});

export type MoveSummary = z.infer<typeof moveSummary>;
export type Move = z.infer<typeof move>;
export type Step = z.infer<typeof step>;
