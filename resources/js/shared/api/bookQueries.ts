import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { move, moves } from './bookSchemas';
import { getJson } from './client';

export const bookQueries = {
  find: (asked: string) =>
    queryOptions({
      queryKey: ['book', 'moves', asked],
      queryFn: async ({ signal }) => (await getJson(`/moves?find=${encodeURIComponent(asked)}`, moves, signal)).moves,
      placeholderData: keepPreviousData,
      staleTime: 600_000,
    }),
  move: (slug: string) =>
    queryOptions({
      queryKey: ['book', 'move', slug],
      queryFn: ({ signal }) => getJson(`/moves/${encodeURIComponent(slug)}`, move, signal),
      staleTime: 600_000,
    }),
};
