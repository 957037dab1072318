import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import { keys } from './keys';
import type { components } from './openapi';
import { playerPage } from './seasonSchemas';
import { z } from './zod';

type Described = components['schemas'];

/** One player's season; the one that goes on, unless one that has ended is asked for. */
export const playerQuery = (playerId: number, endedId?: number) =>
  queryOptions({
    queryKey: keys.playerSeason(playerId, endedId),
    queryFn: ({ signal }) => getJson(`/players/${playerId}${endedId === undefined ? '' : `?season=${endedId}`}`, playerPage, signal),
    placeholderData: keepPreviousData,
  });

export const answerAdvice = (playerId: number, ladder: string, body: Described['AdviceAnswer']) =>
  callApi(`/players/${playerId}/advice/${encodeURIComponent(ladder)}`, z.undefined(), { method: 'PUT', body });
