import { queryOptions } from '@tanstack/react-query';
import { callApi, contract, getJson } from './client';
import { keys } from './keys';
import type { components } from './openapi';
import { read } from './read';
import type { Recap, RunPack } from './schemas';

/** What a run asks and tells. It starts without the schemas: they are fetched when the first answer is there to be read. */

export const runPackQuery = (sessionId: number) =>
  queryOptions({
    queryKey: keys.run(sessionId),
    queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/run`, read('runPack'), signal),
    staleTime: Infinity,
    meta: { isQuiet: true },
  });

/** A pack that was kept with a run, by whatever version of this page; undefined where it cannot be read. */
export async function keptPack(pack: unknown, of: string | undefined): Promise<RunPack | undefined> {
  return of === contract && contract !== '' ? (pack as RunPack) : (await read('runPack')()).safeParse(pack).data;
}

/** How long a stretch of a run was to take before the coach's own times and with them, and took; and how long the clock stood still. */
export type PartTime = components['schemas']['PartTime'];
/** One call by its place in the block's sequence. */
export type CallMade = components['schemas']['CallMade'];
/** A block, and who of those who came was not at work in it. */
export type Missed = components['schemas']['Missed'];
export const keepRun = (
  sessionId: number,
  body: { startedAt: string; finishedAt?: string; parts?: PartTime[]; presentIds?: number[]; missed?: Missed[]; calls?: CallMade[] },
) => callApi(`/sessions/${sessionId}/run`, read('anything'), { method: 'PUT', body });

export const keepRecap = (sessionId: number, body: Recap) => callApi(`/sessions/${sessionId}/recap`, read('recap'), { method: 'PUT', body });

/** Whoever wears one of the bibs already is that player. */
export const addGuests = (squadId: number, bibs: number[]) => callApi(`/squads/${squadId}/guests`, read('guests'), { method: 'POST', body: { bibs } });
/** Where this device stands in a run it conducts; answers with who conducts. */
export const tellPosition = (sessionId: number, body: components['schemas']['PositionTold']) =>
  callApi(`/sessions/${sessionId}/position`, read('runPosition'), { method: 'PUT', body });
export const positionQuery = (sessionId: number) =>
  queryOptions({
    queryKey: keys.position(sessionId),
    queryFn: async ({ signal }) => (await getJson(`/sessions/${sessionId}/position`, read('runPosition'), signal)).position,
    gcTime: 0,
    retry: false,
    meta: { isQuiet: true },
  });

/** Leave for a device to count in this session. */
export const openFeed = (sessionId: number) => callApi(`/sessions/${sessionId}/feed`, read('feedLeave'), { method: 'POST', body: {} });
/** What devices counted since an instant, asked for again and again. */
export const feedQuery = (sessionId: number, from: string) =>
  queryOptions({
    queryKey: keys.feed(sessionId, from),
    queryFn: ({ signal }) => getJson(`/sessions/${sessionId}/feed?from=${from}`, read('feedCounts'), signal),
    refetchInterval: 1_500,
    gcTime: 0,
  });

/** A mark as it leaves the device. */
export type MarkToSend = components['schemas']['Mark'];
export type MarkParts = components['schemas']['MarkParts'];
export const sendMarks = (marks: MarkToSend[]) => callApi('/marks', read('markResults'), { method: 'POST', body: { marks } });

/** What is noted beside a name in a run, as it leaves the device. */
export type ReminderEvent = components['schemas']['ReminderEvent'];
/** One ball of the player in focus, judged. */
export type Look = components['schemas']['Look'];
export type Noted = { kind: 'reminders'; item: ReminderEvent } | { kind: 'looks'; item: Look };
const listNames = { reminders: 'events', looks: 'looks' };
export const sendNoted = (sessionId: number, kind: Noted['kind'], items: Noted['item'][]) =>
  callApi(`/sessions/${sessionId}/${kind}`, read('markResults'), { method: 'POST', body: { [listNames[kind]]: items } });
