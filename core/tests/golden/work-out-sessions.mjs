// Works the ten kinds of session out apart from the core, from the rules' own sentences and the files of the book, and writes
// sessions.json, which PHPUnit holds the core to. Run it with `node core/tests/golden/work-out-sessions.mjs` after the book has changed.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';

const here = new URL('.', import.meta.url);
const folder = new URL('../../../book/drills/', here);
const book = Object.fromEntries(
  readdirSync(folder)
    .flatMap((file) => JSON.parse(readFileSync(new URL(file, folder), 'utf8')).drills)
    .map((drill) => [drill.slug, drill]),
);
const timed = (drill, workSeconds, together) => ({
  drill,
  dose: { kind: 'timed', workSeconds, sets: 1, restSeconds: 0, sides: 'alternating' },
  ...(together && { together }),
});
const sessions = [
  {
    name: 'Solo passing evening',
    sizes: [1, 2, 9, 14],
    helpers: 0,
    blocks: [
      'warm-up-circuit-three',
      { water: 2 },
      timed('shoulder-drop-marker', 60),
      timed('step-over-push', 60),
      'wall-race-near',
      'wall-race-middle',
      'wall-race-far',
      'targets-with-roles',
    ],
  },
  {
    name: 'Partners by question',
    sizes: [2, 9, 14],
    helpers: 0,
    blocks: ['good-pass-by-question', 'move-turn-and-return', 'hunt-call-a-name', 'chest-and-return', 'thigh-volley-planted', 'volley-from-hands'],
  },
  {
    name: 'Five corners of thirty seconds',
    sizes: [9, 14],
    helpers: 1,
    blocks: ['figure-of-eight', 'turns-never-twice', 'receive-through-target', 'six-balls-outside-in', 'quick-feet-box'].map((slug) =>
      timed(slug, 30, 'corners'),
    ),
  },
  {
    name: 'Two old sessions joined',
    sizes: [2, 9, 14],
    helpers: 1,
    blocks: ['combo-pull-back-step-over', 'combo-across-drop', 'combo-open-roll-cut', 'combo-chest-behind'],
  },
  {
    name: 'One player, one coach, four colours',
    sizes: [1, 2],
    helpers: 0,
    blocks: ['one-colour', 'colours-in-order', 'front-and-behind', 'number-board-behind', { talk: 2 }],
  },
  {
    name: 'Fourteen players, ninety minutes',
    sizes: [9, 14],
    helpers: 1,
    blocks: [
      'facing-lines-movement',
      'rectangle-round',
      'rectangle-other-way',
      'rectangle-straight-diagonal',
      'rectangle-two-balls',
      { water: 3 },
      'pattern-held-defender',
      'theme-game-two-touch',
      { talk: 5 },
    ],
  },
  { name: 'Twelve windows in a row', sizes: [1, 2, 9, 14], helpers: 0, blocks: ['twelve-windows'] },
  { name: 'One marker, one server', sizes: [1, 2, 9, 14], helpers: 1, blocks: ['one-marker-one-server'] },
  { name: 'Good ones only', sizes: [1, 2], helpers: 0, blocks: ['wall-seven-good'] },
  { name: 'Called colours with hand service', sizes: [2, 9, 14], helpers: 0, blocks: ['colour-and-volley', 'thigh-volley-planted'] },
];

const sidesOf = (dose) => (dose.sides === 'each' ? 2 : 1);
const sum = (numbers) => numbers.reduce((all, one) => all + one, 0);

/** Seeded, so that the file is the same every time: mulberry32. */
let state = 20260312;
function even() {
  state = (state + 0x6d2b79f5) | 0;
  let t = Math.imul(state ^ (state >>> 15), 1 | state);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
}
const gauss = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
/** A pace of one's own: log-normal about 1, a quarter of spread. */
const pace = () => Math.exp(Math.sqrt(Math.log(1.0625)) * gauss() - Math.log(1.0625) / 2);
/** A chance of one's own: Beta(10p, 10 − 10p), two gammas by Marsaglia and Tsang. */
function gamma(shape) {
  if (shape < 1) return gamma(shape + 1) * even() ** (1 / shape);
  const d = shape - 1 / 3;
  for (;;) {
    const x = gauss();
    const v = (1 + x / Math.sqrt(9 * d)) ** 3;
    if (v > 0 && Math.log(1 - even()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
  }
}
function chance(p) {
  if (p >= 1) return 1;
  const [a, b] = [gamma(10 * p), gamma(10 * (1 - p))];
  return a / (a + b);
}

/** What one go of a player with this chance and this pace takes. */
function goSeconds(dose, drill, p, factor) {
  const s = factor * drill.secondsPerRep;
  switch (dose.kind) {
    case 'timed':
      return dose.workSeconds;
    case 'free':
      return dose.minutes * 60;
    case 'reps':
    case 'race':
      return dose.reps * s;
    case 'tries':
      return dose.balls * s + drill.fetchSeconds;
    case 'quota': {
      let seconds = 0;
      for (let good = 0; good < dose.good;) {
        const hit = even() < p;
        seconds += s + (hit ? 0 : drill.fetchSeconds);
        good += hit ? 1 : 0;
      }
      return seconds;
    }
    default:
      throw new Error(`Nobody has worked out a ${dose.kind} dose.`);
  }
}
const PLAYS = 6000;
const goesOf = (dose) => sidesOf(dose) * (dose.kind === 'quota' ? 1 : (dose.sets ?? 1));
const isClocked = (dose) => ['timed', 'free'].includes(dose.kind);
/** All goes of one player on end, with one chance and one pace. */
function ownSeconds(dose, drill, limit) {
  const [p, factor] = [chance(drill.goodChance ?? 1), pace()];
  return sum(Array.from({ length: goesOf(dose) }, () => Math.min(limit, goSeconds(dose, drill, p, factor))));
}
const average = (plays, one) => sum(Array.from({ length: plays }, one)) / plays;

/** A coach stops a good-ones dose after three times the median of one alone, up to the next half minute. */
function limitOf(dose, drill) {
  if (dose.kind !== 'quota') return Infinity;
  const alone = Array.from({ length: PLAYS }, () => ownSeconds(dose, drill, Infinity)).sort((a, b) => a - b);
  return 30 * Math.ceil((3 * alone[PLAYS / 2]) / goesOf(dose) / 30);
}

/** People at each place, how they work there, and whose go it is when. */
function organised({ organisation: o, layout }, players, helpers) {
  // Nobody has said how many walls there are, so there is one; the squad has two small goals.
  const places = { 'wall-lane': 1, 'wall-turn': 1, corridor: 1, 'shooting-line': 2 }[layout.kind] ?? Infinity;
  const k = o.workers + o.playerServers;
  const even_ = (groups) => Array.from({ length: groups }, (_, i) => Math.floor(players / groups) + (i < players % groups ? 1 : 0));
  const inTurns = (sizes) => ({ sizes, turns: true });
  if (places < Infinity && k <= 2 && o.playerServers === 0) return inTurns(even_(Math.min(players, places)));
  if (k === 1) return inTurns(even_(o.coachServes ? Math.min(players, 1 + helpers) : players));
  if (k === 2 && o.pattern === 'take-turns') return inTurns([...Array(Math.floor(players / 2)).fill(2), ...(players % 2 ? [1] : [])]);
  if (k === 2 && o.playerServers === 1) {
    if (players === 1) return inTurns([1]);
    if (players % 2 === 0) return inTurns(Array(players / 2).fill(2));
    // The odd one is with a helper; without one there is a three.
    return inTurns(helpers > 0 ? [...Array((players - 1) / 2).fill(2), 1] : [...Array((players - 3) / 2).fill(2), 3]);
  }
  const groups = ['hunt', 'rotate'].includes(o.pattern) || layout.kind === 'shared-box' ? 1 : Math.max(1, Math.floor(players / k));
  return { sizes: even_(groups), turns: o.pattern === 'take-turns' };
}

/** Goes of a place in their order, with what lies before each: three seconds to change, or what is left of the rest. */
function goesAt(people, turns, dose, seconds) {
  const sides = sidesOf(dose) === 2 ? ['R', 'L'] : ['x'];
  const sets = goesOf(dose) / sides.length;
  const rest = dose.restSeconds ?? 0;
  const order = sides
    .flatMap((side) =>
      Array.from({ length: sets }, (_, set) =>
        (turns ? Array.from({ length: people }, (_, i) => i) : [0]).map((who) => ({ side, who, owes: set === sets - 1 })),
      ),
    )
    .flat();
  const ready = {};
  let clock = 0;
  return order.map(({ side, who, owes }, i) => {
    const gap = i === 0 ? 0 : Math.max(turns && people > 1 ? 3 : 0, (ready[who] ?? 0) - clock);
    clock += gap + seconds;
    ready[who] = clock + rest;
    return { side, gap, owes };
  });
}

/** Seconds of the work, of a go on average, and of the writing that does not fit beside it. */
function worked(drill, dose, { sizes, turns }, players) {
  const limit = limitOf(dose, drill);
  const mean = isClocked(dose) ? goSeconds(dose, drill, 1, 1) : average(PLAYS, () => ownSeconds(dose, drill, limit)) / goesOf(dose);
  const tables = sizes.map((people) => goesAt(people, turns, dose, mean));
  const longest = tables.reduce((most, table) => (table.length > most.length ? table : most));
  const gaps = (table) => sum(table.map(({ gap }) => gap));
  const work = isClocked(dose)
    ? gaps(longest) + longest.length * mean
    : average(PLAYS, () =>
        Math.max(
          ...sizes.map((people, i) => {
            const own = Array.from({ length: people }, () => ownSeconds(dose, drill, limit));
            return gaps(tables[i]) + (turns ? sum(own) : Math.max(...own));
          }),
        ),
      );
  const tick = (work - gaps(longest)) / longest.length;
  let left = 0;
  const most = Math.max(...sizes);
  longest.forEach(({ gap, owes }, i) => {
    // The best of the sets is written once a side, after the last.
    left = (i === 0 ? 0 : Math.max(0, left - gap - tick)) + (owes ? 2 : 0) * (turns ? sizes.filter((people) => people > i % most).length : players);
  });
  return { work, write: drill.scoring ? left : 0, tables };
}

/** A circuit goes round together: every item ends with its last, and those of a pair one after the other. */
function circuit(drill, dose, { sizes, turns }) {
  const shifts = !turns ? [sum(sizes)] : Array.from({ length: Math.max(...sizes) }, (_, shift) => sizes.filter((people) => people > shift).length);
  const item = (one, workers) => {
    const own = { goodChance: 1, fetchSeconds: 0, ...one };
    const each = { sets: 1, restSeconds: 0, ...one.dose };
    const limit = limitOf(each, own);
    return isClocked(each)
      ? goesOf(each) * goSeconds(each, own, 1, 1)
      : average(PLAYS, () => Math.max(...Array.from({ length: workers }, () => ownSeconds(each, own, limit))));
  };
  const rests = sum(drill.circuit.slice(0, -1).map((one) => one.restSeconds ?? 0));
  const each = shifts.map((workers) => dose.rounds * (sum(drill.circuit.map((one) => item(one, workers))) + rests) + (dose.rounds - 1) * dose.restSeconds);
  let left = 0;
  each.forEach((seconds, i) => (left = Math.max(0, left - seconds - 3) + 2 * shifts[i]));
  return { work: sum(each) + 3 * (shifts.length - 1), write: drill.scoring ? left : 0 };
}

/** Touches of one player on average, left and right; null where the script has groups or unknown feet, or the dose is not clocked or counted. */
function touches(drill, dose, { sizes, turns }, players, { tables }) {
  const script = drill.script ?? drill.combination?.map((part) => part.script).join(' ');
  if (!script || /[()?]/.test(script) || !['timed', 'reps'].includes(dose.kind)) return null;
  const contacts = script
    .split(' ')
    .map((word) => /^([abLR])\./.exec(word)?.[1])
    .filter(Boolean);
  const count = (foot) => contacts.filter((one) => one === foot).length;
  const s = drill.secondsPerRep;
  const balls = drill.layout.balls ?? 1;
  const positions = drill.layout.kind === 'pattern-to-goal' ? 3 : 1;
  /** Reps of a whole place in one go. */
  const repsOf = (people) => {
    if (dose.kind === 'reps') return turns ? dose.reps : people * dose.reps;
    const t = dose.workSeconds;
    const attacks = Math.floor((t + drill.fetchSeconds) / (s + drill.fetchSeconds));
    const serving = Math.min(drill.organisation.playerServers || Infinity, Math.floor(people / 2));
    return (
      {
        'pass-and-follow': () => (balls * t) / s,
        together: () => (drill.organisation.service === 'none' ? (people * t) / s : t / s),
        rotate: () => attacks * Math.min(positions, people),
        hunt: () => ((people - serving) * t) / (s * Math.max(1, (people - serving) / Math.max(1, serving))),
      }[drill.organisation.pattern]?.() ?? t / s
    );
  };
  const reps = { R: 0, L: 0, x: 0 };
  const most = Math.max(...sizes);
  tables.forEach((table, i) => {
    // Who is done before the others begins again; who is alone at a place rests.
    const again = turns && sizes[i] > 1 ? most / sizes[i] : 1;
    for (const { side } of table) reps[side] += again * repsOf(sizes[i]);
  });
  const [leadRight, leadLeft] = [reps.R + reps.x / 2, reps.L + reps.x / 2];
  const all = leadRight + leadLeft;
  return {
    left: (leadLeft * count('a') + leadRight * count('b') + all * count('L')) / players,
    right: (leadRight * count('a') + leadLeft * count('b') + all * count('R')) / players,
  };
}

function workedOut(block, players, helpers) {
  if (block.water ?? block.talk)
    return { stations: 0, turns: 1, explain: 0, work: 0, changeOver: 0, write: 0, other: 60 * (block.water ?? block.talk), touches: null };
  const drill = book[block.drill ?? block];
  const dose = block.dose ?? drill.dose;
  const places = organised(drill, players, helpers);
  const done = dose.kind === 'circuit' ? circuit(drill, dose, places) : worked(drill, dose, places, players);
  return {
    stations: places.sizes.length,
    turns: places.turns ? Math.max(...places.sizes) : 1,
    explain: 60,
    work: done.work,
    changeOver: 0,
    write: done.write,
    other: 0,
    touches: dose.kind === 'circuit' ? null : touches(drill, dose, places, players, done),
  };
}

/** Five corners at once: groups of the players over five go round, and a turn is as long as the slowest corner's. */
function round(blocks, players, helpers) {
  const largest = Math.ceil(players / blocks.length);
  const corners = blocks.map((block) => workedOut(block, largest, helpers));
  const longest = Math.max(...corners.map((corner) => corner.work));
  // In each turn every group owes one number a side at the corner it is at; they are written until the next turn is over.
  const numbers = (turn) =>
    sum(
      blocks.map((block, corner) => {
        const drill = book[block.drill ?? block];
        const group = (corner - turn + blocks.length) % blocks.length;
        const size = Math.floor(players / blocks.length) + (group < players % blocks.length ? 1 : 0);
        return drill.scoring ? size * sidesOf(block.dose ?? drill.dose) : 0;
      }),
    );
  let left = 0;
  blocks.forEach((_, turn) => (left = Math.max(0, left - longest - (turn > 0 ? 15 : 0)) + 2 * numbers(turn)));
  return corners.map((corner, i) => ({
    ...corner,
    write: i === blocks.length - 1 ? left : 0,
    turns: 1,
    explain: i === 0 ? 60 * blocks.length : 0,
    work: longest,
    changeOver: i === 0 ? 0 : 15,
    touches: null,
  }));
}

/** A new drill takes a minute to explain, and a third of it where ground and way stay as they were. */
function explained(worked, blocks) {
  let before;
  return worked.map((one, i) => {
    const drill = book[blocks[i].drill ?? blocks[i]];
    const ground = drill && JSON.stringify([drill.layout, drill.organisation.pattern ?? 'own']);
    const isSame = drill && ground === before;
    before = ground ?? before;
    return isSame ? { ...one, explain: 20 } : one;
  });
}

const rounded = (value) => (typeof value === 'number' ? Math.round(value * 1e4) / 1e4 : value);
const cases = sessions.flatMap(({ name, sizes, helpers, blocks }) =>
  sizes.map((players) => {
    const worked = blocks.every((block) => block.together)
      ? round(blocks, players, helpers)
      : explained(
          blocks.map((block) => workedOut(block, players, helpers)),
          blocks,
        );
    return {
      name: `${name}, ${players}`,
      players,
      helpers,
      blocks: blocks.map((block) => (typeof block === 'string' ? { drill: block } : block)),
      expected: worked.map((one) =>
        Object.fromEntries(
          Object.entries(one).map(([key, value]) => [
            key,
            key === 'touches' && value ? { left: rounded(value.left), right: rounded(value.right) } : rounded(value),
          ]),
        ),
      ),
      secondsWithoutSetUp: rounded(sum(worked.map((one) => one.explain + one.work + one.changeOver + one.write + one.other))),
    };
  }),
);
const about =
  'The ten kinds of session for groups of several sizes, worked out by work-out-sessions.mjs, apart from the core: nobody has done any of the drills lately, and nobody has a number yet. Seconds; touches of one player on average.';
writeFileSync(new URL('sessions.json', here), `${JSON.stringify({ about, cases }, null, 2)}\n`);
console.log(`${cases.length} cases.`);
