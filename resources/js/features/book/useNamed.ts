import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { bookQueries } from '../../shared/api/bookQueries';
import { searcher } from '../../shared/lib/search';
import { useSquadId } from '../../shared/ui/SquadChoice';

/** Of these, what the words find, best first, on what this device holds; all of them where nothing is asked, or nothing is held yet. */
export function useNamed<T extends { slug: string }>(kind: 'move' | 'drill', all: T[] | undefined, asked: string): T[] | undefined {
  const { squadId } = useSquadId();
  const held = useQuery(bookQueries.searchIndex(squadId));
  const search = useMemo(() => searcher((held.data ?? []).filter((entry) => entry.kind === kind)), [held.data, kind]);
  return useMemo(() => {
    if (!all || !held.data || asked.trim() === '') return all;
    const bySlug = new Map(all.map((one) => [one.slug, one]));
    return search(asked).flatMap(({ id }) => bySlug.get(id) ?? []);
  }, [all, held.data, search, asked]);
}
