import { queryOptions } from '@tanstack/react-query';
import { getJson } from './client';
import { keys } from './keys';
import { read } from './read';

/** Who is signed in. */
export const meQuery = queryOptions({ queryKey: keys.me, queryFn: ({ signal }) => getJson('/me', read('me'), signal), retry: false });
