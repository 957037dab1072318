import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import { keys } from './keys';
import { read, readerOf } from './read';
import type { components } from './openapi';

const readSeason = readerOf(() => import('./seasonSchemas'));
type Described = components['schemas'];

/** One player's season; the one that goes on, unless one that has ended is asked for. */
export const playerQuery = (playerId: number, endedId?: number) =>
  queryOptions({
    queryKey: keys.playerSeason(playerId, endedId),
    queryFn: ({ signal }) => getJson(`/players/${playerId}${endedId === undefined ? '' : `?season=${endedId}`}`, readSeason('playerPage'), signal),
    placeholderData: keepPreviousData,
  });

export const answerAdvice = (playerId: number, ladder: string, body: Described['AdviceAnswer']) =>
  callApi(`/players/${playerId}/advice/${encodeURIComponent(ladder)}`, read('nothing'), { method: 'PUT', body });

/** A squad's season; the one that goes on, unless one that has ended is asked for. */
export const seasonQuery = (squadId: number, endedId?: number) =>
  queryOptions({
    queryKey: keys.season(squadId, endedId),
    queryFn: ({ signal }) => getJson(`/squads/${squadId}/season${endedId === undefined ? '' : `?season=${endedId}`}`, readSeason('seasonPage'), signal),
    placeholderData: keepPreviousData,
  });
export const whatIfQuery = (squadId: number) =>
  queryOptions({ queryKey: keys.whatIf(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/what-if`, readSeason('whatIfAnswer'), signal) });
export const endSeason = (squadId: number, body: Described['SeasonFields']) => callApi(`/squads/${squadId}/seasons`, read('made'), { method: 'POST', body });
export const takeSeasonBack = (squadId: number, seasonId: number) => callApi(`/squads/${squadId}/seasons/${seasonId}`, read('nothing'), { method: 'DELETE' });
export const movePlayer = (playerId: number, squadId: number) => callApi(`/players/${playerId}/squad`, read('player'), { method: 'PUT', body: { squadId } });

export const openPaperDay = (squadId: number, body: Described['PaperFields']) =>
  callApi(`/squads/${squadId}/paper-days`, readSeason('paperDay'), { method: 'POST', body });
