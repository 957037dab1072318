import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import { keys } from './keys';
import type { components } from './openapi';
import { player } from './schemas';
import { paperDay, playerPage, seasonPage, whatIfAnswer } from './seasonSchemas';
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

/** A squad's season; the one that goes on, unless one that has ended is asked for. */
export const seasonQuery = (squadId: number, endedId?: number) =>
  queryOptions({
    queryKey: keys.season(squadId, endedId),
    queryFn: ({ signal }) => getJson(`/squads/${squadId}/season${endedId === undefined ? '' : `?season=${endedId}`}`, seasonPage, signal),
    placeholderData: keepPreviousData,
  });
export const whatIfQuery = (squadId: number) =>
  queryOptions({ queryKey: keys.whatIf(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/what-if`, whatIfAnswer, signal) });
export const endSeason = (squadId: number, body: Described['SeasonFields']) =>
  callApi(`/squads/${squadId}/seasons`, z.object({ id: z.number() }), { method: 'POST', body });
export const takeSeasonBack = (squadId: number, seasonId: number) => callApi(`/squads/${squadId}/seasons/${seasonId}`, z.undefined(), { method: 'DELETE' });
export const movePlayer = (playerId: number, squadId: number) => callApi(`/players/${playerId}/squad`, player, { method: 'PUT', body: { squadId } });

export const openPaperDay = (squadId: number, body: Described['PaperFields']) => callApi(`/squads/${squadId}/paper-days`, paperDay, { method: 'POST', body });
