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
  const feet = doseSides[dose.sides] ?? sideWords(dose.sides, wording);
  switch (dose.kind) {
    case 'timed':
      return `${dose.sets} × ${dose.workSeconds} s ${feet}, ${dose.restSeconds} s rest`;
    case 'reps':
      return `${dose.sets} × ${dose.reps} ${feet}, ${dose.restSeconds} s rest`;
    case 'quota':
      return `${dose.good} good ones ${feet}, poor ones again`;
    case 'lengths':
      return `${dose.sets} × ${dose.lengths} lengths ${dose.andBack === 1 ? 'there and back' : 'one way'} ${feet}, ${dose.restSeconds} s rest`;
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
      return `${dose.sets} goes against the watch, ${feet}`;
  }
}
