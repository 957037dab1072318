import type { RoutineWishes } from './routineSchemas';
import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import type { HomeLink } from './homeSchemas';
import { keys } from './keys';
import { read, readerOf } from './read';
import type { components } from './openapi';

const readHome = readerOf(() => import('./homeSchemas'));
const readRoutine = readerOf(() => import('./routineSchemas'));

/** A week at home; what is not asked for is as it was kept last. */
export const routineQuery = (playerId: number, asked: Partial<Record<keyof RoutineWishes, string>>) =>
  queryOptions({
    queryKey: keys.routine(playerId, asked),
    queryFn: ({ signal }) => {
      const words = new URLSearchParams(asked).toString();
      return getJson(`/players/${playerId}/routine${words === '' ? '' : `?${words}`}`, readRoutine('routinePage'), signal);
    },
    placeholderData: keepPreviousData,
    retry: false,
  });
export const keepRoutine = (playerId: number, body: components['schemas']['RoutineWishes']) =>
  callApi(`/players/${playerId}/routine`, readRoutine('routinePage'), { method: 'PUT', body });

export const homeQueries = {
  squad: (squadId: number) =>
    queryOptions({ queryKey: keys.home(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/home`, readHome('homeSquad'), signal) }),
  sheets: (squadId: number) =>
    queryOptions({ queryKey: keys.homeSheets(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/home-sheets`, readHome('homeSheets'), signal) }),
  link: (playerId: number) =>
    queryOptions({
      queryKey: keys.homeLink(playerId),
      queryFn: async ({ signal }): Promise<HomeLink | null> => (await getJson(`/players/${playerId}/home-link`, readHome('homeLinkPage'), signal)).link,
    }),
};
export const openHomeLink = (playerId: number) => callApi(`/players/${playerId}/home-link`, readHome('homeLinkPage'), { method: 'PUT' });
export const closeHomeLink = (playerId: number) => callApi(`/players/${playerId}/home-link`, read('nothing'), { method: 'DELETE' });
export const keepSquadRoutines = (squadId: number, body: Partial<components['schemas']['RoutineWishes']>) =>
  callApi(`/squads/${squadId}/home-routines`, readHome('homeSquad'), { method: 'PUT', body });
export const openHomeLinks = (squadId: number) => callApi(`/squads/${squadId}/home-links`, readHome('homeSquad'), { method: 'PUT' });
export const answerPractice = (squadId: number, body: components['schemas']['HomeAnswer']) =>
  callApi(`/squads/${squadId}/home-answers`, readHome('homeSquad'), { method: 'POST', body });
export const sendSheets = (squadId: number, sheets: components['schemas']['SheetNumbers'][]) =>
  callApi(`/squads/${squadId}/home-sheets`, readHome('practisedResults'), { method: 'POST', body: { sheets } });

/** With the origin of this page: the same address the coach has opened. */
export const linkAddress = (path: string): string => `${location.origin}${path}`;
