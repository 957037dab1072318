import { queryOptions } from '@tanstack/react-query';
import { z } from './zod';
import { proposals } from './bookSchemas';
import { callApi, getJson } from './client';
import type { components } from './openapi';
import {
  drill,
  evaluation,
  holdings,
  feedCounts,
  feedLeave,
  markResults,
  me,
  player,
  recap,
  runPack,
  runPosition,
  sessionActual,
  session,
  squadBoard,
  today,
  type Availability,
  type Override,
  type PlanBlock,
  type Recap,
} from './schemas';
import { keys } from './keys';

/** Keys go from wide to narrow, so that `['squad', id]` invalidates everything below it. */
export const meQuery = queryOptions({ queryKey: keys.me, queryFn: ({ signal }) => getJson('/me', me, signal), retry: false });

export const squadQueries = {
  today: (squadId: number) => queryOptions({ queryKey: keys.today(squadId), queryFn: ({ signal }) => getJson(`/squads/${squadId}/today`, today, signal) }),
  /** The season that goes on, unless one that has ended is asked for. */
  board: (squadId: number, endedId?: number) =>
    queryOptions({
      queryKey: keys.board(squadId, endedId),
      queryFn: ({ signal }) => getJson(`/squads/${squadId}${endedId === undefined ? '' : `?season=${endedId}`}`, squadBoard, signal),
    }),
  drills: (squadId: number) =>
    queryOptions({
      queryKey: keys.drills(squadId),
      queryFn: async ({ signal }) => (await getJson(`/squads/${squadId}/drills`, z.object({ drills: z.array(drill) }), signal)).drills,
      staleTime: 600_000,
    }),
};
export const sessionQuery = (sessionId: number) =>
  queryOptions({ queryKey: keys.session(sessionId), queryFn: ({ signal }) => getJson(`/sessions/${sessionId}`, session, signal) });
export const actualQuery = (sessionId: number) =>
  queryOptions({ queryKey: keys.actual(sessionId), queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/actual`, sessionActual, signal) });
export const runPackQuery = (sessionId: number) =>
  queryOptions({
    queryKey: keys.run(sessionId),
    queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/run`, runPack, signal),
    staleTime: Infinity,
  });

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
    queryFn: ({ signal }) => callApi(`/squads/${squadId}/preview`, evaluation, { method: 'POST', body: { ...draft, playersOf }, signal }),
    gcTime: 60_000,
  });

export const signIn = (email: string, password: string) => callApi('/sign-in', me, { method: 'POST', body: { email, password } });
export const signOut = () => callApi('/sign-in', z.object({ signedIn: z.boolean() }), { method: 'DELETE' });

export const keepPlan = (sessionId: number, version: number, body: PlanDraft & PlanHeader) =>
  callApi(`/sessions/${sessionId}`, session, { method: 'PUT', body, headers: { 'If-Match': `"${version}"` } });
/** `clientUuid` names the press of the button, so that one sent twice makes one session. */
export const addSession = (squadId: number, body: PlanDraft & PlanHeader & { clientUuid: string }) =>
  callApi(`/squads/${squadId}/sessions`, session, { method: 'POST', body });
export const holdingsQuery = (sessionId: number) =>
  queryOptions({
    queryKey: keys.holdings(sessionId),
    queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/holdings`, holdings, signal),
    gcTime: 0,
  });
export const deleteSession = (sessionId: number, version: number, marks: number) =>
  callApi(`/sessions/${sessionId}`, z.undefined(), { method: 'DELETE', body: { marks }, headers: { 'If-Match': `"${version}"` } });
/** How long a stretch of a run was to take before the coach's own times and with them, and took; and how long the clock stood still. */
export type PartTime = components['schemas']['PartTime'];
/** One call by its place in the block's sequence. */
export type CallMade = components['schemas']['CallMade'];
export const keepRun = (sessionId: number, body: { startedAt: string; finishedAt?: string; parts?: PartTime[]; presentIds?: number[]; calls?: CallMade[] }) =>
  callApi(`/sessions/${sessionId}/run`, z.unknown(), { method: 'PUT', body });

export const keepRecap = (sessionId: number, body: Recap) => callApi(`/sessions/${sessionId}/recap`, recap, { method: 'PUT', body });

export interface PlayerFields {
  name: string;
  bib: number | null;
  strongFoot: string;
  birthYear: number | null;
}
export const addPlayer = (squadId: number, body: PlayerFields) => callApi(`/squads/${squadId}/players`, player, { method: 'POST', body });
/** Whoever wears one of the bibs already is that player. */
export const addGuests = (squadId: number, bibs: number[]) =>
  callApi(`/squads/${squadId}/guests`, z.object({ players: z.array(player) }), { method: 'POST', body: { bibs } });
export const changePlayer = (playerId: number, body: PlayerFields) => callApi(`/players/${playerId}`, player, { method: 'PUT', body });

/** Where this device stands in a run it conducts; answers with who conducts. */
export const tellPosition = (sessionId: number, body: components['schemas']['PositionTold']) =>
  callApi(`/sessions/${sessionId}/position`, runPosition, { method: 'PUT', body });
export const positionQuery = (sessionId: number) =>
  queryOptions({
    queryKey: keys.position(sessionId),
    queryFn: async ({ signal }) => (await getJson(`/sessions/${sessionId}/position`, runPosition, signal)).position,
    gcTime: 0,
    retry: false,
  });

/** Leave for a device to count in this session. */
export const openFeed = (sessionId: number) => callApi(`/sessions/${sessionId}/feed`, feedLeave, { method: 'POST', body: {} });
/** What devices counted since an instant, asked for again and again. */
export const feedQuery = (sessionId: number, from: string) =>
  queryOptions({
    queryKey: keys.feed(sessionId, from),
    queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/feed?from=${from}`, feedCounts, signal),
    refetchInterval: 1_500,
    gcTime: 0,
  });

/** A mark as it leaves the device. */
export type MarkToSend = components['schemas']['Mark'];
export type MarkParts = components['schemas']['MarkParts'];
export const sendMarks = (marks: MarkToSend[]) => callApi('/marks', markResults, { method: 'POST', body: { marks } });

/** What is noted beside a name in a run, as it leaves the device. */
export type ReminderEvent = components['schemas']['ReminderEvent'];
/** One ball of the player in focus, judged. */
export type Look = components['schemas']['Look'];
export type Noted = { kind: 'reminders'; item: ReminderEvent } | { kind: 'looks'; item: Look };
const listNames = { reminders: 'events', looks: 'looks' };
export const sendNoted = (sessionId: number, kind: Noted['kind'], items: Noted['item'][]) =>
  callApi(`/sessions/${sessionId}/${kind}`, markResults, { method: 'POST', body: { [listNames[kind]]: items } });

export type Wish = 'anything' | 'weaker-foot' | 'shared-layout' | 'join-two' | 'rainy-corner';
export interface BuildDraft extends Omit<PlanDraft, 'blocks' | 'overrides'> {
  theme: string | null;
  wish: Wish;
  locks: { drill: string | null; family: string | null }[];
  bans: string[];
  seen: string[][];
}
/** Asked for by press, not by key: building takes longer than a preview. */
export const propose = (squadId: number, body: BuildDraft) => callApi(`/squads/${squadId}/proposals`, proposals, { method: 'POST', body });
