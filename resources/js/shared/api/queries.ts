import { queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import type { Availability, Override, PlanBlock } from './schemas';
import { keys } from './keys';
import { read, readerOf } from './read';

const readBook = readerOf(() => import('./bookSchemas'));

export const squadQueries = {
  today: (squadId: number) =>
    queryOptions({ queryKey: keys.today(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/today`, read('today'), signal) }),
  /** The season that goes on, unless one that has ended is asked for. */
  board: (squadId: number, endedId?: number) =>
    queryOptions({
      queryKey: keys.board(squadId, endedId),
      queryFn: ({ signal }) => getJson(`/squads/${squadId}${endedId === undefined ? '' : `?season=${endedId}`}`, read('squadBoard'), signal),
    }),
  drills: (squadId: number) =>
    queryOptions({
      queryKey: keys.drills(squadId),
      queryFn: async ({ signal }) => (await getJson(`/squads/${squadId}/drills`, read('drillList'), signal)).drills,
      staleTime: 600_000,
    }),
};
export const sessionQuery = (sessionId: number) =>
  queryOptions({ queryKey: keys.session(sessionId), queryFn: ({ signal }) => getJson(`/sessions/${sessionId}`, read('session'), signal) });
export const actualQuery = (sessionId: number) =>
  queryOptions({ queryKey: keys.actual(sessionId), queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/actual`, read('sessionActual'), signal) });
export interface PlanDraft {
  slotMinutes: number;
  blocks: PlanBlock[];
  comingPlayerIds: number[];
  startsAt: string;
  helpers?: number;
  laidBefore?: boolean;
  may?: { playerId: number; may: Availability }[];
  isHot?: boolean;
  temperatureCelsius?: number | null;
  humidityPercent?: number | null;
  overrides?: Override[];
}
export interface PlanHeader {
  title: string;
  place: string;
}
/** `playersOf` names the block whose players are told one by one; the others come without. */
export const previewQuery = (squadId: number, draft: PlanDraft, playersOf?: string) =>
  queryOptions({
    queryKey: keys.preview(squadId, draft, playersOf),
    queryFn: ({ signal }) => callApi(`/squads/${squadId}/preview`, read('evaluation'), { method: 'POST', body: { ...draft, playersOf }, signal }),
    gcTime: 60_000,
  });

export const signIn = (email: string, password: string) => callApi('/sign-in', read('me'), { method: 'POST', body: { email, password } });
export const signOut = () => callApi('/sign-in', read('signedIn'), { method: 'DELETE' });

export const keepPlan = (sessionId: number, version: number, body: PlanDraft & PlanHeader) =>
  callApi(`/sessions/${sessionId}`, read('session'), { method: 'PUT', body, headers: { 'If-Match': `"${version}"` } });
/** `clientUuid` names the press of the button, so that one sent twice makes one session. */
export const addSession = (squadId: number, body: PlanDraft & PlanHeader & { clientUuid: string }) =>
  callApi(`/squads/${squadId}/sessions`, read('session'), { method: 'POST', body });
export const holdingsQuery = (sessionId: number) =>
  queryOptions({
    queryKey: keys.holdings(sessionId),
    queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/holdings`, read('holdings'), signal),
    gcTime: 0,
  });
export const deleteSession = (sessionId: number, version: number, marks: number) =>
  callApi(`/sessions/${sessionId}`, read('nothing'), { method: 'DELETE', body: { marks }, headers: { 'If-Match': `"${version}"` } });
export interface PlayerFields {
  name: string;
  bib: number | null;
  strongFoot: string;
  birthYear: number | null;
}
export const addPlayer = (squadId: number, body: PlayerFields) => callApi(`/squads/${squadId}/players`, read('player'), { method: 'POST', body });
export const changePlayer = (playerId: number, body: PlayerFields) => callApi(`/players/${playerId}`, read('player'), { method: 'PUT', body });

export type Wish = 'anything' | 'weaker-foot' | 'shared-layout' | 'join-two' | 'rainy-corner';
export interface BuildDraft extends Omit<PlanDraft, 'blocks' | 'overrides'> {
  theme: string | null;
  wish: Wish;
  locks: { drill: string | null; family: string | null }[];
  bans: string[];
  seen: string[][];
}
/** Asked for by press, not by key: building takes longer than a preview. */
export const propose = (squadId: number, body: BuildDraft) => callApi(`/squads/${squadId}/proposals`, readBook('proposals'), { method: 'POST', body });
