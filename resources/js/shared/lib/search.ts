import MiniSearch from 'minisearch';
import type { SearchEntry } from '../api/bookSchemas';

/** American and other spellings, and words that mean the same at every club. */
const sameAs: Record<string, string> = {
  color: 'colour',
  colored: 'coloured',
  center: 'centre',
  meter: 'metre',
  defense: 'defence',
  practise: 'practice',
  header: 'head',
  heading: 'head',
  goalkeeper: 'keeper',
  goalie: 'keeper',
  juggle: 'juggling',
  keepy: 'juggling',
  uppy: 'juggling',
  shot: 'shoot',
  shooting: 'shoot',
  finish: 'shoot',
  finishing: 'shoot',
  control: 'touch',
  receive: 'touch',
  receiving: 'touch',
  '1v1': 'one',
  weak: 'other',
  weaker: 'other',
  wrong: 'other',
  instep: 'lace',
};

/** A word as it is looked up: small letters, no accents, one form of singular and spelling. */
export function term(word: string): string {
  const plain = word
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '');
  const one = plain.length > 3 && plain.endsWith('s') && !plain.endsWith('ss') ? plain.slice(0, -1) : plain;
  return sameAs[plain] ?? sameAs[one] ?? one;
}

/** Words that say nothing by themselves. */
const empty = new Set(['the', 'a', 'an', 'and', 'of', 'for', 'with', 'to', 'in', 'on', 'at', 'my', 'drill']);

export type Searcher = (asked: string) => SearchEntry[];

/**
 * Searches what is held on this device: a name counts most, then what coaches call it, then what else is said of it. The order of words
 * does not matter, a beginning is enough, and one slip of the thumb is forgiven. Where nothing has all the words, what has most of them.
 */
export function searcher(entries: SearchEntry[]): Searcher {
  const index = new MiniSearch<SearchEntry & { key: string }>({
    idField: 'key',
    fields: ['name', 'words', 'text'],
    extractField: (entry, field) => {
      const value = (entry as unknown as Record<string, string | string[]>)[field] ?? '';
      return Array.isArray(value) ? value.join(' ') : value;
    },
    processTerm: (word) => {
      const one = term(word);
      return empty.has(one) ? null : one;
    },
    searchOptions: {
      boost: { name: 6, words: 5, text: 1 },
      prefix: (word) => word.length > 1,
      // Two letters turned round are one slip, and two edits.
      fuzzy: (word) => (word.length < 3 || /^\d+$/.test(word) ? false : word.length > 5 ? 2 : 1),
      weights: { fuzzy: 0.15, prefix: 0.6 },
      combineWith: 'AND',
    },
  });
  const byKey = new Map(entries.map((entry) => [`${entry.kind} ${entry.id}`, entry]));
  index.addAll([...byKey].map(([key, entry]) => ({ key, ...entry })));
  return (asked) => {
    const text = asked.trim();
    if (text === '') return [];
    const all = index.search(text);
    const found = all.length > 0 ? all : index.search(text, { combineWith: 'OR' });
    return found.flatMap(({ id }) => byKey.get(id as string) ?? []);
  };
}
