import type { Dose } from '../api/schemas';
import { sideWords, type FootWording } from './format';

const doseSides: Record<string, string> = {
  each: 'each foot',
  alternating: 'feet in turn',
  both: 'either foot',
  right: 'right foot',
  left: 'left foot',
  strong: 'strong foot',
};
export const doseSideOptions = (wording: FootWording): [string, string][] => [...Object.entries(doseSides), ['weaker', sideWords('weaker', wording)]];

/** A dose in the words a coach would use. */
export function doseWords(dose: Dose, wording: FootWording = 'other'): string {
  if (dose.kind === 'circuit') return `${dose.rounds} ${dose.rounds === 1 ? 'round' : 'rounds'} without stopping`;
  const feet = doseSides[dose.sides] ?? sideWords(dose.sides, wording);
  switch (dose.kind) {
    case 'timed':
      return `${dose.sets} × ${dose.workSeconds} s ${feet}, ${dose.restSeconds} s rest`;
    case 'reps':
      return `${dose.sets} × ${dose.reps} ${feet}, ${dose.restSeconds} s rest`;
    case 'quota':
      return `${dose.good} good ones ${feet}, poor ones again`;
    case 'lengths':
      return `${dose.sets} × ${dose.lengths} lengths ${dose.andBack === 1 ? 'there and back' : 'one way'} ${feet}, ${dose.tempos ? `${dose.tempos.replaceAll(' ', ', then ')}, ` : ''}${dose.restSeconds} s rest`;
    case 'collective':
      return `${dose.total} in all ${feet}, ${dose.onlyGood === 1 ? 'good ones only' : 'a drop goes on'}`;
    case 'streak':
      return `best run of ${dose.sets} tries ${feet}, up to ${dose.goal}`;
    case 'tries':
      return dose.untilHit === 1
        ? `${dose.sets} × until the first hit, at most ${dose.balls}, ${feet}`
        : `${dose.sets} × ${dose.balls} balls at the target, ${feet}`;
    case 'free':
      return `${dose.minutes} min free, ${feet}`;
    case 'race':
      return `${dose.sets} ${dose.sets === 1 ? 'go' : 'goes'} against the watch, ${feet}`;
  }
}

/** The dose of another school with sensible numbers, on the same feet. */
export function doseOfKind(kind: string, sides: string): Dose {
  if (kind === 'reps') return { kind, reps: 10, sets: 2, restSeconds: 20, sides };
  if (kind === 'quota') return { kind, good: 10, restSeconds: 15, sides };
  if (kind === 'lengths') return { kind, lengths: 4, andBack: 1, sets: 2, restSeconds: 20, sides };
  if (kind === 'collective') return { kind, total: 100, onlyGood: 0, sets: 1, restSeconds: 0, sides };
  if (kind === 'streak') return { kind, goal: 50, sets: 3, restSeconds: 10, sides };
  if (kind === 'tries') return { kind, balls: 5, untilHit: 1, sets: 2, restSeconds: 20, sides };
  if (kind === 'free') return { kind, minutes: 3, sides };
  if (kind === 'race') return { kind, reps: 1, sets: 3, restSeconds: 25, sides };
  return { kind: 'timed', workSeconds: 30, sets: 2, restSeconds: 20, sides };
}
