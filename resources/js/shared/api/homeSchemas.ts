import { contact, dose, drawing, recordLine } from './schemas';
import { z } from './zod';

/** What the server says of practice at home, to the coach and to the player's own page. */
const target = z.object({ value: z.number(), because: z.string(), chance: z.number().nullable(), harder: z.string().nullable() });
const homeAsk = z.object({
  line: recordLine,
  /** Of a circuit, the item it is the number of. */
  item: z.string(),
  target: target.nullable(),
  best: z.number().nullable(),
});
const homeItem = z.object({
  drill: z.string(),
  name: z.string(),
  dose,
  links: z.number().nullable(),
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
  side: z.string().nullable(),
  set: z.number().nullable(),
  item: z.string().nullable(),
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
  card: z.object({ give: z.string(), call: z.string(), count: z.string(), stop: z.string() }).nullable(),
  easier: z.string().nullable(),
  harder: z.string().nullable(),
});
const streak = z.object({ days: z.number(), inAll: z.number() });
export const atHome = z.object({
  name: z.string(),
  today: z.string(),
  until: z.string(),
  endsSoon: z.boolean(),
  keptOn: z.string().nullable(),
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
      uuid: z.string().nullable(),
      status: z.enum(['accepted', 'duplicate', 'refused']),
      message: z.string().optional(),
    }),
  ),
});

const homeLink = z.object({ code: z.string().nullable(), path: z.string().nullable(), until: z.string(), seenOn: z.string().nullable() });
export const homeLinkPage = z.object({ link: homeLink.nullable() });
const felt = z.enum(['easy', 'right', 'hard']);
export const homeSquad = z.object({
  today: z.string(),
  players: z.array(
    z.object({
      id: z.number(),
      name: z.string(),
      kept: z.object({ on: z.string(), days: z.number(), minutes: z.number(), drills: z.array(z.string()) }).nullable(),
      link: z.object({ until: z.string(), endsSoon: z.boolean(), seenOn: z.string().nullable() }).nullable(),
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
      felt: felt.nullable(),
      source: z.enum(['link', 'paper']),
      numbers: z.array(z.object({ side: z.string(), value: z.number(), unit: z.string(), best: z.number().nullable(), step: z.number() })),
      doubts: z.array(z.string()),
    }),
  ),
});
export const homeSheets = z.object({
  sheets: z.array(z.object({ playerId: z.number(), name: z.string(), keptOn: z.string(), link: homeLink.nullable(), days: z.array(homeDay) })),
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
