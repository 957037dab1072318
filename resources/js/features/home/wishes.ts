import type { RoutineWishes } from '../../shared/api/routineSchemas';

type Name = Exclude<keyof RoutineWishes, 'with' | 'without'>;
const yesNo: [string, string][] = [
  ['no', 'no'],
  ['yes', 'yes'],
];
const counted = (from: number, to: number, what: string): [string, string][] =>
  Array.from({ length: to - from + 1 }, (_, i) => [String(from + i), `${from + i} ${what}`]);

/** What is asked of the place and of the week. */
export const wishChoices: { name: Name; label: string; options: [string, string][] }[] = [
  { name: 'minutes', label: 'Minutes a day', options: counted(10, 20, 'min') },
  {
    name: 'days',
    label: 'Days a week',
    options: counted(1, 7, 'days').map(([value, words]) => [value, value === '1' ? '1 day' : words]),
  },
  {
    name: 'space',
    label: 'Room',
    options: [
      ['hallway', 'a hallway, 1.2 by 4 m'],
      ['small-square', '2 by 2 m'],
      ['square', '5 by 5 m'],
      ['lane', 'a lane, 10 yd'],
    ],
  },
  {
    name: 'kit',
    label: 'What there is',
    options: [
      ['things', 'a ball, and socks or bottles'],
      ['ball', 'a ball, nothing else'],
      ['nothing', 'no ball'],
    ],
  },
  {
    name: 'wall',
    label: 'A wall',
    options: [
      ['no', 'no'],
      ['couch', 'a couch or a turned table'],
      ['yes', 'yes'],
    ],
  },
  { name: 'helper', label: 'A server', options: yesNo },
  { name: 'quiet', label: 'Must be quiet', options: yesNo },
  {
    name: 'school',
    label: 'What for',
    options: [
      ['both-feet', 'both feet the same'],
      ['other-foot-day', 'a day for the other foot'],
      ['records', 'numbers to beat'],
      ['good-ones', 'only good ones count'],
    ],
  },
];

const added = (list: string, slug: string): string => [...new Set([...list.split(' ').filter(Boolean), slug])].join(' ');
const taken = (list: string, slug: string): string =>
  list
    .split(' ')
    .filter((one) => one !== '' && one !== slug)
    .join(' ');

type Chosen = Pick<RoutineWishes, 'with' | 'without'>;

/** A drill that must be in the week; one that was taken out comes back. */
export const withDrill = (wishes: Chosen, slug: string): Chosen => ({ with: added(wishes.with, slug), without: taken(wishes.without, slug) });

/** A drill that is not to be in it; the next in need takes its place. */
export const without = (wishes: Chosen, slug: string): Chosen => ({ with: taken(wishes.with, slug), without: added(wishes.without, slug) });
