import { contact, dose, drawing, recordLine } from './schemas';
import { z } from './zod';

/** What the server says of practice at home, to the coach and to the player's own page. */
const target = z.object({ value: z.number(), because: z.string(), chance: z.nullable(z.number()), harder: z.nullable(z.string()) });
const homeAsk = z.object({
  line: recordLine,
  /** Of a circuit, the item it is the number of. */
  item: z.string(),
  target: z.nullable(target),
  best: z.nullable(z.number()),
});
const homeItem = z.object({
  drill: z.string(),
  name: z.string(),
  dose,
  links: z.nullable(z.number()),
  minutes: z.number(),
  asks: z.array(homeAsk),
});
const homeSegment = z.object({
  id: z.string(),
  /** Slug of the drill. */
  blockId: z.string(),
  kind: z.enum(['explain', 'work', 'rest', 'water']),
  seconds: z.number(),
  endsByClock: z.boolean(),
  side: z.nullable(z.string()),
  set: z.nullable(z.number()),
  item: z.nullable(z.string()),
});
const homeDay = z.object({
  number: z.number(),
  isOtherFoot: z.boolean(),
  minutes: z.number(),
  items: z.array(homeItem),
  segments: z.array(homeSegment),
});
const homeDrill = z.object({
  slug: z.string(),
  name: z.string(),
  summary: z.string(),
  contacts: z.array(contact),
  points: z.array(z.string()),
  cautions: z.array(z.string()),
  drawing,
  countsOnlyIf: z.string(),
  standIns: z.array(z.object({ for: z.string(), use: z.string() })),
  card: z.nullable(z.object({ give: z.string(), call: z.string(), count: z.string(), stop: z.string() })),
  easier: z.nullable(z.string()),
  harder: z.nullable(z.string()),
});
const streak = z.object({ days: z.number(), inAll: z.number() });
export const atHome = z.object({
  name: z.string(),
  today: z.string(),
  until: z.string(),
  /** A page kept by an older version does not say. */
  endsSoon: z._default(z.boolean(), false),
  keptOn: z.nullable(z.string()),
  /** Which day of the week at home comes next. */
  nextDay: z.number(),
  days: z.array(homeDay),
  drills: z.array(homeDrill),
  practised: z.array(z.string()),
  streak,
  footWording: z.enum(['other', 'weaker']),
});
export const practisedResults = z.object({
  results: z.array(
    z.object({
      index: z.number(),
      uuid: z.nullable(z.string()),
      status: z.enum(['accepted', 'duplicate', 'refused']),
      message: z.optional(z.string()),
    }),
  ),
});

const homeLink = z.object({ code: z.nullable(z.string()), path: z.nullable(z.string()), until: z.string(), seenOn: z.nullable(z.string()) });
export const homeLinkPage = z.object({ link: z.nullable(homeLink) });
const felt = z.enum(['easy', 'right', 'hard']);
export const homeSquad = z.object({
  today: z.string(),
  players: z.array(
    z.object({
      id: z.number(),
      name: z.string(),
      kept: z.nullable(z.object({ on: z.string(), days: z.number(), minutes: z.number(), drills: z.array(z.string()) })),
      link: z.nullable(z.object({ until: z.string(), endsSoon: z.boolean(), seenOn: z.nullable(z.string()) })),
      practised: z.array(z.string()),
      streak,
    }),
  ),
  waiting: z.array(
    z.object({
      uuid: z.string(),
      playerId: z.number(),
      drill: z.string(),
      name: z.string(),
      on: z.string(),
      felt: z.nullable(felt),
      source: z.enum(['link', 'paper']),
      numbers: z.array(z.object({ side: z.string(), value: z.number(), unit: z.string(), best: z.nullable(z.number()), step: z.number() })),
      doubts: z.array(z.string()),
    }),
  ),
});
export const homeSheets = z.object({
  sheets: z.array(z.object({ playerId: z.number(), name: z.string(), keptOn: z.string(), link: z.nullable(homeLink), days: z.array(homeDay) })),
  drills: z.array(homeDrill),
});

export type AtHome = z.infer<typeof atHome>;
export type HomeDay = AtHome['days'][number];
export type HomeItem = HomeDay['items'][number];
export type HomeAsk = HomeItem['asks'][number];
export type HomeDrill = AtHome['drills'][number];
export type HomeLink = z.infer<typeof homeLink>;
export type HomeSquad = z.infer<typeof homeSquad>;
export type HomeSheets = z.infer<typeof homeSheets>;
export type Felt = z.infer<typeof felt>;
