import type { ReminderEvent } from '../../shared/api/runQueries';
import type { RunPack } from '../../shared/api/schemas';

/** What is noted beside the names in a run, as this device knows it. */
export interface Beside {
  /** Player id → the last that was said. */
  reminders: Record<number, { words: string; times: number; isFixed: boolean }>;
  watchedIds: number[];
}

export type Noted = Pick<ReminderEvent, 'playerId' | 'kind' | 'words'>;

export const mostLetters = 60;

export const besideOf = (pack: RunPack): Beside => ({
  reminders: Object.fromEntries(pack.reminders.map(({ playerId, words, times }) => [playerId, { words, times, isFixed: false }])),
  watchedIds: pack.watchedIds,
});

/** After one press more; what was open of another kind is open still, and comes back with the next pack. */
export function noted(beside: Beside, { playerId, kind, words = '' }: Noted): Beside {
  const others = beside.watchedIds.filter((id) => id !== playerId);
  if (kind === 'watch' || kind === 'seen') return { ...beside, watchedIds: kind === 'watch' ? [...others, playerId] : others };
  const before = beside.reminders[playerId];
  const isSame = before?.words.trim().toLowerCase() === words.trim().toLowerCase();
  const now =
    kind === 'fixed' && before
      ? { ...before, isFixed: true }
      : { words: words.trim(), times: isSame && !before.isFixed ? before.times + 1 : 1, isFixed: false };
  return { ...beside, reminders: { ...beside.reminders, [playerId]: now } };
}

/** "Amina: far foot" of those who are there, those who are watched last. */
export function besideLines({ reminders, watchedIds }: Beside, players: { id: number; name: string }[]): string[] {
  return [
    ...players.flatMap(({ id, name }) => {
      const one = reminders[id];
      return one && !one.isFixed ? [`${name}: ${one.words}`] : [];
    }),
    ...players.filter(({ id }) => watchedIds.includes(id)).map(({ name }) => `watch ${name}`),
  ];
}

/** What may be said with one press: how the usual faults of the drill are mended, and what is looked at, where it is short enough. */
export function suggestions(drill: RunPack['blocks'][number]['drill'] | undefined): string[] {
  const all = [...(drill?.faults ?? []).map(({ fix }) => fix), ...(drill?.points ?? [])].map((one) => one.replace(/\.$/, ''));
  return [...new Set(all)].filter((one) => one.length <= mostLetters).slice(0, 6);
}
