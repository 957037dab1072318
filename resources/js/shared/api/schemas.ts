import { doseKinds } from './doses';
import { z } from './zod';

/** What the server sends, parsed at the boundary. Field names carry their units. */
const sideName = z.enum(['R', 'L', 'both', 'alternating']);
export const strongFoot = z.enum(['R', 'L', 'both']);

const footWording = z.enum(['other', 'weaker']);
const squadRef = z.object({
  id: z.number(),
  name: z.string(),
  ageGroup: z.string(),
  lengthUnit: z.enum(['m', 'yd', 'ft', 'pace']),
  footWording,
  role: z.enum(['lead', 'coach', 'assistant']),
});
/** What matters of it is that it came. */
export const anything = z.unknown();
export const nothing = z.undefined();
export const made = z.object({ id: z.number() });
export const signedIn = z.object({ signedIn: z.boolean() });
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
  bib: z.nullable(z.number()),
  strongFoot,
  birthYear: z.nullable(z.number()),
});
export const guests = z.object({ players: z.array(player) });

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
  return field.start === null ? z.optional(value) : value;
};
const doseShapes = doseKinds.map((declared) =>
  z.object({ kind: z.literal(declared.kind), ...Object.fromEntries(declared.fields.map((field) => [field.name, doseField(field)])) }),
);
/** Checked by what each dose declares; the type above says the same to the compiler. */
export const dose = z.union(doseShapes) as unknown as z.ZodMiniType<Dose, Dose>;

const point = z.object({ xMetres: z.number(), yMetres: z.number() });
const walkPoint = z.extend(point, { seconds: z.number() });
export const drawing = z.object({
  kind: z.string(),
  markers: z.array(z.extend(point, { shape: z.enum(['triangle', 'square', 'ring']), colour: z.string() })),
  path: z.array(point),
  /** The touches of one rep led by the right foot, along the path; degrees anticlockwise from the right. A pack kept of old has no surfaces. */
  stitches: z.array(z.extend(point, { foot: z.string(), surface: z._default(z.string(), ''), degrees: z.number() })),
  /** The worker's own way, where it parts from the ball's. */
  runPath: z.array(point),
  balls: z.array(point),
  places: z.array(z.extend(point, { role: z.enum(['worker', 'server', 'queue', 'keeper', 'caller']) })),
  walls: z.array(z.object({ from: point, to: point })),
  kit: z.array(z.string()),
  pathLength: z.nullable(z.object({ metres: z.number(), text: z.string() })),
  dimensions: z.array(z.object({ from: point, to: point, text: z.string() })),
  labels: z.array(z.extend(point, { text: z.string() })),
  spaceText: z.string(),
  /** One rep as points with the second each is reached at; the worker's is empty where they stand still. */
  walk: z.nullable(z.object({ seconds: z.number(), ball: z.array(walkPoint), worker: z.array(walkPoint) })),
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
  dose: z.nullable(dose),
  scoring: z.nullable(
    z.object({
      kind: z.string(),
      unit: z.string(),
      better: z.enum(['higher', 'lower']),
      starts: z.string(),
      stops: z.string(),
      countsOnlyIf: z.string(),
      voids: z.string(),
      fault: z.string(),
      inHalves: z._default(z.boolean(), false),
    }),
  ),
  organisation: z.object({
    workers: z.number(),
    playerServers: z.number(),
    service: z.string(),
    people: z.array(z.string()),
    card: z.nullable(z.object({ give: z.string(), call: z.string(), count: z.string(), stop: z.string() })),
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
      move: z.nullable(z.string()),
      dose: z.nullable(dose),
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
export const drillList = z.object({ drills: z.array(drill) });

const planBlock = z.object({
  id: z.string(),
  kind: z.enum(['drill', 'water', 'talk', 'game']),
  title: z.string(),
  minutes: z.nullable(z.number()),
  drillVersionId: z.nullable(z.number()),
  dose: z.nullable(dose),
  tempo: z.nullable(z.enum(['learn', 'steady', 'match'])),
  stations: z.nullable(z.number()),
  /** Of a build-up, how many links are done; null for all. */
  links: z.nullable(z.number()),
  /** Blocks in a row with the same name here run at the same time, and groups go round them. */
  together: z._default(z.nullable(z.string()), null),
  /** Groups of such a round move on when all are done, not on the whistle. */
  stationsWait: z._default(z.boolean(), false),
  /** Which number is written down, or "nothing"; null for what the drill says. */
  counted: z._default(z.nullable(z.string()), null),
});
const override = z.object({ blockId: z.nullable(z.string()), code: z.string(), reason: z.string() });
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
export const recap = z.object({ answers: z.string(), howHard: z.nullable(howHard), onlyTried: z._default(z.boolean(), false) });
export const session = z.extend(sessionSummary, {
  recap,
  /** Of the squad's latest session before this one that left one. */
  lastRecap: z.nullable(z.extend(recap, { sessionId: z.number(), title: z.string(), on: z.string() })),
  blocks: z.array(planBlock),
  comingPlayerIds: z.array(z.number()),
  /** Grown-ups beside the coach. */
  helpers: z.number(),
  laidBefore: z.boolean(),
  /** Who may not do everything today. */
  may: z.array(z.object({ playerId: z.number(), may: availability })),
  isHot: z.boolean(),
  temperatureCelsius: z.nullable(z.number()),
  humidityPercent: z.nullable(z.number()),
  /** What is let stand although a caution forbids it: why, by whom and when. */
  overrides: z.array(z.extend(override, { by: z.nullable(z.string()), on: z.string(), sentence: z.string() })),
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
  side: z.nullable(z.string()),
  /** Of a circuit, the item at work or next. */
  item: z.nullable(z.string()),
  set: z.nullable(z.number()),
  turn: z.nullable(z.number()),
  working: z.array(z.number()),
  leftTouches: z.number(),
  rightTouches: z.number(),
  /** Of set-up, explaining and changing over: what it takes before the coach's own times are known. */
  plainSeconds: z.nullable(z.number()),
  /** Who is where, in a round of stations at the same time; packs of before have none. */
  stations: z._default(z.array(stationTurn), []),
  /** Told one by one where they are asked for. */
  seats: z._default(z.array(seat), []),
});
const touches = z.object({ left: z.number(), right: z.number(), other: z.number(), bySurface: z.unknown() });
const warning = z.object({
  sentence: z.string(),
  cure: z.nullable(
    z.object({
      kind: z.enum(['stations', 'take-out', 'water', 'helper', 'dose']),
      words: z.string(),
      stations: z.nullable(z.number()),
      dose: z.nullable(dose),
    }),
  ),
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
  reset: z.nullable(
    z.object({
      kept: z.number(),
      moved: z.number(),
      added: z.number(),
      lifted: z.number(),
      laid: z.enum(['before', 'meanwhile', 'between']),
      words: z.string(),
    }),
  ),
  groups: z.array(z.object({ workers: z.array(z.number()), servers: z.array(z.number()), isHelped: z.boolean() })),
  duties: z.array(z.object({ playerId: z.number(), kind: z.enum(['keeper', 'server', 'counts']) })),
  /** Turn by turn who is at each station, where stations run at the same time. */
  round: z.array(z.array(stationTurn)),
  /** What those of another age than most do, where the drill says so. */
  ages: z._default(z.array(z.object({ ageGroup: z.string(), playerIds: z.array(z.number()), dose })), []),
});
export const blockEvaluation = z.extend(together, {
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
  counts: z._default(z.nullable(z.string()), null),
  mayCount: z._default(z.array(z.object({ kind: z.string(), words: z.string() })), []),
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
      dose: z.nullable(dose),
    }),
  ),
  /** By which it is still too long when all of them are taken. */
  stillOverSeconds: z.number(),
  warnings: z.array(warning),
  /** What a second coach would say, three lines at most. */
  remarks: z._default(z.array(z.object({ rule: z.string(), sentence: z.string(), cure: z.string(), blockId: z.nullable(z.string()) })), []),
  kit: z.object({ markers: z.record(z.string(), z.number()), equipment: z.record(z.string(), z.number()), bibs: z.number() }),
  players: z.array(playerShare),
});

export const reminder = z.object({
  words: z.string(),
  times: z.number(),
  since: z.string(),
  lastOn: z.string(),
  fixedOn: z.nullable(z.string()),
});
const openReminder = z.extend(reminder, { playerId: z.number() });

export const today = z.object({
  today: z.string(),
  seasonWeek: z.nullable(z.number()),
  next: z.nullable(z.extend(session, { evaluation: z.nullable(evaluation), problem: z.nullable(z.string()) })),
  last: z.nullable(
    z.extend(sessionSummary, {
      records: z.array(z.object({ playerId: z.number(), playerName: z.string(), drillName: z.string(), side: sideName, value: z.number(), unit: z.string() })),
    }),
  ),
  stale: z.array(z.object({ family: z.string(), lastOn: z.string(), days: z.number() })),
  upcoming: z.array(z.extend(sessionSummary, { week: z.enum(['this', 'next', 'later']) })),
  reminders: z._default(z.array(openReminder), []),
  watchedIds: z._default(z.array(z.number()), []),
  /** Things practised at home that wait for the coach's word; answers held of old say none. */
  fromHome: z._default(z.number(), 0),
});

export const recordLine = z.object({
  key: z.string(),
  drillSlug: z.string(),
  drillName: z.string(),
  family: z.string(),
  side: sideName,
  kind: z._default(z.string(), ''),
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
  record: z.nullable(z.object({ on: z.string(), value: z.number() })),
  /** The number to beat; how likely it is where the squad wants to see it, and what would be harder where it is the best there can be. */
  target: z.nullable(
    z.object({ value: z.number(), because: z.string(), chance: z._default(z.nullable(z.number()), null), harder: z._default(z.nullable(z.string()), null) }),
  ),
  openTries: z.number(),
});
const standings = z.record(z.string(), z.record(z.string(), standing));

const boardCell = z.object({
  on: z.string(),
  best: z.number(),
  record: z.nullable(z.object({ on: z.string(), value: z.number() })),
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
  season: z.object({ id: z.nullable(z.number()), name: z.string(), from: z.string(), until: z.string() }),
  endedSeasons: z.array(z.object({ id: z.number(), name: z.string(), startsOn: z.string(), endsOn: z.string() })),
  players: z.array(z.extend(player, { came: z.number(), of: z.number() })),
  lines: z.array(recordLine),
  /** Player → line → the latest against their own past. */
  cells: z.record(z.string(), z.record(z.string(), boardCell)),
});

/** A number somebody owes; no two of a session are the same. */
const ask = z.object({
  playerId: z.number(),
  lineKey: z.string(),
  item: z.nullable(z.number()),
  blockId: z.string(),
  side: z.string(),
  set: z.number(),
});
/** The session for another number of people: places 1, 2 … to put names on. */
const tableAsk = z.object({
  place: z.number(),
  blockId: z.string(),
  item: z.nullable(z.number()),
  set: z.number(),
  /** By the strong foot of whoever sits there; one for all is under "both". */
  byFoot: z.record(z.string(), z.object({ side: z.string(), lineKey: z.string() })),
});
const sizeTable = z.object({
  size: z.number(),
  blocks: z.array(z.extend(together, { id: z.string() })),
  segments: z.array(
    z.extend(
      z.pick(segment, {
        id: true,
        blockId: true,
        kind: true,
        seconds: true,
        endsByClock: true,
        side: true,
        item: true,
        set: true,
        turn: true,
        plainSeconds: true,
      }),
      { stations: z.array(stationTurn), places: z.record(z.string(), z.array(z.number())), asks: z.array(tableAsk) },
    ),
  ),
});
const runBlock = z.extend(together, {
  id: z.string(),
  kind: z.string(),
  title: z.string(),
  /** Of a build-up the links that are planned. */
  links: z.nullable(z.number()),
  drill: z.nullable(drill),
  dose: z.nullable(dose),
  tempo: z.nullable(z.string()),
  /** One step on the drill's ladder, in words. */
  easier: z._default(z.nullable(z.string()), null),
  harder: z._default(z.nullable(z.string()), null),
  oneMoreBall: z._default(z.nullable(z.string()), null),
  /** Who may not work in it today. */
  mayNot: z._default(z.array(z.number()), []),
  /** Of the reaction game, by seconds of the block's work. */
  calls: z._default(
    z.array(
      z.object({
        atSeconds: z.number(),
        ballSeconds: z.number(),
        places: z.array(z.string()),
        number: z.nullable(z.number()),
        asks: z.string(),
        command: z._default(z.nullable(z.string()), null),
      }),
    ),
    [],
  ),
  callKind: z._default(z.nullable(z.enum(['colour', 'number', 'side', 'name', 'movement'])), null),
});
/** What a number was made of, where more was seen than the number. */
const markParts = z.object({ kind: z.enum(['halves', 'feet', 'total', 'good-and-tried']), numbers: z.array(z.number()) });
export const runPack = z.object({
  footWording: z._default(footWording, 'other'),
  session: sessionSummary,
  recap: z._default(recap, { answers: '', howHard: null, onlyTried: false }),
  players: z.array(player),
  blocks: z.array(runBlock),
  segments: z.array(z.extend(segment, { asks: z.array(ask) })),
  lines: z.record(z.string(), recordLine),
  standings,
  /** Of the squad, who were not to come. */
  others: z._default(z.array(player), []),
  tables: z._default(z.array(sizeTable), []),
  /** The last that was said to each and is not mended. */
  reminders: z._default(z.array(openReminder), []),
  /** Players whom this account wants to look at. */
  watchedIds: z._default(z.array(z.number()), []),
  /** Numbers of this session that the server had, from whatever phone. */
  taken: z._default(
    z.array(
      z.object({
        uuid: z.string(),
        playerId: z.number(),
        lineKey: z.string(),
        tryNumber: z.number(),
        value: z.number(),
        isVoid: z.boolean(),
        reason: z.string(),
        parts: z.nullable(markParts),
      }),
    ),
    [],
  ),
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
      calls: z._default(z.nullable(z.object({ called: z.number(), hit: z.number(), slow: z.number() })), null),
    }),
  ),
});

/** Where a run stands on the device that conducts it. */
export const runPosition = z.object({
  position: z.nullable(
    z.object({
      device: z.string(),
      by: z.string(),
      segmentId: z.nullable(z.string()),
      state: z.enum(['running', 'paused', 'frozen', 'over']),
      remainingMs: z.number(),
      agoMs: z.number(),
    }),
  ),
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
      uuid: z.nullable(z.string()),
      status: z.enum(['accepted', 'duplicate', 'refused']),
      code: z.optional(z.string()),
      message: z.optional(z.string()),
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
