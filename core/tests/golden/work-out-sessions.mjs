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

/** ln of the gamma function: Lanczos, g = 7. */
function lnGamma(x) {
  const c = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905, -0.13857109526572012,
    9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const t = x - 1 + 7.5;
  const a = c.slice(1).reduce((all, one, i) => all + one / (x + i), c[0]);
  return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(a);
}
const lnBeta = (a, b) => lnGamma(a) + lnGamma(b) - lnGamma(a + b);

/** Misses of the slowest of so many workers before n good ones: chance Beta(10p, 10(1 − p)), term by term. */
function missesOfSlowest(n, p, workers) {
  const [a, b] = [10 * p, 10 * (1 - p)];
  let [below, mean] = [0, 0];
  for (let k = 0; k < 4000 && 1 - below > 1e-9; k++) {
    below += Math.exp(lnGamma(n + k) - lnGamma(k + 1) - lnGamma(n) + lnBeta(a + n, b + k) - lnBeta(a, b));
    mean += 1 - Math.min(1, below) ** workers;
  }
  return mean;
}

/** Seconds of one turn in which so many work side by side. */
function turnSeconds(dose, drill, workers) {
  const goes = sidesOf(dose) * (dose.sets ?? 1);
  const rests = (goes - 1) * (dose.restSeconds ?? 0);
  const { secondsPerRep: s, goodChance: p, fetchSeconds: r } = drill;
  switch (dose.kind) {
    case 'timed':
      return goes * dose.workSeconds + rests;
    case 'reps':
      return goes * dose.reps * s + rests;
    case 'tries':
      return goes * (dose.balls * s + r) + rests;
    case 'free':
      return dose.minutes * 60;
    case 'quota':
      return sidesOf(dose) * (dose.good * s + missesOfSlowest(dose.good, p, workers) * (s + r)) + (sidesOf(dose) - 1) * dose.restSeconds;
    case 'circuit': {
      const items = drill.circuit.map((item) => turnSeconds({ sets: 1, restSeconds: 0, ...item.dose }, { goodChance: 1, fetchSeconds: 0, ...item }, workers));
      return dose.rounds * (sum(items) + sum(drill.circuit.slice(0, -1).map((item) => item.restSeconds ?? 0))) + (dose.rounds - 1) * dose.restSeconds;
    }
    default:
      throw new Error(`Nobody has worked out a ${dose.kind} dose.`);
  }
}

/** Who works when: the workers of each turn, and how many there are at each station. */
function organised({ organisation: o }, players, helpers) {
  const k = o.workers + o.playerServers;
  const even = (groups) => Array.from({ length: groups }, (_, i) => Math.floor(players / groups) + (i < players % groups ? 1 : 0));
  if (k === 1) {
    const stations = o.coachServes ? Math.min(players, 1 + helpers) : players;
    return { stations, turns: even(Math.ceil(players / stations)).length === 1 ? [players] : chunks(players, stations), groups: Array(players).fill(1) };
  }
  if (k === 2 && o.playerServers === 0) {
    const stations = o.pattern === 'take-turns' ? Math.ceil(players / 2) : Math.max(1, Math.floor(players / 2));
    return { stations, turns: [players], groups: even(stations) };
  }
  if (k === 2) {
    if (players === 1) return { stations: 1, turns: [1], groups: [1] };
    if (players % 2 === 0) return { stations: players / 2, turns: [players / 2, players / 2], groups: Array(players / 2).fill(2) };
    // The odd one is with a helper, and works in the first turn; without one there is a three, which swaps once more.
    if (helpers > 0) return { stations: (players + 1) / 2, turns: [(players + 1) / 2, (players - 1) / 2], groups: [...Array((players - 1) / 2).fill(2), 1] };
    const stations = (players - 1) / 2;
    return { stations, turns: [stations, stations, 1], groups: [...Array(stations - 1).fill(2), 3] };
  }
  const groups = even(Math.max(1, Math.floor(players / k)));
  const atOnce = groups.map((group) => Math.max(o.workers, o.playerServers > 0 ? group - o.playerServers : group));
  const turns = [];
  groups.forEach((group, at) => chunks(group, atOnce[at]).forEach((working, i) => (turns[i] = (turns[i] ?? 0) + working)));
  return { stations: groups.length, turns, groups };
}
const chunks = (all, size) => Array.from({ length: Math.ceil(all / size) }, (_, i) => Math.min(size, all - i * size));

/** Touches of one player on average, left and right; null where the script has groups or unknown feet, or the dose is not clocked or counted. */
function touches(drill, dose, players, groups) {
  const script = drill.script ?? drill.combination?.map((part) => part.script).join(' ');
  if (!script || /[()?]/.test(script) || !['timed', 'reps'].includes(dose.kind)) return null;
  const contacts = script
    .split(' ')
    .map((word) => /^([abLR])\./.exec(word)?.[1])
    .filter(Boolean);
  const led = (foot) => contacts.filter((one) => one === foot || (one === 'a' && foot === 'lead') || (one === 'b' && foot === 'other')).length;
  const repsIn = (secondsPerRep) => (dose.kind === 'timed' ? (dose.sets * dose.workSeconds) / secondsPerRep : dose.sets * dose.reps);
  const balls = drill.layout.balls ?? 1;
  const reps =
    drill.organisation.pattern === 'pass-and-follow'
      ? sum(groups.map((n) => n * repsIn((n * drill.secondsPerRep) / balls))) / players
      : repsIn(drill.secondsPerRep);
  // Each foot leads the whole dose, or half of one.
  const share = sidesOf(dose) === 2 ? 1 : 0.5;
  const both = reps * share * (led('lead') + led('other'));
  return { left: both + reps * led('L'), right: both + reps * led('R') };
}

function workedOut(block, players, helpers) {
  if (block.water ?? block.talk)
    return { stations: 0, turns: 1, explain: 0, work: 0, changeOver: 0, write: 0, other: 60 * (block.water ?? block.talk), touches: null };
  const drill = book[block.drill ?? block];
  const dose = block.dose ?? drill.dose;
  const { stations, turns, groups } = organised(drill, players, helpers);
  const restsHide = (workers) => 2 * workers + (sidesOf(dose) * (dose.sets ?? dose.rounds ?? 1) - 1) * Math.max(0, 2 * workers - (dose.restSeconds ?? 0));
  return {
    stations,
    turns: turns.length,
    explain: 60,
    work: sum(turns.map((workers) => turnSeconds(dose, drill, workers))),
    changeOver: 15 * (turns.length - 1),
    write: drill.scoring ? sum(turns.map(restsHide)) : 0,
    other: 0,
    touches: touches(drill, dose, players, groups),
  };
}

/** Five corners at once: groups of the players over five go round, and a turn is as long as the slowest corner's. */
function round(blocks, players, helpers) {
  const largest = Math.ceil(players / blocks.length);
  const corners = blocks.map((block) => workedOut(block, largest, helpers));
  const longest = Math.max(...corners.map((corner) => corner.work));
  return corners.map((corner, i) => ({
    ...corner,
    turns: 1,
    explain: i === 0 ? 60 * blocks.length : 0,
    work: longest,
    changeOver: i === 0 ? 0 : 15,
    touches: null,
  }));
}

const rounded = (value) => (typeof value === 'number' ? Math.round(value * 1e4) / 1e4 : value);
const cases = sessions.flatMap(({ name, sizes, helpers, blocks }) =>
  sizes.map((players) => {
    const worked = blocks.every((block) => block.together) ? round(blocks, players, helpers) : blocks.map((block) => workedOut(block, players, helpers));
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
