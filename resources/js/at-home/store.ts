import type { MarkParts } from '../shared/api/runQueries';
import type { AtHome, Felt } from '../shared/api/homeSchemas';
import { note, noted } from '../shared/lib/deviceNotes';

/**
 * What this phone keeps: one player's secret and week, and what was written down. Each entry under a name of its own, so that two tabs
 * never write over each other.
 */
export interface Entry {
  uuid: string;
  /** Whose it is: a phone may be handed on before all is sent. */
  code: string;
  drill: string;
  name: string;
  /** By this phone. */
  on: string;
  felt: Felt | null;
  numbers: { lineKey: string; value: number; parts: MarkParts | null }[];
  isSent: boolean;
  /** Why the server will not take it; empty where it was not asked or did. */
  refusal: string;
}

const names = { code: 'home-code', page: 'home-page', phone: 'home-phone', run: 'home-run', draft: 'home-draft' };
const entryName = (uuid: string) => `home-entry ${uuid}`;
/** Sent ones are shown for so long. */
const shownDays = 10;

/** As it may be typed: letters and digits, in whatever way. */
export const plainCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^0-9A-Z]/g, '');

export const keptCode = (): string | undefined => noted(names.code);

/** Another player's page takes the place of the one before: nothing is left of that week; what was not sent stays until it is. */
export function keepCode(code: string): void {
  if (keptCode() === code) return;
  note(names.page, undefined);
  note(names.run, undefined);
  note(names.draft, undefined);
  note(names.code, code);
}

/** Which script reads and writes here: its name changes with what is in it. */
const version = import.meta.url;

export const keepPage = (page: AtHome): void => note(names.page, JSON.stringify({ version, page }));
export const dropPage = (): void => note(names.page, undefined);

/** What was kept; as it is where this very script kept it, to be read where another did. */
export function keptPage(): { isOwn: true; page: AtHome } | { isOwn: false; page: unknown } | undefined {
  const kept = parsed(noted(names.page));
  if (typeof kept !== 'object' || kept === null || !('page' in kept) || !('version' in kept)) return undefined;
  return kept.version === version ? { isOwn: true, page: kept.page as AtHome } : { isOwn: false, page: kept.page };
}

export const keepRun = (run: unknown): void => note(names.run, run === undefined ? undefined : JSON.stringify(run));
export const keptRun = (): unknown => parsed(noted(names.run));

/** What is being typed of one thing on one day, by record line. */
interface Draft {
  of: string;
  texts: Record<string, string>;
}
const isDraft = (draft: unknown): draft is Draft => typeof draft === 'object' && draft !== null && 'of' in draft && 'texts' in draft;
export const keepDraft = (draft: Draft | undefined): void => note(names.draft, draft && JSON.stringify(draft));
export function keptDraft(of: string): Record<string, string> {
  const draft = parsed(noted(names.draft));
  return isDraft(draft) && draft.of === of ? draft.texts : {};
}

/** Tells two phones apart, and says nothing else of this one. */
export function phone(): string {
  const known = noted(names.phone);
  if (known) return known;
  const made = crypto.randomUUID().slice(0, 8);
  note(names.phone, made);
  return made;
}

/** In memory too: a browser that keeps nothing still shows and sends what was written while the page is open. */
const here = new Map<string, Entry>();
const listeners = new Set<() => void>();
let shown: Entry[] | undefined;

export const onEntries = (tell: () => void): (() => void) => {
  listeners.add(tell);
  return () => listeners.delete(tell);
};

export function keepEntry(entry: Entry): void {
  here.set(entry.uuid, entry);
  note(entryName(entry.uuid), JSON.stringify(entry));
  changed();
}

export function dropEntry(uuid: string): void {
  here.delete(uuid);
  note(entryName(uuid), undefined);
  changed();
}

function changed(): void {
  shown = undefined;
  listeners.forEach((tell) => tell());
}

/** All there are, in the order they were written. */
export function entries(): Entry[] {
  shown ??= [...new Map([...stored(), ...here.values()].map((one) => [one.uuid, one])).values()].toSorted((a, b) =>
    a.on === b.on ? a.uuid.localeCompare(b.uuid) : a.on.localeCompare(b.on),
  );
  return shown;
}

/** Lets go what was sent long ago. */
export function tidy(today: string): void {
  const before = new Date(Date.parse(today) - shownDays * 86_400_000).toISOString().slice(0, 10);
  for (const one of entries()) if (one.isSent && one.on < before) dropEntry(one.uuid);
}

function stored(): Entry[] {
  try {
    return Object.keys(localStorage)
      .filter((name) => name.startsWith(entryName('')))
      .flatMap((name) => {
        const entry = parsed(localStorage.getItem(name) ?? undefined) as Entry | undefined;
        return entry ? [entry] : [];
      });
  } catch {
    return [];
  }
}

function parsed(text: string | undefined): unknown {
  try {
    return text === undefined ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return undefined;
  }
}
