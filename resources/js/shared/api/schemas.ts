import { doseKinds } from './doses';
import { z } from './zod';

/** What the server sends, parsed at the boundary. Field names carry their units. */
const sideName = z.enum(['R', 'L', 'both', 'alternating']);
export const strongFoot = z.enum(['R', 'L', 'both']);

const squadRef = z.object({
  id: z.number(),
  name: z.string(),
  ageGroup: z.string(),
  lengthUnit: z.enum(['m', 'yd', 'ft', 'pace']),
  footWording: z.enum(['other', 'weaker']),
  role: z.enum(['lead', 'coach', 'assistant']),
});
export const holdings = z.object({ marks: z.number(), players: z.number(), wasRun: z.boolean(), hasRecap: z.boolean() });

export const me = z.object({
  id: z.number(),
  name: z.string(),
  email: z.string(),
  clubName: z.string(),
  isLead: z.boolean(),
  today: z.string(),
  squads: z.array(squadRef),
});

export const player = z.object({
  id: z.number(),
  name: z.string(),
  bib: z.number().nullable(),
  strongFoot,
  birthYear: z.number().nullable(),
});

type Declared = (typeof doseKinds)[number];
type DeclaredField = Declared['fields'][number];
/** Tempos of each length, with a space between, the feet and what is chosen by name are words; all else is a number. */
type ValueOf<F extends DeclaredField> = F['type'] extends 'sides' | 'tempos' | 'choice' ? string : number;
type DoseOf<D extends Declared> = { kind: D['kind'] } & {
  [F in D['fields'][number] as F['start'] extends null ? never : F['name']]: ValueOf<F>;
} & { [F in D['fields'][number] as F['start'] extends null ? F['name'] : never]?: ValueOf<F> | undefined };
export type Dose = { [D in Declared as D['kind']]: DoseOf<D> }[Declared['kind']];

const doseField = (field: DeclaredField) => {
  const value = ['sides', 'tempos', 'choice'].includes(field.type) ? z.string() : z.number();
  return field.start === null ? value.optional() : value;
};
const doseShapes = doseKinds.map((declared) =>
  z.object({ kind: z.literal(declared.kind), ...Object.fromEntries(declared.fields.map((field) => [field.name, doseField(field)])) }),
);
/** Checked by what each dose declares; the type above says the same to the compiler. */
export const dose = z.union(doseShapes) as unknown as z.ZodType<Dose, Dose>;

const point = z.object({ xMetres: z.number(), yMetres: z.number() });
const walkPoint = point.extend({ seconds: z.number() });
export const drawing = z.object({
  kind: z.string(),
  markers: z.array(point.extend({ shape: z.enum(['triangle', 'square', 'ring']), colour: z.string() })),
  path: z.array(point),
  /** The touches of one rep led by the right foot, along the path; degrees anticlockwise from the right. A pack kept of old has no surfaces. */
  stitches: z.array(point.extend({ foot: z.string(), surface: z.string().default(''), degrees: z.number() })),
  /** The worker's own way, where it parts from the ball's. */
  runPath: z.array(point),
  balls: z.array(point),
  places: z.array(point.extend({ role: z.enum(['worker', 'server', 'queue', 'keeper', 'caller']) })),
  walls: z.array(z.object({ from: point, to: point })),
  kit: z.array(z.string()),
  pathLength: z.object({ metres: z.number(), text: z.string() }).nullable(),
  dimensions: z.array(z.object({ from: point, to: point, text: z.string() })),
  labels: z.array(point.extend({ text: z.string() })),
  spaceText: z.string(),
  /** One rep as points with the second each is reached at; the worker's is empty where they stand still. */
  walk: z.object({ seconds: z.number(), ball: z.array(walkPoint), worker: z.array(walkPoint) }).nullable(),
});
export const contact = z.object({ foot: z.string(), surface: z.string() });
export const drill = z.object({
  versionId: z.number(),
  slug: z.string(),
  name: z.string(),
  family: z.string(),
  summary: z.string(),
  script: z.string(),
  contacts: z.array(contact),
  contactsLeft: z.array(contact),
  touchesPerRep: z.number(),
  secondsPerRep: z.number(),
  dose: dose.nullable(),
  scoring: z
    .object({
      kind: z.string(),
      unit: z.string(),
      better: z.enum(['higher', 'lower']),
      starts: z.string(),
      stops: z.string(),
      countsOnlyIf: z.string(),
      voids: z.string(),
      fault: z.string(),
      inHalves: z.boolean().default(false),
    })
    .nullable(),
  organisation: z.object({
    workers: z.number(),
    playerServers: z.number(),
    service: z.string(),
    people: z.array(z.string()),
    card: z.object({ give: z.string(), call: z.string(), count: z.string(), stop: z.string() }).nullable(),
  }),
  points: z.array(z.string()),
  faults: z.array(z.object({ fault: z.string(), fix: z.string() })),
  cautions: z.array(z.string()),
  drawing,
  composition: z.enum(['single', 'combination', 'build-up', 'circuit']),
  parts: z.array(
    z.object({
      name: z.string(),
      script: z.string(),
      contacts: z.array(contact),
      move: z.string().nullable(),
      dose: dose.nullable(),
      restSeconds: z.number(),
      asks: z.string(),
      isCounted: z.boolean(),
    }),
  ),
  asks: z.array(z.string()),
  questions: z.array(z.object({ ask: z.string(), hopedFor: z.array(z.string()) })),
  standIns: z.array(z.object({ for: z.string(), use: z.string() })),
  fromAge: z.string(),
  levels: z.array(z.object({ ageGroup: z.string(), dose: z.number(), distance: z.number(), target: z.number() })),
  judgesQuality: z.boolean(),
  note: z.string(),
  penalties: z.array(z.object({ slug: z.string(), words: z.string(), seconds: z.number() })),
  isOwn: z.boolean(),
});

const planBlock = z.object({
  id: z.string(),
  kind: z.enum(['drill', 'water', 'talk', 'game']),
  title: z.string(),
  minutes: z.number().nullable(),
  drillVersionId: z.number().nullable(),
  dose: dose.nullable(),
  tempo: z.enum(['learn', 'steady', 'match']).nullable(),
  stations: z.number().nullable(),
  /** Of a build-up, how many links are done; null for all. */
  links: z.number().nullable(),
  /** Blocks in a row with the same name here run at the same time, and groups go round them. */
  together: z.string().nullable().default(null),
  /** Groups of such a round move on when all are done, not on the whistle. */
  stationsWait: z.boolean().default(false),
  /** Which number is written down, or "nothing"; null for what the drill says. */
  counted: z.string().nullable().default(null),
});
const override = z.object({ blockId: z.string().nullable(), code: z.string(), reason: z.string() });
export const availability = z.enum(['everything', 'serves-only', 'no-striking', 'no-heading']);
export const sessionSummary = z.object({
  id: z.number(),
  squadId: z.number(),
  title: z.string(),
  place: z.string(),
  startsAt: z.string(),
  slotMinutes: z.number(),
  version: z.number(),
  isRun: z.boolean(),
});
export const howHard = z.enum(['too-easy', 'about-right', 'too-hard']);
/** What the group said a session was about, and how hard it was. */
/** What they said after a session, how hard it was, and whether nothing is to be learned from its run. */
export const recap = z.object({ answers: z.string(), howHard: howHard.nullable(), onlyTried: z.boolean().default(false) });
export const session = sessionSummary.extend({
  recap,
  /** Of the squad's latest session before this one that left one. */
  lastRecap: recap.extend({ sessionId: z.number(), title: z.string(), on: z.string() }).nullable(),
  blocks: z.array(planBlock),
  comingPlayerIds: z.array(z.number()),
  /** Grown-ups beside the coach. */
  helpers: z.number(),
  laidBefore: z.boolean(),
  /** Who may not do everything today. */
  may: z.array(z.object({ playerId: z.number(), may: availability })),
  isHot: z.boolean(),
  temperatureCelsius: z.number().nullable(),
  humidityPercent: z.number().nullable(),
  /** What is let stand although a caution forbids it: why, by whom and when. */
  overrides: z.array(override.extend({ by: z.string().nullable(), on: z.string(), sentence: z.string() })),
  players: z.array(player),
  /** As they were planned, where the book says something else by now. */
  olderDrills: z.array(drill),
});

const stationTurn = z.object({ blockId: z.string(), playerIds: z.array(z.number()) });
/** What one player does in a stretch: so much of it the ball is theirs, so much of it they wait. */
const seat = z.object({
  playerId: z.number(),
  role: z.string(),
  slot: z.number(),
  ball: z.number(),
  wait: z.number(),
  /** Begins again while others still have goes: these touches count, no number is owed. */
  isExtra: z.boolean(),
});
export const segment = z.object({
  id: z.string(),
  blockId: z.string(),
  kind: z.enum(['set-up', 'explain', 'work', 'rest', 'write', 'change', 'water', 'talk', 'game']),
  seconds: z.number(),
  endsByClock: z.boolean(),
  side: z.string().nullable(),
  /** Of a circuit, the item at work or next. */
  item: z.string().nullable(),
  set: z.number().nullable(),
  turn: z.number().nullable(),
  working: z.array(z.number()),
  leftTouches: z.number(),
  rightTouches: z.number(),
  /** Of set-up, explaining and changing over: what it takes before the coach's own times are known. */
  plainSeconds: z.number().nullable(),
  /** Who is where, in a round of stations at the same time; packs of before have none. */
  stations: z.array(stationTurn).default([]),
  /** Told one by one where they are asked for. */
  seats: z.array(seat).default([]),
});
const touches = z.object({ left: z.number(), right: z.number(), other: z.number(), bySurface: z.unknown() });
const warning = z.object({
  sentence: z.string(),
  cure: z
    .object({
      kind: z.enum(['stations', 'take-out', 'water', 'helper', 'dose']),
      words: z.string(),
      stations: z.number().nullable(),
      dose: dose.nullable(),
    })
    .nullable(),
  code: z.string(),
  /** Forbidden by the profile the squad follows; only with a reason may it stand. */
  isBarred: z.boolean(),
});
const playerShare = z.object({
  playerId: z.number(),
  ballSeconds: z.number(),
  servingSeconds: z.number(),
  waitingSeconds: z.number(),
  longestWaitSeconds: z.number(),
  left: z.number(),
  right: z.number(),
  other: z.number(),
});
/** Who does a block with whom and where, and what is laid out for it. */
const together = z.object({
  stations: z.number(),
  how: z.array(z.string()),
  reset: z
    .object({ kept: z.number(), moved: z.number(), added: z.number(), lifted: z.number(), laid: z.enum(['before', 'meanwhile', 'between']), words: z.string() })
    .nullable(),
  groups: z.array(z.object({ workers: z.array(z.number()), servers: z.array(z.number()), isHelped: z.boolean() })),
  duties: z.array(z.object({ playerId: z.number(), kind: z.enum(['keeper', 'server', 'counts']) })),
  /** Turn by turn who is at each station, where stations run at the same time. */
  round: z.array(z.array(stationTurn)),
  /** What those of another age than most do, where the drill says so. */
  ages: z.array(z.object({ ageGroup: z.string(), playerIds: z.array(z.number()), dose })).default([]),
});
export const blockEvaluation = together.extend({
  id: z.string(),
  startSeconds: z.number(),
  meanSeconds: z.number(),
  partSeconds: z.record(z.string(), z.number()),
  turns: z.number(),
  markers: z.number(),
  longestWaitSeconds: z.number(),
  touches,
  segments: z.array(segment),
  /** Which number is written down, and which the dose can give. */
  counts: z.string().nullable().default(null),
  mayCount: z.array(z.object({ kind: z.string(), words: z.string() })).default([]),
  warnings: z.array(warning),
  players: z.array(playerShare),
});
export const evaluation = z.object({
  meanSeconds: z.number(),
  standardDeviationSeconds: z.number(),
  fiveInTenSeconds: z.number(),
  eightInTenSeconds: z.number(),
  chanceInSlot: z.number(),
  touches,
  blocks: z.array(blockEvaluation),
  /** What could go where the session is over its slot, smallest loss first. */
  cuts: z.array(
    z.object({
      blockId: z.string(),
      kind: z.enum(['rest', 'set', 'block']),
      words: z.string(),
      freedSeconds: z.number(),
      touchesLost: z.number(),
      dose: dose.nullable(),
    }),
  ),
  /** By which it is still too long when all of them are taken. */
  stillOverSeconds: z.number(),
  warnings: z.array(warning),
  /** What a second coach would say, three lines at most. */
  remarks: z.array(z.object({ rule: z.string(), sentence: z.string(), cure: z.string(), blockId: z.string().nullable() })).default([]),
  kit: z.object({ markers: z.record(z.string(), z.number()), equipment: z.record(z.string(), z.number()), bibs: z.number() }),
  players: z.array(playerShare),
});

export const reminder = z.object({
  words: z.string(),
  times: z.number(),
  since: z.string(),
  lastOn: z.string(),
  fixedOn: z.string().nullable(),
});
const openReminder = reminder.extend({ playerId: z.number() });

export const today = z.object({
  today: z.string(),
  seasonWeek: z.number().nullable(),
  next: session.extend({ evaluation: evaluation.nullable(), problem: z.string().nullable() }).nullable(),
  last: sessionSummary
    .extend({
      records: z.array(z.object({ playerId: z.number(), playerName: z.string(), drillName: z.string(), side: sideName, value: z.number(), unit: z.string() })),
    })
    .nullable(),
  stale: z.array(z.object({ family: z.string(), lastOn: z.string(), days: z.number() })),
  upcoming: z.array(sessionSummary.extend({ week: z.enum(['this', 'next', 'later']) })),
  reminders: z.array(openReminder).default([]),
  watchedIds: z.array(z.number()).default([]),
  /** Things practised at home that wait for the coach's word; answers held of old say none. */
  fromHome: z.number().default(0),
});

export const recordLine = z.object({
  key: z.string(),
  drillSlug: z.string(),
  drillName: z.string(),
  family: z.string(),
  side: sideName,
  kind: z.string().default(''),
  unit: z.string(),
  better: z.enum(['higher', 'lower']),
  step: z.number(),
  least: z.number(),
  most: z.number(),
  window: z.string(),
  rule: z.record(z.string(), z.string()),
});
export const standing = z.object({
  days: z.array(z.object({ on: z.string(), best: z.number(), median: z.number(), tries: z.number(), openTries: z.number() })),
  record: z.object({ on: z.string(), value: z.number() }).nullable(),
  /** The number to beat; how likely it is where the squad wants to see it, and what would be harder where it is the best there can be. */
  target: z
    .object({ value: z.number(), because: z.string(), chance: z.number().nullable().default(null), harder: z.string().nullable().default(null) })
    .nullable(),
  openTries: z.number(),
});
const standings = z.record(z.string(), z.record(z.string(), standing));

const boardCell = z.object({
  on: z.string(),
  best: z.number(),
  record: z.object({ on: z.string(), value: z.number() }).nullable(),
  trend: z.string(),
  words: z.string(),
  isStale: z.boolean(),
  isStuck: z.boolean(),
  /** The record was set on the last day. */
  isFresh: z.boolean(),
  openTries: z.number(),
});
export const squadBoard = z.object({
  id: z.number(),
  name: z.string(),
  ageGroup: z.string(),
  today: z.string(),
  season: z.object({ id: z.number().nullable(), name: z.string(), from: z.string(), until: z.string() }),
  endedSeasons: z.array(z.object({ id: z.number(), name: z.string(), startsOn: z.string(), endsOn: z.string() })),
  players: z.array(player.extend({ came: z.number(), of: z.number() })),
  lines: z.array(recordLine),
  /** Player → line → the latest against their own past. */
  cells: z.record(z.string(), z.record(z.string(), boardCell)),
});

/** A number somebody owes; no two of a session are the same. */
const ask = z.object({
  playerId: z.number(),
  lineKey: z.string(),
  item: z.number().nullable(),
  blockId: z.string(),
  side: z.string(),
  set: z.number(),
});
/** The session for another number of people: places 1, 2 … to put names on. */
const tableAsk = z.object({
  place: z.number(),
  blockId: z.string(),
  item: z.number().nullable(),
  set: z.number(),
  /** By the strong foot of whoever sits there; one for all is under "both". */
  byFoot: z.record(z.string(), z.object({ side: z.string(), lineKey: z.string() })),
});
const sizeTable = z.object({
  size: z.number(),
  blocks: z.array(together.extend({ id: z.string() })),
  segments: z.array(
    segment
      .pick({ id: true, blockId: true, kind: true, seconds: true, endsByClock: true, side: true, item: true, set: true, turn: true, plainSeconds: true })
      /** Role, then ~ where most of the stretch is waiting and + where it is not owed → places. */
      .extend({ stations: z.array(stationTurn), places: z.record(z.string(), z.array(z.number())), asks: z.array(tableAsk) }),
  ),
});
const runBlock = together.extend({
  id: z.string(),
  kind: z.string(),
  title: z.string(),
  /** Of a build-up the links that are planned. */
  links: z.number().nullable(),
  drill: drill.nullable(),
  dose: dose.nullable(),
  tempo: z.string().nullable(),
  /** One step on the drill's ladder, in words. */
  easier: z.string().nullable().default(null),
  harder: z.string().nullable().default(null),
  oneMoreBall: z.string().nullable().default(null),
  /** Of the reaction game, by seconds of the block's work. */
  calls: z
    .array(
      z.object({
        atSeconds: z.number(),
        ballSeconds: z.number(),
        places: z.array(z.string()),
        number: z.number().nullable(),
        asks: z.string(),
        command: z.string().nullable().default(null),
      }),
    )
    .default([]),
  callKind: z.enum(['colour', 'number', 'side', 'name', 'movement']).nullable().default(null),
});
/** What a number was made of, where more was seen than the number. */
const markParts = z.object({ kind: z.enum(['halves', 'feet', 'total', 'good-and-tried']), numbers: z.array(z.number()) });
export const runPack = z.object({
  session: sessionSummary,
  recap: recap.default({ answers: '', howHard: null, onlyTried: false }),
  players: z.array(player),
  blocks: z.array(runBlock),
  segments: z.array(segment.extend({ asks: z.array(ask) })),
  lines: z.record(z.string(), recordLine),
  standings,
  /** Of the squad, who were not to come. */
  others: z.array(player).default([]),
  tables: z.array(sizeTable).default([]),
  /** The last that was said to each and is not mended. */
  reminders: z.array(openReminder).default([]),
  /** Players whom this account wants to look at. */
  watchedIds: z.array(z.number()).default([]),
  /** Numbers of this session that the server had, from whatever phone. */
  taken: z
    .array(
      z.object({
        uuid: z.string(),
        playerId: z.number(),
        lineKey: z.string(),
        tryNumber: z.number(),
        value: z.number(),
        isVoid: z.boolean(),
        reason: z.string(),
        parts: markParts.nullable(),
      }),
    )
    .default([]),
});

/** How a session went beside how it was planned. */
export const sessionActual = z.object({
  plannedSeconds: z.number(),
  actualSeconds: z.number(),
  blocks: z.array(
    z.object({
      blockId: z.string(),
      plannedSeconds: z.number(),
      actualSeconds: z.number(),
      wasSkipped: z.boolean(),
      words: z.string(),
      calls: z.object({ called: z.number(), hit: z.number(), slow: z.number() }).nullable().default(null),
    }),
  ),
});

/** Where a run stands on the device that conducts it. */
export const runPosition = z.object({
  position: z
    .object({
      device: z.string(),
      by: z.string(),
      segmentId: z.string().nullable(),
      state: z.enum(['running', 'paused', 'frozen', 'over']),
      remainingMs: z.number(),
      agoMs: z.number(),
    })
    .nullable(),
});

export const feedLeave = z.object({ token: z.string(), path: z.string(), expiresAt: z.string() });
/** What devices counted, by player. */
export const feedCounts = z.object({
  players: z.array(z.object({ playerId: z.number(), left: z.number(), right: z.number(), unknown: z.number(), lastAt: z.string() })),
});

export const markResults = z.object({
  results: z.array(
    z.object({
      index: z.number(),
      uuid: z.string().nullable(),
      status: z.enum(['accepted', 'duplicate', 'refused']),
      code: z.string().optional(),
      message: z.string().optional(),
    }),
  ),
});

export type Me = z.infer<typeof me>;
export type SquadRef = z.infer<typeof squadRef>;
export type Player = z.infer<typeof player>;
export type Drill = z.infer<typeof drill>;
export type Drawing = z.infer<typeof drawing>;
export type PlanBlock = z.infer<typeof planBlock>;
export type Session = z.infer<typeof session>;
export type SessionSummary = z.infer<typeof sessionSummary>;
export type Recap = z.infer<typeof recap>;
export type Override = z.infer<typeof override>;
export type Availability = z.infer<typeof availability>;
export type Warning = z.infer<typeof warning>;
export type Segment = z.infer<typeof segment>;
export type Evaluation = z.infer<typeof evaluation>;
export type BlockEvaluation = z.infer<typeof blockEvaluation>;
export type Today = z.infer<typeof today>;
export type RecordLine = z.infer<typeof recordLine>;
export type Standing = z.infer<typeof standing>;
export type SquadBoard = z.infer<typeof squadBoard>;
export type BoardCell = z.infer<typeof boardCell>;
export type RunPack = z.infer<typeof runPack>;
export type RunPosition = NonNullable<z.infer<typeof runPosition>['position']>;
