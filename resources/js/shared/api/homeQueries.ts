import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import { homeLinkPage, homeSheets, homeSquad, practisedResults, type HomeLink } from './homeSchemas';
import { keys } from './keys';
import type { components } from './openapi';
import { dose } from './schemas';
import { z } from './zod';

const yesNo = z.enum(['yes', 'no']);
export const routineWishes = z.object({
  minutes: z.number(),
  days: z.number(),
  space: z.enum(['hallway', 'small-square', 'square', 'lane']),
  wall: z.enum(['no', 'couch', 'yes']),
  helper: yesNo,
  quiet: yesNo,
  kit: z.enum(['things', 'ball', 'nothing']),
  school: z.enum(['both-feet', 'other-foot-day', 'records', 'good-ones']),
  /** Drills the coach chose and took out, by slug, a space between. */
  with: z.string(),
  without: z.string(),
});
const routineItem = z.object({
  drill: z.string(),
  name: z.string(),
  family: z.string(),
  minutes: z.number(),
  dose,
  reasons: z.array(z.string()),
  target: z.nullable(z.string()),
  easier: z.nullable(z.string()),
  harder: z.nullable(z.string()),
  links: z.nullable(z.number()),
});
export const routinePage = z.object({
  playerId: z.number(),
  playerName: z.string(),
  squadId: z.number(),
  wishes: routineWishes,
  keptOn: z.nullable(z.string()),
  /** Whether what is proposed is what was kept. */
  isAsKept: z.boolean(),
  days: z.array(z.object({ number: z.number(), isOtherFoot: z.boolean(), minutes: z.number(), items: z.array(routineItem) })),
  /** Why there is nothing to do; empty where there is. */
  refusal: z.string(),
  /** Names of drills the coach chose that do not fit. */
  left: z.array(z.string()),
});
export type RoutineWishes = z.infer<typeof routineWishes>;
export type RoutinePage = z.infer<typeof routinePage>;
export type RoutineDay = RoutinePage['days'][number];

/** A week at home; what is not asked for is as it was kept last. */
export const routineQuery = (playerId: number, asked: Partial<Record<keyof RoutineWishes, string>>) =>
  queryOptions({
    queryKey: keys.routine(playerId, asked),
    queryFn: ({ signal }) => {
      const words = new URLSearchParams(asked).toString();
      return getJson(`/players/${playerId}/routine${words === '' ? '' : `?${words}`}`, routinePage, signal);
    },
    placeholderData: keepPreviousData,
    retry: false,
  });
export const keepRoutine = (playerId: number, body: components['schemas']['RoutineWishes']) =>
  callApi(`/players/${playerId}/routine`, routinePage, { method: 'PUT', body });

export const homeQueries = {
  squad: (squadId: number) => queryOptions({ queryKey: keys.home(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/home`, homeSquad, signal) }),
  sheets: (squadId: number) =>
    queryOptions({ queryKey: keys.homeSheets(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/home-sheets`, homeSheets, signal) }),
  link: (playerId: number) =>
    queryOptions({
      queryKey: keys.homeLink(playerId),
      queryFn: async ({ signal }): Promise<HomeLink | null> => (await getJson(`/players/${playerId}/home-link`, homeLinkPage, signal)).link,
    }),
};
export const openHomeLink = (playerId: number) => callApi(`/players/${playerId}/home-link`, homeLinkPage, { method: 'PUT' });
export const closeHomeLink = (playerId: number) => callApi(`/players/${playerId}/home-link`, z.undefined(), { method: 'DELETE' });
export const keepSquadRoutines = (squadId: number, body: Partial<components['schemas']['RoutineWishes']>) =>
  callApi(`/squads/${squadId}/home-routines`, homeSquad, { method: 'PUT', body });
export const openHomeLinks = (squadId: number) => callApi(`/squads/${squadId}/home-links`, homeSquad, { method: 'PUT' });
export const answerPractice = (squadId: number, body: components['schemas']['HomeAnswer']) =>
  callApi(`/squads/${squadId}/home-answers`, homeSquad, { method: 'POST', body });
export const sendSheets = (squadId: number, sheets: components['schemas']['SheetNumbers'][]) =>
  callApi(`/squads/${squadId}/home-sheets`, practisedResults, { method: 'POST', body: { sheets } });

/** With the origin of this page: the same address the coach has opened. */
export const linkAddress = (path: string): string => `${location.origin}${path}`;
