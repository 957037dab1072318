import { blockEvaluation, contact, dose, drawing, drill, evaluation } from './schemas';
import { z } from './zod';

/** The move dictionary. */
const moveSummary = z.object({
  slug: z.string(),
  name: z.string(),
  family: z.string(),
  script: z.string(),
  contacts: z.array(contact),
  touchesPerRep: z.number(),
  secondsPerRep: z.number(),
  words: z.array(z.string()),
});
export const moves = z.object({ moves: z.array(moveSummary) });

export const step = z.object({
  foot: z.nullable(z.enum(['L', 'R', '?', '-'])),
  kind: z.enum(['contact', 'feint', 'turn', 'event']),
  surface: z.nullable(z.string()),
  way: z.nullable(z.string()),
  standing: z.nullable(z.enum(['L', 'R'])),
  words: z.string(),
  headingDegrees: z.number(),
  times: z.string(),
});
const moveRef = z.object({ slug: z.string(), name: z.string() });
export const move = z.extend(moveSummary, {
  mirror: z.string(),
  cue: z.string(),
  faults: z.array(z.object({ fault: z.string(), fix: z.string() })),
  easier: z.array(moveRef),
  harder: z.array(moveRef),
  before: z.array(moveRef),
  stepsRight: z.array(step),
  stepsLeft: z.array(step),
});

/** The drills of the book and those of one's own. */
const drillSummary = z.object({
  slug: z.string(),
  name: z.string(),
  family: z.string(),
  summary: z.string(),
  contacts: z.array(contact),
  dose: z.nullable(dose),
  fromAge: z.string(),
  people: z.enum(['alone', 'pair', 'group']),
  minutes: z.nullable(z.number()),
  isOwn: z.boolean(),
});
export const drillsFound = z.object({ found: z.array(drillSummary) });

/** A drill as a file writes it; what is in it, the server judges. */
const drillFields = z.record(z.string(), z.unknown());
export const drillPage = z.object({
  drill: z.extend(drill, { needs: z.array(moveRef) }),
  fields: drillFields,
  own: z.nullable(z.object({ version: z.number(), isShared: z.boolean(), squadName: z.string(), mayChange: z.boolean(), copiedFrom: z.nullable(z.string()) })),
  /** How the squad sets the number to beat here; null for as it usually does. */
  target: z.object({ school: z.nullable(z.string()), number: z.nullable(z.number()), usual: z.string(), forAge: z.nullable(z.number()) }),
});
export const drillTrial = z.object({
  fields: drillFields,
  faults: z.array(z.object({ path: z.string(), message: z.string() })),
  parameters: z.array(z.object({ name: z.string(), label: z.string(), type: z.enum(['length', 'whole', 'flag']), least: z.number(), most: z.number() })),
  drill: z.nullable(z.object({ script: z.string(), contacts: z.array(contact), touchesPerRep: z.number(), asks: z.array(z.string()), drawing })),
  worked: z.nullable(z.object({ players: z.number(), stationsFit: z.nullable(z.number()), block: blockEvaluation })),
  line: z.nullable(z.object({ startsNew: z.boolean(), reasons: z.array(z.string()) })),
});
export const drillChoices = z.object({ choices: z.record(z.string(), z.array(z.object({ value: z.string(), words: z.string() }))) });
export const drillsTaken = z.object({ taken: z.array(z.object({ slug: z.string(), name: z.string() })) });
export const score = z.object({ seconds: z.number(), timeSeconds: z.number(), penaltySeconds: z.number(), lines: z.array(z.string()) });

export const ladders = z.object({
  ladders: z.array(
    z.object({
      slug: z.string(),
      name: z.string(),
      family: z.string(),
      /** One short try of a few rungs, in the windows of their own lines. */
      entryTest: z._default(z.array(z.object({ drill: z.string(), dose })), []),
      rungs: z.array(z.object({ drill: z.string(), name: z.string(), criterion: z.string(), harderBy: z.array(z.string()), contacts: z.array(contact) })),
      places: z.array(
        z.object({ playerId: z.number(), rung: z.nullable(z.number()), advice: z.enum(['begin', 'stay', 'up', 'back', 'held', 'done']), why: z.string() }),
      ),
    }),
  ),
  tree: z.array(z.object({ slug: z.string(), name: z.string(), family: z.string(), needs: z.array(z.string()), depth: z.number() })),
});

export const resetDrawing = z.object({
  markers: z.array(
    z.object({
      xMetres: z.number(),
      yMetres: z.number(),
      shape: z.enum(['triangle', 'square', 'ring']),
      colour: z.string(),
      fate: z.enum(['keep', 'arrive', 'leave']),
    }),
  ),
  kept: z.number(),
  moved: z.number(),
  added: z.number(),
  lifted: z.number(),
});

export type MoveSummary = z.infer<typeof moveSummary>;
export type Move = z.infer<typeof move>;
export type Step = z.infer<typeof step>;
export type DrillSummary = z.infer<typeof drillSummary>;
export type DrillPageData = z.infer<typeof drillPage>;
export type DrillFields = z.infer<typeof drillFields>;
export type DrillTrial = z.infer<typeof drillTrial>;
export type DrillChoices = z.infer<typeof drillChoices>['choices'];
export type Ladder = z.infer<typeof ladders>['ladders'][number];
export type TreeMove = z.infer<typeof ladders>['tree'][number];
export type ResetDrawing = z.infer<typeof resetDrawing>;

/** What was done of a drill when the squad last did it. */
export const lastTime = z.object({
  last: z.nullable(
    z.object({
      sessionId: z.number(),
      title: z.string(),
      on: z.string(),
      players: z.number(),
      dose: z.nullable(dose),
      numbers: z.array(z.object({ playerId: z.number(), side: z.enum(['R', 'L', 'both', 'alternating']), value: z.number(), unit: z.string() })),
    }),
  ),
});

/** Sessions to take or leave. */
const proposedBlock = z.object({
  id: z.string(),
  kind: z.enum(['drill', 'water', 'talk', 'game']),
  title: z.string(),
  minutes: z.nullable(z.number()),
  drill: z.nullable(z.string()),
  drillVersionId: z.nullable(z.number()),
  dose: z.nullable(dose),
  tempo: z.nullable(z.enum(['learn', 'steady', 'match'])),
  stations: z.nullable(z.number()),
  /** "nothing" where no number is asked for. */
  counted: z._default(z.nullable(z.string()), null),
  phase: z.nullable(z.string()),
  reasons: z.array(z.object({ term: z.string(), words: z.string(), value: z.number(), points: z.number() })),
});
export const proposals = z.object({
  theme: z.string(),
  slotMinutes: z.number(),
  proposals: z.array(z.object({ worth: z.number(), notes: z.array(z.string()), blocks: z.array(proposedBlock), evaluation })),
  refusals: z.array(z.object({ wish: z.string(), reason: z.string(), instead: z.string() })),
  /** What was wanted most and cannot be done today. */
  leftOut: z._default(z.array(z.object({ drill: z.string(), why: z.string() })), []),
});
export type ProposedBlock = z.infer<typeof proposedBlock>;
export type Proposals = z.infer<typeof proposals>;

/** What there is to find, with its words. */
export const searchIndex = z.object({
  entries: z.array(
    z.object({ kind: z.enum(['move', 'drill', 'ladder', 'player']), id: z.string(), name: z.string(), words: z.array(z.string()), text: z.string() }),
  ),
});
export type SearchEntry = z.infer<typeof searchIndex>['entries'][number];
