/** Formatting only: numbers come rounded from the core. */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** The clock of a count-down: a started second is shown until it is over. */
export function countdown(milliseconds: number): string {
  const whole = milliseconds > 0 ? Math.ceil(milliseconds / 1000) : Math.floor(-milliseconds / 1000);
  return `${whole > 0 && milliseconds < 0 ? '+' : ''}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** Clock time so many seconds after a local start such as 2026-11-24T18:00. */
export function clockTime(startsAt: string, seconds: number): string {
  const [hours = 0, minutes = 0] = startsAt.slice(11, 16).split(':').map(Number);
  const total = (hours * 60 + minutes + Math.round(seconds / 60)) % 1440;
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
}

const days = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'];
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** 2026-11-24 → Tuesday 24 Nov */
export function day(iso: string): string {
  const [year = 0, month = 1, date = 1] = iso.slice(0, 10).split('-').map(Number);
  return `${days[new Date(Date.UTC(year, month - 1, date)).getUTCDay()]} ${date} ${months[month - 1]}`;
}
export const shortDay = (iso: string): string => day(iso).split(' ').slice(1).join(' ');

/** What a line counts, and over what: reps in 30 s, seconds once through. */
export const lineWords = (line: { unit: string; window: string }): string => `${line.unit === 's' ? 'seconds' : line.unit} ${line.window}`;

/** An instant of the server in the device's own clock: 2026-11-24T17:05:00Z → Tuesday 24 Nov, 18:05 */
export function localTime(instant: string): string {
  const at = new Date(instant);
  const two = (number: number) => String(number).padStart(2, '0');
  return `${day(`${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`)}, ${two(at.getHours())}:${two(at.getMinutes())}`;
}

export function mark(value: number, step: number): string {
  // Hundredths are shown where they were typed.
  return step < 1 ? value.toFixed(Math.abs(Math.round(value * 10) - value * 10) < 1e-6 ? 1 : 2) : String(value);
}

/** Of a day at home: more than its things add up to. */
export const dayLength = (minutes: number): string => `about ${mark(minutes, 0.1)} min, with pauses${minutes > 10 ? ' and water' : ''}`;

const sides: Record<string, string> = {
  R: 'right foot',
  L: 'left foot',
  both: 'both feet',
  alternating: 'feet in turn',
  strong: 'strong foot',
};
/** What a squad calls the foot that is not the strong one. */
export type FootWording = 'other' | 'weaker';
export const sideWords = (side: string | null, wording: FootWording = 'other'): string =>
  side === null ? '' : side === 'weaker' ? `${wording} foot` : (sides[side] ?? side);

const families: Record<string, string> = {
  'ball-mastery': 'Ball mastery',
  dribbling: 'Dribbling',
  turning: 'Turning',
  'first-touch': 'First touch',
  passing: 'Passing',
  '1v1-moves': '1v1 moves',
  juggling: 'Juggling',
  striking: 'Striking',
  footwork: 'Footwork',
};
export const familyWords = (family: string): string => families[family] ?? family;

/** 1 number, 2 numbers */
export const many = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;

/** Now, where this device is and without a zone, as plans are dated. */
export function localNow(): string {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** An instant where the phone is, such as "Tue 17:30"; by hand, since the words of a language take a phone a fifth of a second to load. */
export function dayAndTime(instant: string): string {
  const at = new Date(instant);
  return `${days[at.getDay()]?.slice(0, 3)} ${[at.getHours(), at.getMinutes()].map((part) => String(part).padStart(2, '0')).join(':')}`;
}
