import { note, noted } from '../../shared/lib/deviceNotes';
import type { DrillFields } from '../../shared/api/bookSchemas';

/** The fields of a drill in hand, read and changed by path; what they may be, the server says. */
type Path = (string | number)[];

export function valueAt(fields: unknown, path: Path): unknown {
  return path.reduce<unknown>(
    (value, key) => (typeof value === 'object' && value !== null ? (value as Record<string | number, unknown>)[key] : undefined),
    fields,
  );
}

export const textAt = (fields: unknown, path: Path): string => {
  const value = valueAt(fields, path);
  return typeof value === 'string' ? value : '';
};
export const numberAt = (fields: unknown, path: Path): number | null => {
  const value = valueAt(fields, path);
  return typeof value === 'number' ? value : null;
};
export const objectAt = (fields: unknown, path: Path): Record<string, unknown> => {
  const value = valueAt(fields, path);
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {};
};
export const listAt = (fields: unknown, path: Path): unknown[] => {
  const value = valueAt(fields, path);
  return Array.isArray(value) ? value : [];
};

/** A copy with the value at the path changed; undefined leaves the field out. */
export function withValue(fields: DrillFields, path: Path, value: unknown): DrillFields {
  return changed(fields, path, value) as DrillFields;
}

function changed(at: unknown, [key, ...rest]: Path, value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(at) || (at === undefined && typeof key === 'number')) {
    const list: unknown[] = Array.isArray(at) ? [...(at as unknown[])] : [];
    const next = changed(list[Number(key)], rest, value);
    if (next === undefined) list.splice(Number(key), 1);
    else list[Number(key)] = next;
    return list;
  }
  const before = typeof at === 'object' && at !== null ? (at as Record<string, unknown>) : {};
  const next = changed(before[key], rest, value);
  if (next !== undefined) return { ...before, [key]: next };
  return Object.fromEntries(Object.entries(before).filter(([name]) => name !== String(key)));
}

/** What was typed and not kept survives a reload. */
const keyOf = (squadId: number, slug: string, act: string): string => `drill-${squadId}-${slug}-${act}`;
export function unkeptDrill(squadId: number, slug: string, act: string): DrillFields | undefined {
  try {
    return (JSON.parse(noted(keyOf(squadId, slug, act)) ?? 'null') as DrillFields | null) ?? undefined;
  } catch {
    return undefined;
  }
}
export function rememberDrill(squadId: number, slug: string, act: string, fields: DrillFields | undefined): void {
  note(keyOf(squadId, slug, act), fields && JSON.stringify(fields));
}

/** A circuit with nothing in it yet, on the ground of one of the book. */
export const freshCircuit = (fields: DrillFields): DrillFields => ({ ...fields, name: 'Our circuit', summary: 'Our moves, one after the other.', circuit: [] });

const words: Record<string, string> = {
  name: 'Name',
  summary: 'In a sentence',
  script: 'Touch script',
  layout: 'Layout',
  dose: 'Dose',
  scoring: 'What counts',
  organisation: 'People',
  circuit: 'Items',
  combination: 'Parts',
  buildUp: 'Links',
  secondsPerRep: 'Seconds a rep',
  metresPerSecond: 'Metres a second',
  restSeconds: 'Rest after',
  points: 'Say',
  faults: 'Faults',
  cautions: 'Cautions',
  fromAge: 'From',
  goodChance: 'Good ones, 0 to 1',
  fetchSeconds: 'To fetch a miss, s',
};

/** A path as a coach reads it: "Items, 3, Touch script"; the layout's and the dose's fields by the words beside them. */
export const pathWords = (path: string, labels: Record<string, string>): string =>
  labels[path] ??
  path
    .split('.')
    .map((key) => (/^\d+$/.test(key) ? String(Number(key) + 1) : (words[key] ?? key.replace(/([A-Z])/g, ' $1').toLowerCase())))
    .join(', ');
