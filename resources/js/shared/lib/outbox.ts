import Dexie, { type EntityTable } from 'dexie';
import { useSyncExternalStore } from 'react';
import { ApiError } from '../api/client';
import { keepRecap, keepRun, sendMarks, type MarkToSend, type PartTime } from '../api/queries';
import type { Recap } from '../api/schemas';

/** A number entered on this device, as the roll call shows it; it stays after sending. */
export interface Entry {
  /** session|segment|player */
  key: string;
  sessionId: number;
  uuid: string;
  value: number;
  isVoid: boolean;
  /** Why the server would not take it; empty while it waits or once it is taken. */
  refusal: string;
}
interface Waiting {
  uuid: string;
  entryKey: string;
  mark: MarkToSend;
}
interface Finish {
  sessionId: number;
  startedAt: string;
  finishedAt: string;
  /** Absent in what an older version kept. */
  parts?: PartTime[];
}
interface KeptRecap extends Recap {
  sessionId: number;
  /** Whether the server has not heard it yet. */
  isWaiting: boolean;
}
interface KeptRun {
  sessionId: number;
  state: string;
}

const database = new Dexie('fleet-sparrow') as Dexie & {
  outbox: EntityTable<Waiting, 'uuid'>;
  entries: EntityTable<Entry, 'key'>;
  finishes: EntityTable<Finish, 'sessionId'>;
  runs: EntityTable<KeptRun, 'sessionId'>;
  recaps: EntityTable<KeptRecap, 'sessionId'>;
};
const tables = { outbox: 'uuid', entries: 'key, sessionId', finishes: 'sessionId', runs: 'sessionId' };
database.version(1).stores(tables);
// A mark that still waits from before may name the one it corrects in the old way.
database
  .version(2)
  .stores(tables)
  .upgrade((upgrade) =>
    upgrade
      .table<{ mark: MarkToSend & { supersedesUuid?: string | null } }>('outbox')
      .toCollection()
      .modify(({ mark }) => {
        if (mark.supersedesUuid) mark.supersedesUuids = [mark.supersedesUuid];
        delete mark.supersedesUuid;
      }),
  );

database.version(3).stores({ ...tables, recaps: 'sessionId' });

const batchSize = 100;
let unsent = 0;
let isSignedOut = false;
const listeners = new Set<() => void>();

function tell(): void {
  listeners.forEach((listener) => listener());
}
async function recount(): Promise<void> {
  unsent = await database.outbox.count();
  tell();
}
void recount().catch(() => undefined);

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** How many marks wait on this device. */
export const useUnsentMarks = (): number => useSyncExternalStore(subscribe, () => unsent);

/** Whether what waits needs somebody to sign in first. Said quietly: nobody is stopped in the middle of a roll call. */
export const useNeedsSignIn = (): boolean => useSyncExternalStore(subscribe, () => isSignedOut && unsent > 0);

/** Keeps a mark on the device, in one transaction with what the roll call shows, then tries to send. */
export async function enterMark(entryKey: string, mark: MarkToSend): Promise<Entry> {
  const entry: Entry = { key: entryKey, sessionId: mark.sessionId, uuid: mark.uuid, value: mark.value, isVoid: mark.isVoid ?? false, refusal: '' };
  await database.transaction('rw', database.outbox, database.entries, async () => {
    await database.entries.put(entry);
    await database.outbox.add({ uuid: mark.uuid, entryKey, mark });
  });
  await recount();
  void flushMarks();
  return entry;
}

export const entriesOf = (sessionId: number): Promise<Entry[]> => database.entries.where('sessionId').equals(sessionId).toArray();

let flushing: Promise<void> | null = null;

/** Sends what waits, batch by batch. Never throws: what cannot be sent goes on waiting. One run at a time. */
export function flushMarks(): Promise<void> {
  flushing ??= sendAll().finally(() => {
    flushing = null;
  });
  return flushing;
}

/**
 * Does what changes the sign-in while no marks are on their way: the answer to a signed-out request brings its old cookie
 * back, and would undo the new sign-in.
 */
export async function betweenFlushes<T>(work: () => Promise<T>): Promise<T> {
  while (flushing) await flushing;
  const result = work();
  flushing = result.then(
    () => undefined,
    () => undefined,
  );
  await flushing;
  flushing = null;
  return result;
}

async function sendAll(): Promise<void> {
  try {
    for (;;) {
      const waiting = await database.outbox.limit(batchSize).toArray();
      isSignedOut = false;
      if (waiting.length === 0) {
        await sendFinishes();
        await sendRecaps();
        return;
      }
      const { results } = await sendMarks(waiting.map((one) => one.mark));
      await database.transaction('rw', database.outbox, database.entries, async () => {
        for (const result of results) {
          const one = waiting[result.index];
          if (!one) continue;
          await database.outbox.delete(one.uuid);
          if (result.status === 'refused') await database.entries.update(one.entryKey, { refusal: result.message ?? 'The server would not take this number.' });
        }
      });
      await recount();
    }
  } catch (fault) {
    // Offline, signed out or the records away: the marks stay and go out with the next try.
    isSignedOut = fault instanceof ApiError && fault.kind === 'signed-out';
    await recount().catch(() => undefined);
  }
}

/** Keeps that a run is over, to be told to the server now or when it can be reached. */
export async function finishRun(finish: Finish): Promise<void> {
  await database.finishes.put(finish);
  await flushMarks();
}

async function sendFinishes(): Promise<void> {
  for (const { sessionId, startedAt, finishedAt, parts } of await database.finishes.toArray()) {
    await keepRun(sessionId, { startedAt, finishedAt, ...(parts && { parts }) });
    await database.finishes.delete(sessionId);
  }
}

/** Keeps what is typed as it is typed; it goes out with the next that is sent. */
export const noteRecap = (sessionId: number, recap: Recap): Promise<unknown> => database.recaps.put({ ...recap, sessionId, isWaiting: true });

export const notedRecap = (sessionId: number): Promise<Recap | undefined> => database.recaps.get(sessionId);

async function sendRecaps(): Promise<void> {
  for (const sent of await database.recaps.filter((one) => one.isWaiting).toArray()) {
    await keepRecap(sent.sessionId, { answers: sent.answers, howHard: sent.howHard });
    await database.transaction('rw', database.recaps, async () => {
      const now = await database.recaps.get(sent.sessionId);
      // Typed on meanwhile: the rest goes out next time.
      if (now?.answers === sent.answers && now.howHard === sent.howHard) await database.recaps.update(sent.sessionId, { isWaiting: false });
    });
  }
}

export const keepRunState = (sessionId: number, state: unknown): Promise<unknown> => database.runs.put({ sessionId, state: JSON.stringify(state) });

export async function keptRunState(sessionId: number): Promise<unknown> {
  const kept = await database.runs.get(sessionId);
  return kept ? (JSON.parse(kept.state) as unknown) : undefined;
}
