import { ApiError, callApi } from '../shared/api/client';
import type { AtHome } from '../shared/api/homeSchemas';
import { localNow } from '../shared/lib/format';
import { entries, keepEntry, phone } from './store';

const as = (code: string) => ({ Authorization: `Bearer ${code}` });
/** Who carries no session may send 16 kB at a time. */
const atOnce = 10;

/** What reads answers is fetched when there is one: a page that opens without a network shows what it holds before. */
const readers = () => import('../shared/api/homeSchemas');

export async function askForPage(code: string): Promise<AtHome> {
  const { atHome } = await readers();
  return callApi('/at-home', atHome, { method: 'GET', headers: as(code) });
}

/** A page that another version of this script kept, if this one can read it. */
export const readPage = async (page: unknown): Promise<AtHome | undefined> => (await readers()).atHome.safeParse(page).data;

let isSending = false;

/**
 * Sends what waits, whoever's it is, each under its own secret. Never throws: what cannot be sent goes on waiting.
 *
 * @returns whether a link was found closed on the way
 */
export async function sendAll(): Promise<boolean> {
  if (isSending) return false;
  isSending = true;
  try {
    let isClosed = false;
    for (const code of new Set(waiting().map((one) => one.code))) isClosed = (await sendOf(code)) || isClosed;
    return isClosed;
  } finally {
    isSending = false;
  }
}

const waiting = () => entries().filter((one) => !one.isSent && one.refusal === '');

async function sendOf(code: string): Promise<boolean> {
  const batch = waiting()
    .filter((one) => one.code === code)
    .slice(0, atOnce);
  if (batch.length === 0) return false;
  try {
    const { practisedResults } = await readers();
    const { results } = await callApi('/at-home/practice', practisedResults, {
      method: 'POST',
      headers: as(code),
      body: {
        phoneToday: localNow().slice(0, 10),
        phone: phone(),
        practised: batch.map(({ uuid, drill, on, felt, numbers }) => ({ uuid, drill, on, felt, numbers })),
      },
    });
    for (const { index, status, message } of results) {
      const entry = batch[index];
      if (entry) keepEntry({ ...entry, isSent: status !== 'refused', refusal: status === 'refused' ? (message ?? 'It was not taken.') : '' });
    }
  } catch (fault) {
    if (!(fault instanceof ApiError) || fault.kind !== 'signed-out') return false;
    // Of a link that is closed nothing will ever be taken: the numbers stay here to be read out to the coach.
    for (const entry of batch) keepEntry({ ...entry, refusal: fault.message });
    return true;
  }
  return sendOf(code);
}
