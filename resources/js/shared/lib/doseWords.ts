import { doseKinds } from '../api/doses';
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

/** One field of a dose as it is declared; the kinds differ in which they have. */
export interface DeclaredField {
  name: string;
  label: string;
  type: 'whole' | 'seconds' | 'minutes' | 'yes' | 'sides' | 'tempos' | 'limit' | 'choice';
  least: number;
  most: number;
  start: number | string | null;
  /** What no and yes mean, or each of the choices. */
  words: readonly [string, string] | Readonly<Record<string, string>> | null;
}
interface DeclaredDose {
  kind: Dose['kind'];
  words: string;
  sentence: string;
  sizedBy: string;
  fields: readonly DeclaredField[];
}
const declared: readonly DeclaredDose[] = doseKinds;

const valuesOf = (dose: Dose) => dose as unknown as Record<string, number | string | undefined>;

function declaredOf(kind: string): DeclaredDose {
  const found = declared.find((one) => one.kind === kind) ?? declared[0];
  if (!found) throw new Error('No dose is declared.');
  return found;
}

/** The kinds a coach chooses among; a circuit comes with its items and is not chosen. */
export const doseKindOptions = declared.filter((one) => one.kind !== 'circuit').map((one): [string, string] => [one.kind, one.words]);
/** What of a dose is counted: the first thing it asks for. */
export const countedField = (kind: string): DeclaredField | undefined => declared.find((one) => one.kind === kind)?.fields[0];
export const fieldsOf = (dose: Dose): readonly DeclaredField[] => declaredOf(dose.kind).fields;
export const doseValue = (dose: Dose, field: string) => valuesOf(dose)[field];
/** Nothing takes the field out again: the usual stands. */
export function withDoseValue(dose: Dose, field: string, value: number | string | undefined): Dose {
  const others = Object.entries(dose).filter(([name]) => name !== field);
  return Object.fromEntries(value === undefined ? others : [...others, [field, value]]) as Dose;
}

export const isYesOrNo = (words: NonNullable<DeclaredField['words']>): words is readonly [string, string] => Array.isArray(words);

function fieldWords(field: DeclaredField, value: number | string | undefined, wording: FootWording): string {
  if (field.type === 'sides') return doseSides[String(value)] ?? sideWords(String(value), wording);
  if (field.type === 'tempos') return value ? `${String(value).replaceAll(' ', ', then ')}, ` : '';
  if (!field.words) return String(value);
  return isYesOrNo(field.words) ? field.words[value === 1 ? 1 : 0] : (field.words[String(value)] ?? Object.values(field.words)[0] ?? '');
}

/** A dose in the words a coach would use. */
export function doseWords(dose: Dose, wording: FootWording = 'other'): string {
  const { sentence, fields } = declaredOf(dose.kind);
  return sentence.replaceAll(/\{(\w+)(?::(\w+)\|(\w+))?\}/g, (_, name: string, one?: string, many?: string) => {
    const value = doseValue(dose, name);
    if (one) return value === 1 ? one : (many ?? '');
    const field = fields.find((each) => each.name === name);
    return field ? fieldWords(field, value, wording) : '';
  });
}

/** The dose of another school with the numbers it starts with, on the same feet. */
export function doseOfKind(kind: string, sides: string): Dose {
  const { kind: known, fields } = declaredOf(kind);
  const started = fields.filter((field) => field.start !== null).map((field) => [field.name, field.type === 'sides' ? sides : field.start]);
  return { kind: known, ...Object.fromEntries(started) } as Dose;
}

/** The field that makes a dose longer or shorter, and how far it goes. */
export function sizeField(dose: Dose): DeclaredField | undefined {
  const { sizedBy, fields } = declaredOf(dose.kind);
  return fields.find((field) => field.name === sizedBy);
}
