import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import type { DrillFields } from './bookSchemas';
import { callApi, getJson } from './client';
import { keys } from './keys';
import { read, readerOf } from './read';

const readBook = readerOf(() => import('./bookSchemas'));

const tenMinutesMs = 600_000;

/** Without a wish the path is bare: that answer is held for where there is no network. */
const searchPath = (squadId: number, wishes: Record<string, string>) =>
  [`/squads/${squadId}/drill-search`, new URLSearchParams(wishes).toString()].filter(Boolean).join('?');

/** Keys go from wide to narrow: `['squad', id]` invalidates a squad's drills, ladders and all. */
export const bookQueries = {
  moves: queryOptions({
    queryKey: keys.moves,
    queryFn: async ({ signal }) => (await getJson('/moves', readBook('moves'), signal)).moves,
    staleTime: tenMinutesMs,
  }),
  move: (slug: string) =>
    queryOptions({
      queryKey: keys.move(slug),
      queryFn: ({ signal }) => getJson(`/moves/${encodeURIComponent(slug)}`, readBook('move'), signal),
      staleTime: tenMinutesMs,
    }),
  choices: queryOptions({
    queryKey: keys.choices,
    queryFn: async ({ signal }) => (await getJson('/drill-choices', readBook('drillChoices'), signal)).choices,
    staleTime: Infinity,
  }),
  /** Drills for what there is; the last ones stay until the next are there. */
  drills: (squadId: number, wishes: Record<string, string>) =>
    queryOptions({
      queryKey: keys.drillsFound(squadId, wishes),
      queryFn: async ({ signal }) => (await getJson(searchPath(squadId, wishes), readBook('drillsFound'), signal)).found,
      placeholderData: keepPreviousData,
      staleTime: tenMinutesMs,
    }),
  /** What there is to find, for a search on this device. */
  searchIndex: (squadId: number) =>
    queryOptions({
      queryKey: keys.searchIndex(squadId),
      queryFn: async ({ signal }) => (await getJson(`/squads/${squadId}/search-index`, readBook('searchIndex'), signal)).entries,
      staleTime: tenMinutesMs,
    }),
  /** What was done of a drill before a day. */
  lastTime: (squadId: number, slug: string, before: string) =>
    queryOptions({
      queryKey: keys.lastTime(squadId, slug, before),
      queryFn: ({ signal }) => getJson(`/squads/${squadId}/drills/${encodeURIComponent(slug)}/last-time?before=${before}`, readBook('lastTime'), signal),
    }),
  drill: (squadId: number, slug: string) =>
    queryOptions({
      queryKey: keys.drill(squadId, slug),
      queryFn: ({ signal }) => getJson(`/squads/${squadId}/drills/${encodeURIComponent(slug)}`, readBook('drillPage'), signal),
    }),
  trial: (squadId: number, fields: DrillFields, from: string | null) =>
    queryOptions({
      queryKey: keys.trial(squadId, fields, from),
      queryFn: ({ signal }) => callApi(`/squads/${squadId}/drill-trials`, readBook('drillTrial'), { method: 'POST', body: { fields, from }, signal }),
      placeholderData: keepPreviousData,
      gcTime: 60_000,
    }),
  ladders: (squadId: number) =>
    queryOptions({ queryKey: keys.ladders(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/ladders`, readBook('ladders'), signal) }),
  reset: (squadId: number, from: string, to: string) =>
    queryOptions({
      queryKey: keys.drillReset(squadId, from, to),
      queryFn: ({ signal }) => getJson(`/squads/${squadId}/reset?${new URLSearchParams({ from, to }).toString()}`, readBook('resetDrawing'), signal),
      staleTime: tenMinutesMs,
    }),
};

const pathOf = (squadId: number, slug: string): string => `/squads/${squadId}/drills/${encodeURIComponent(slug)}`;

export const scaleDrill = (squadId: number, fields: DrillFields, from: string | null, scaleTo: string) =>
  callApi(`/squads/${squadId}/drill-trials`, readBook('drillTrial'), { method: 'POST', body: { fields, from, scaleTo } });
export const addDrill = (squadId: number, fields: DrillFields, from: string | null) =>
  callApi(`/squads/${squadId}/drills`, readBook('drillPage'), { method: 'POST', body: { fields, from } });
export const changeDrill = (squadId: number, slug: string, version: number, fields: DrillFields) =>
  callApi(pathOf(squadId, slug), readBook('drillPage'), { method: 'PUT', body: { fields, from: null }, headers: { 'If-Match': `"${version}"` } });
export const retireDrill = (squadId: number, slug: string) => callApi(pathOf(squadId, slug), read('nothing'), { method: 'DELETE' });
export const shareDrill = (squadId: number, slug: string, isShared: boolean) =>
  callApi(`${pathOf(squadId, slug)}/sharing`, readBook('drillPage'), { method: 'PUT', body: { isShared } });
export const keepDrillTarget = (squadId: number, slug: string, target: { school: string | null; number: number | null }) =>
  callApi(`${pathOf(squadId, slug)}/target`, readBook('drillPage'), { method: 'PUT', body: target });
export const importDrills = (squadId: number, file: string) =>
  callApi(`/squads/${squadId}/drill-files`, readBook('drillsTaken'), { method: 'POST', text: file });
export const scoreOf = (squadId: number, slug: string, seconds: number, counts: Record<string, number>) =>
  callApi(`${pathOf(squadId, slug)}/score`, readBook('score'), { method: 'POST', body: { seconds, counts } });
export const drillFilePath = (squadId: number, slug: string): string => `/api/v1${pathOf(squadId, slug)}/file`;
