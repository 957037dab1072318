import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { bookQueries } from '../../shared/api/bookQueries';
import { searcher } from '../../shared/lib/search';
import { useSquadId } from '../../shared/ui/SquadChoice';

/**
 * Of these, what the words find, best first, on what this device holds; all of them where nothing is asked or nothing is held yet.
 * Where the words could not be fetched, a sentence says so.
 */
export function useNamed<T extends { slug: string }>(kind: 'move' | 'drill', all: T[] | undefined, asked: string): { found: T[] | undefined; fault: string } {
  const { squadId } = useSquadId();
  const held = useQuery(bookQueries.searchIndex(squadId));
  const search = useMemo(() => searcher((held.data ?? []).filter((entry) => entry.kind === kind)), [held.data, kind]);
  const found = useMemo(() => {
    if (!all || !held.data || asked.trim() === '') return all;
    const bySlug = new Map(all.map((one) => [one.slug, one]));
    return search(asked).flatMap(({ id }) => bySlug.get(id) ?? []);
  }, [all, held.data, search, asked]);
  const isAtALoss = held.isError && !held.data && asked.trim() !== '';
  return { found, fault: isAtALoss ? `The words could not be looked up, so everything is shown. ${held.error.message}` : '' };
}
