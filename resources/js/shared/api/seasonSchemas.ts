import { z } from './zod';
import { player, recordLine, reminder, standing } from './schemas';

/** How a figure is known. */
export const evidence = z.object({ formula: z.string(), inputs: z.array(z.string()), count: z.number(), source: z.string() });

export const feetTouches = z.object({
  left: z.number(),
  right: z.number(),
  unknown: z.number(),
  other: z.number(),
  total: z.number(),
  rightPercent: z.nullable(z.number()),
});
export const seasonDays = z.object({ id: z.nullable(z.number()), name: z.string(), from: z.string(), until: z.string() });
export const endedSeason = z.object({ id: z.number(), name: z.string(), startsOn: z.string(), endsOn: z.string() });
const trend = z.enum(['too-few', 'no-clear-change', 'better', 'clearly-better', 'worse', 'clearly-worse']);

const news = z.object({
  kind: z.enum(['changed', 'stuck', 'next']),
  about: z.string(),
  says: z.string(),
  lineKey: z.nullable(z.string()),
  evidence,
});
const playerLine = z.extend(standing, {
  line: recordLine,
  verdict: z.object({ trend, words: z.string(), evidence }),
  /** By the middle of each day; an interval from five days on. */
  slope: z.nullable(
    z.object({ aWeek: z.number(), low: z.nullable(z.number()), high: z.nullable(z.number()), days: z.number(), start: z.number(), end: z.number() }),
  ),
  /** Of the squad: how far a day's number strays though nothing has changed. */
  typicalError: z.nullable(z.number()),
  isStale: z.boolean(),
  dropOff: z.nullable(z.object({ percent: z.number(), isHabit: z.boolean(), evidence })),
});
const footLine = z.object({
  about: z.string(),
  days: z.array(z.object({ on: z.string(), ratio: z.number() })),
  isAhead: z.boolean(),
  evidence,
});
const playerLadder = z.object({
  slug: z.string(),
  ladder: z.string(),
  drill: z.string(),
  name: z.string(),
  rung: z.nullable(z.number()),
  rungs: z.number(),
  advice: z.enum(['begin', 'stay', 'up', 'back', 'held', 'done']),
  why: z.string(),
  harderBy: z.array(z.string()),
});
export const touchLedger = z.object({
  all: feetTouches,
  counted: feetTouches,
  estimated: feetTouches,
  ballMinutes: z.number(),
  surfaces: z.array(z.object({ foot: z.enum(['L', 'R', '?', '-']), surface: z.string(), touches: z.number() })),
  purposes: z.array(z.object({ purpose: z.string(), touches: z.number() })),
  weeks: z.array(z.object({ week: z.number(), from: z.string(), touches: feetTouches })),
  evidence,
});

export const playerPage = z.extend(player, {
  squadId: z.number(),
  squadName: z.string(),
  season: seasonDays,
  endedSeasons: z.array(endedSeason),
  attendance: z.object({ came: z.number(), of: z.number() }),
  /** What changed, what is stuck, what is next; the heaviest of each first. */
  story: z.array(news),
  lines: z.array(playerLine),
  feet: z.array(footLine),
  ladders: z.array(playerLadder),
  touches: touchLedger,
  /** Open ones first. */
  reminders: z.array(reminder),
  isWatched: z.boolean(),
  /** Balls that were judged one by one, by day and drill. */
  looks: z.array(
    z.object({
      drillSlug: z.string(),
      drillName: z.string(),
      on: z.string(),
      touches: z.object({ short: z.number(), right: z.number(), away: z.number(), far: z.number(), near: z.number() }),
      passes: z.object({ looked: z.number(), accurate: z.number(), pace: z.number(), clean: z.number(), all: z.number() }),
    }),
  ),
});

export const seasonPage = z.object({
  season: seasonDays,
  endedSeasons: z.array(endedSeason),
  weeks: z.array(z.object({ week: z.number(), from: z.string() })),
  families: z.array(
    z.object({
      family: z.string(),
      touches: feetTouches,
      lastOn: z.string(),
      daysAgo: z.number(),
      isStale: z.boolean(),
      weeks: z.array(z.object({ week: z.number(), minutes: z.number(), marks: z.number(), touches: feetTouches })),
    }),
  ),
  /** Touches of one foot in the fullest week of a family: the scale of every band. */
  fullest: z.number(),
  needs: z.array(
    z.object({ about: z.string(), says: z.string(), evidence, theme: z.nullable(z.string()), drill: z.nullable(z.string()), isOtherFoot: z.boolean() }),
  ),
  load: z.object({ touches: z.nullable(z.number()), strikes: z.nullable(z.number()), cautionOver: z.number(), evidence }),
  times: z.array(z.object({ part: z.enum(['set-up', 'explain', 'change']), factor: z.number(), blocks: z.number() })),
  overruns: z.array(z.object({ drill: z.string(), name: z.string(), over: z.number(), of: z.number(), minutes: z.number() })),
  timesEvidence: evidence,
  familiesEvidence: evidence,
  overrunsEvidence: evidence,
  nextSessionId: z.nullable(z.number()),
  sessions: z.number(),
});
/** One in ten below, the middle, one in ten above. */
const playedRange = z.object({ low: z.number(), middle: z.number(), high: z.number() });
export const whatIfAnswer = z.object({
  weeks: z.number(),
  plays: z.array(
    z.object({
      what: z.enum(['as-it-goes', 'other-foot-evening', 'two-weeks-away', 'one-evening-fewer']),
      words: z.string(),
      evenings: z.number(),
      touches: playedRange,
      weakerShare: z.nullable(playedRange),
      load: z.nullable(playedRange),
      stale: z.array(z.object({ family: z.string(), chance: z.number() })),
    }),
  ),
});

/** The session that numbers from paper hang on, and the highest try there is of each player and line. */
export const paperDay = z.object({ sessionId: z.number(), tries: z.record(z.string(), z.record(z.string(), z.number())) });

export type SeasonPage = z.infer<typeof seasonPage>;
export type SeasonFamily = SeasonPage['families'][number];
export type PlayedForward = z.infer<typeof whatIfAnswer>['plays'][number];
export type Evidence = z.infer<typeof evidence>;
export type FeetTouches = z.infer<typeof feetTouches>;
export type TouchLedger = z.infer<typeof touchLedger>;
export type PlayerPage = z.infer<typeof playerPage>;
export type PlayerLine = PlayerPage['lines'][number];
export type PlayerLadder = PlayerPage['ladders'][number];
export type News = PlayerPage['story'][number];
