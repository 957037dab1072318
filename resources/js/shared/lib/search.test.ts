import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { searchIndex, type SearchEntry } from '../api/bookSchemas';
import { searcher, term } from './search';

const { entries } = searchIndex.parse(JSON.parse(readFileSync('tests/fixtures/contract/search-index.json', 'utf8')));
const search = searcher(entries);
/** Players have numbers of the database; here they go by name. */
const keys = (found: SearchEntry[]) => found.map((one) => `${one.kind}/${one.kind === 'player' ? one.name : one.id}`);

/** What a coach types, and what must be among the first three. */
const rows: [asked: string, wanted: string][] = [
  // Names, whole and begun.
  ['sole taps', 'drill/sole-taps'],
  ['sole ta', 'drill/sole-taps'],
  ['inside taps', 'drill/inside-taps'],
  ['figure of eight', 'drill/figure-of-eight'],
  ['shadow', 'drill/shadow-pairs'],
  ['free dribbling', 'drill/box-free-dribble'],
  ['weave', 'drill/weave-line'],
  ['gate to gate', 'drill/gate-pass'],
  ['quick feet', 'drill/quick-feet-box'],
  ['one touch pair', 'drill/one-touch-pair'],
  ['lofted pass', 'drill/lofted-pass'],
  ['turn on the call', 'drill/turn-on-call'],
  ['cross the box', 'drill/box-crossing'],
  ['pattern to goal', 'drill/pattern-to-goal-three'],
  ['cut-back', 'drill/cut-back-finish'],
  ['go to the colour', 'drill/one-colour'],
  ['wall two touches', 'drill/wall-two-touch'],
  ['hopping round the ball', 'drill/hop-round-ball'],
  // What clubs call them.
  ['toe taps', 'move/sole-taps'],
  ['toe touches', 'move/sole-taps'],
  ['bell touches', 'move/inside-taps'],
  ['scissor', 'move/step-over'],
  ['double scissor', 'move/double-step-over'],
  ['body feint', 'move/shoulder-drop'],
  ['v pull', 'move/pull-back-v'],
  ['chop', 'move/hard-inside-cut'],
  ['drag back', 'move/drag-back'],
  ['l turn', 'move/l-turn'],
  ['keepy-ups', 'move/alternate-feet'],
  ['backheel', 'move/heel-pass'],
  ['toe poke', 'move/toe-poke'],
  ['side volley', 'move/inside-volley'],
  ['nod back', 'move/head-pass'],
  ['fast feet', 'move/quick-steps'],
  ['scan', 'move/look-and-step'],
  ['soccer tennis', 'drill/over-the-line-juggle'],
  ['king of the box', 'drill/keep-your-own-ball'],
  ['possession game', 'drill/five-passes-game'],
  ['shooting game', 'drill/shoot-on-sight-game'],
  ['reaction', 'drill/one-colour'],
  ['half turn', 'drill/front-and-behind'],
  ['short passing', 'drill/good-pass-by-question'],
  ['entry test', 'drill/other-foot-ten'],
  ['warm up', 'drill/warm-up-circuit-three'],
  ['2v2', 'drill/two-v-two-four-goals'],
  ['back to goal', 'drill/back-to-the-line-duel'],
  ['seven exercises', 'drill/wall-seven-good'],
  // Words that mean the same.
  ['weak foot', 'drill/juggle-other-foot'],
  ['weaker foot juggling', 'drill/other-foot-ten'],
  ['other foot', 'drill/juggle-other-foot'],
  ['header', 'drill/head-soft-ball'],
  ['headers', 'drill/head-soft-ball'],
  ['goalkeeper', 'drill/shoot-on-sight-game'],
  ['shooting', 'drill/shoot-on-sight-game'],
  ['instep volley', 'move/laces-volley'],
  // Spelling, plural, order, numbers.
  ['color', 'drill/one-colour'],
  ['colors in order', 'drill/colours-in-order'],
  ['colored square', 'drill/thigh-volley-square'],
  ['figures of eight', 'drill/figure-of-eight'],
  ['sole tap', 'drill/sole-taps'],
  ['taps sole', 'drill/sole-taps'],
  ['eight figure', 'drill/figure-of-eight'],
  ['lane insides', 'drill/inside-lane'],
  ['pass ten', 'drill/ten-in-a-row'],
  ['passing rectangles', 'drill/rectangle-round'],
  ['500', 'drill/five-hundred-alternate'],
  ['first hundred', 'drill/five-hundred-alternate'],
  ['1v1', 'drill/one-v-one-to-the-line'],
  ['one against one', 'drill/one-v-one-to-the-line'],
  // One slip of the thumb.
  ['sole tsps', 'drill/sole-taps'],
  ['figur of eight', 'drill/figure-of-eight'],
  ['jugling', 'drill/juggle-alternating'],
  ['rectangel', 'drill/rectangle-round'],
  ['scisor', 'move/step-over'],
  ['lofted pas', 'drill/lofted-pass'],
  ['containr', 'drill/container-near'],
  ['wal routine', 'drill/wall-seven-good'],
  ['shoulder dropp', 'move/shoulder-drop'],
  // Ladders and players.
  ['soles on top', 'ladder/soles'],
  ['open to the far foot', 'ladder/open-to-the-far-foot'],
  ['round markers at speed', 'ladder/round-markers'],
  ['back from line to line', 'ladder/wall-lines'],
  ['Amina', 'player/Amina'],
  ['amina', 'player/Amina'],
  ['kof', 'player/Kofi'],
  ['Elif', 'player/Elif'],
  // Families and surfaces.
  ['turning game', 'drill/turn-away-game'],
  ['juggling in turn', 'drill/juggle-alternating'],
  ['wall outside', 'drill/wall-outside'],
  ['thigh volley', 'drill/thigh-volley-square'],
];

describe('what a coach types', () => {
  test.each(rows)('%s finds %s', (asked, wanted) => {
    expect(keys(search(asked)).slice(0, 3)).toContain(wanted);
  });
  test('there are eighty rows and more', () => expect(rows.length).toBeGreaterThanOrEqual(80));
});

test('every word of the dictionary finds a drill that uses the move, where there is one', () => {
  const drills = entries.filter(({ kind }) => kind === 'drill');
  const missed = entries.flatMap((move) =>
    move.kind !== 'move'
      ? []
      : move.words.filter((word) => {
          const using = drills.filter(({ text }) => new RegExp(`(^|[ ,])${word}([ ,.]|$)`, 'i').test(text)).map(({ id }) => `drill/${id}`);
          const found = new Set(keys(search(word)));
          return using.some((id) => !found.has(id));
        }),
  );
  expect(missed).toEqual([]);
});

test('nothing asked finds nothing, and nonsense finds nothing', () => {
  expect(search('  ')).toEqual([]);
  expect(search('xqzvkw')).toEqual([]);
});

test('words are looked up in one form', () => {
  expect(['Colors', 'colour', 'Entraîné', 'passes', 'pass', 'ball'].map(term)).toEqual(['colour', 'colour', 'entraine', 'passe', 'pass', 'ball']);
});

test('a thousand drills are searched in a moment', () => {
  const thousand = Array.from({ length: 1000 }, (_, i) => {
    const like = entries[i % entries.length];
    if (!like) throw new Error('There is nothing to copy.');
    return { ...like, id: `${like.id}-${i}` };
  });
  const find = searcher(thousand);
  const asked = ['sole taps', 'weak foot', 'figur of eight', 'header', 'turning game'];
  asked.forEach(find);
  const start = performance.now();
  for (let round = 0; round < 4; round++) asked.forEach(find);
  const each = (performance.now() - start) / 20;
  // Every copy of what was meant is found.
  expect(find('shadow').length).toBeGreaterThanOrEqual(3);
  console.info(`a search over 1,000: ${each.toFixed(1)} ms`);
});
