import { useSyncExternalStore } from 'react';
import { ApiError, contract } from '../api/client';
import {
  keepRecap,
  keepRun,
  sendMarks,
  sendNoted,
  type CallMade,
  type MarkParts,
  type MarkToSend,
  type Missed,
  type Noted,
  type PartTime,
} from '../api/runQueries';
import type { Recap } from '../api/schemas';
import { storedTogether } from './deviceStore';
import { Shelf } from './shelf';

/** A number entered on this device, as the roll call shows it; it stays after sending. */
export interface Entry {
  /** session|segment|player */
  key: string;
  sessionId: number;
  uuid: string;
  value: number;
  isVoid: boolean;
  reason?: string | undefined;
  parts?: MarkParts | null | undefined;
  /** The server had it when the run pack was made, from whatever phone. */
  isHad?: boolean;
  /** Why the server would not take it; empty while it waits or once it is taken. */
  refusal: string;
}
/** Whose it is: what one account entered, no other sends. */
interface Owned {
  /** Absent in what an older version kept: whoever signs in sends it. */
  accountId?: number;
}
/** What holds something back that the server was asked to take. */
interface Held {
  /** In the server's words; empty while it only waits for a connection. */
  held?: string;
  /** Whether it is for good: the server will not take it as it is. */
  isRefused?: boolean;
  tries?: number;
  /** Not before then again, in milliseconds since 1970. */
  againAtMs?: number;
}
interface WaitingMark extends Owned, Held {
  uuid: string;
  entryKey: string;
  mark: MarkToSend;
  squadId?: number;
  /** Who and what, in words, for the list of what waits. */
  label?: string;
}
interface Finish extends Owned, Held {
  sessionId: number;
  startedAt: string;
  finishedAt: string;
  /** Absent in what an older version kept. */
  parts?: PartTime[];
  /** Where others came than had said so. */
  presentIds?: number[];
  missed?: Missed[];
  calls?: CallMade[];
}
interface KeptRecap extends Omit<Recap, 'onlyTried'>, Owned, Held {
  sessionId: number;
  /** Not asked by versions of before. */
  onlyTried?: boolean;
  /** Whether the server has not heard it yet. */
  isWaiting: boolean;
}
/** What was noted in a run beside its numbers. */
interface WaitingNote extends Owned, Held {
  uuid: string;
  sessionId: number;
  noted: Noted;
  label: string;
}
interface KeptRun {
  sessionId: number;
  state: string;
}
/** One line of what waits. */
export interface WaitingLine {
  id: string;
  label: string;
  value: string;
  held: string;
  isRefused: boolean;
}

const batchSize = 100;
/** After a fault of the server: a minute, then longer; after the last, only when asked. */
const pausesMs = [60_000, 300_000, 900_000, 3_600_000];

const unkept = () => outbox.unkept + finishes.unkept + notes.unkept;
const noteTrouble = () => update({ unkept: unkept() });
const outbox = new Shelf<WaitingMark, string>('outbox', (one) => one.uuid, noteTrouble);
const entries = new Shelf<Entry, string>('entries', (one) => one.key, noteTrouble);
const finishes = new Shelf<Finish, number>('finishes', (one) => one.sessionId, noteTrouble);
const runs = new Shelf<KeptRun, number>('runs', (one) => one.sessionId, noteTrouble);
const notes = new Shelf<WaitingNote, string>('notes', (one) => one.uuid, noteTrouble);
const recaps = new Shelf<KeptRecap, number>('recaps', (one) => one.sessionId, noteTrouble);

/** What the views say of it. */
export interface OutboxState {
  /** Numbers, notes and ends of runs of this account that the server has not taken, refused ones too. */
  unsent: number;
  /** Of these, such as the server will not take as they are. */
  refused: number;
  /** How often the server could not take one of them, all together: what holds it is told anew each time. */
  stumbles: number;
  /** Of other accounts on this device. */
  ofOthers: number;
  /** Such as only this page keeps, because the device's store will not. */
  unkept: number;
  isSignedOut: boolean;
}
let state: OutboxState = { unsent: 0, refused: 0, stumbles: 0, ofOthers: 0, unkept: 0, isSignedOut: false };
let accountId: number | undefined;
const listeners = new Set<() => void>();

function update(change: Partial<OutboxState>): void {
  state = { ...state, ...change };
  listeners.forEach((listener) => listener());
}
async function recount(): Promise<void> {
  const all: (Owned & Held)[] = [...(await outbox.all()), ...(await notes.all()), ...(await finishes.all())];
  const mine = all.filter(isMine);
  update({
    unsent: mine.length,
    refused: mine.filter((one) => one.isRefused).length,
    stumbles: mine.reduce((sum, one) => sum + (one.tries ?? 0), 0),
    ofOthers: all.length - mine.length,
    unkept: unkept(),
  });
}
void recount();
// What only the page keeps would go with it.
if (typeof window !== 'undefined')
  window.addEventListener('beforeunload', (event) => {
    if (state.unkept > 0) event.preventDefault();
  });

const isMine = (one: Owned): boolean => one.accountId === undefined || accountId === undefined || one.accountId === accountId;
const isDue = (one: Held): boolean => !one.isRefused && (one.againAtMs ?? 0) <= Date.now();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export const useOutbox = (): OutboxState => useSyncExternalStore(subscribe, () => state);
export const outboxState = (): OutboxState => state;

/** Who is signed in on this device now; what others entered here waits for them. */
export function actFor(account: number): void {
  accountId = account;
  void recount();
}

/** Keeps a mark, in the device's store or else in the page, then tries to send. */
export async function enterMark(entryKey: string, mark: MarkToSend, about: { squadId?: number; label?: string } = {}): Promise<Entry> {
  const { sessionId, uuid, value, isVoid = false, reason, parts } = mark;
  const entry: Entry = { key: entryKey, sessionId, uuid, value, isVoid, reason, parts, refusal: '' };
  // A number that was refused gives way to the one entered in its place.
  for (const before of await outbox.all()) if (before.entryKey === entryKey && before.isRefused) await outbox.remove(before.uuid);
  const waiting = { uuid: mark.uuid, entryKey, mark, ...about, ...(accountId === undefined ? {} : { accountId }) };
  // Both or neither: what is shown as written down is on its way, and what is on its way is shown. The page keeps what the store will not.
  try {
    await storedTogether([
      ['outbox', waiting],
      ['entries', entry],
    ]);
    outbox.storeHas(waiting);
    entries.storeHas(entry);
  } catch {
    await Promise.all([outbox.put(waiting), entries.put(entry)]);
  }
  await recount();
  void flushMarks();
  return entry;
}

export const entriesOf = async (sessionId: number): Promise<Entry[]> => (await entries.all()).filter((entry) => entry.sessionId === sessionId);

let flushing: Promise<void> | null = null;

let isAskedAgain = false;

/**
 * Sends what waits, batch by batch. Never throws: what cannot be sent goes on waiting. One run at a time; asked for while one is under way,
 * which may be past what has just been put down, it goes round once more.
 */
export function flushMarks(): Promise<void> {
  if (flushing) isAskedAgain = true;
  flushing ??= rounds().finally(() => {
    flushing = null;
  });
  return flushing;
}

async function rounds(): Promise<void> {
  do {
    isAskedAgain = false;
    await sendAll();
    // Asked for meanwhile, by whoever put something down.
  } while (wasAskedAgain());
}
const wasAskedAgain = (): boolean => isAskedAgain;

/** Once more what a fault of the server held back. */
export async function tryAgain(): Promise<void> {
  for (const one of await outbox.all()) if (isMine(one)) await outbox.put({ ...one, againAtMs: 0 });
  for (const one of await finishes.all()) if (isMine(one)) await finishes.put({ ...one, againAtMs: 0 });
  for (const one of await recaps.all()) if (isMine(one)) await recaps.put({ ...one, againAtMs: 0 });
  for (const one of await notes.all()) if (isMine(one)) await notes.put({ ...one, againAtMs: 0 });
  await flushMarks();
}

/** Lets go what the server will not take; a number is shown as owed again in the roll call. */
export async function letGo(id: string): Promise<void> {
  const one = (await outbox.all()).find((waiting) => waiting.uuid === id && waiting.isRefused);
  if (one) await outbox.remove(one.uuid);
  if ((await notes.get(id))?.isRefused) await notes.remove(id);
  await recount();
}

/** What waits of this account, one by one, with what holds it. */
export async function waitingLines(): Promise<WaitingLine[]> {
  const lineOf = (id: string, label: string, value: string, { held = '', isRefused = false }: Held): WaitingLine => ({ id, label, value, held, isRefused });
  return [
    ...(await outbox.all())
      .filter(isMine)
      .map((one) =>
        lineOf(one.uuid, one.label ?? `Player ${one.mark.playerId}, session ${one.mark.sessionId}`, one.mark.isVoid ? 'void' : String(one.mark.value), one),
      ),
    ...(await notes.all()).filter(isMine).map((one) => lineOf(one.uuid, one.label, '', one)),
    ...(await finishes.all()).filter(isMine).map((one) => lineOf(`end ${one.sessionId}`, `The end of session ${one.sessionId}`, '', one)),
    ...(await recaps.all())
      .filter((one) => one.isWaiting && isMine(one))
      .map((one) => lineOf(`recap ${one.sessionId}`, `What they said in session ${one.sessionId}`, '', one)),
  ];
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
  if (isAskedAgain) void flushMarks();
  return result;
}

async function sendAll(): Promise<void> {
  try {
    let most = batchSize;
    for (;;) {
      const batch = (await outbox.all()).filter((one) => isMine(one) && isDue(one)).slice(0, most);
      update({ isSignedOut: false });
      if (batch.length === 0) break;
      try {
        await sendBatch(batch);
      } catch (fault) {
        if (!isOfTheServer(fault)) throw fault;
        // One of them may be what it stumbles over: from here on each goes alone, so that it holds back no other.
        const [only] = batch;
        if (batch.length > 1) most = 1;
        else if (only) await outbox.put(heldBack(only, fault));
      }
      await recount();
    }
    await sendNotes();
    await sendFinishes();
    await sendRecaps();
  } catch (fault) {
    // Offline, signed out or the records away: what waits stays and goes out with the next try.
    update({ isSignedOut: fault instanceof ApiError && fault.kind === 'signed-out' });
  }
  await recount();
}

async function sendBatch(batch: WaitingMark[]): Promise<void> {
  const { results } = await sendMarks(batch.map((one) => one.mark));
  const answered = new Map(results.map((result) => [result.index, result]));
  for (const [index, one] of batch.entries()) {
    const result = answered.get(index);
    if (!result) {
      await outbox.put(heldBack(one, new ApiError('contract', 'The server said nothing of this number.')));
    } else if (result.status === 'refused') {
      const reason = result.message ?? 'The server would not take this number.';
      await outbox.put({ ...one, held: reason, isRefused: true });
      const entry = await entries.get(one.entryKey);
      if (entry?.uuid === one.uuid) await entries.put({ ...entry, refusal: reason });
    } else {
      await outbox.remove(one.uuid);
    }
  }
}

/** Whether the server was reached and would not or could not: waiting for a connection will not mend it. */
const isOfTheServer = (fault: unknown): fault is ApiError => fault instanceof ApiError && !['offline', 'away', 'signed-out'].includes(fault.kind);

function heldBack<T extends Held>(one: T, fault: ApiError): T {
  const tries = (one.tries ?? 0) + 1;
  const pauseMs = pausesMs[tries - 1];
  return { ...one, held: fault.message, tries, againAtMs: pauseMs === undefined ? Number.MAX_SAFE_INTEGER : Date.now() + pauseMs };
}

/** Keeps what was noted in a run, and tries to send it. Never fails: what the device will not keep, the page does. */
export async function noteInRun(sessionId: number, noted: Noted, label: string): Promise<void> {
  await notes.put({ uuid: noted.item.uuid, sessionId, noted, label, ...(accountId === undefined ? {} : { accountId }) });
  await recount();
  await flushMarks();
}

async function sendNotes(): Promise<void> {
  const due = (await notes.all()).filter((one) => isMine(one) && isDue(one));
  const batchOf = ({ sessionId, noted }: WaitingNote) => `${sessionId} ${noted.kind}`;
  for (const name of new Set(due.map(batchOf))) {
    const batch = due.filter((one) => batchOf(one) === name).slice(0, batchSize);
    const [first] = batch;
    if (!first) continue;
    try {
      const { results } = await sendNoted(
        first.sessionId,
        first.noted.kind,
        batch.map((one) => one.noted.item),
      );
      for (const [i, one] of batch.entries()) {
        const result = results.find(({ index }) => index === i);
        if (result && result.status !== 'refused') await notes.remove(one.uuid);
        else await notes.put({ ...one, held: result?.message ?? 'The server would not take it.', isRefused: true });
      }
    } catch (fault) {
      if (!isOfTheServer(fault)) throw fault;
      for (const one of batch) await notes.put(heldBack(one, fault));
    }
  }
}

/** Keeps that a run is over, to be told to the server now or when it can be reached. */
export async function finishRun(finish: Omit<Finish, keyof Owned | keyof Held>): Promise<void> {
  await finishes.put({ ...finish, ...(accountId === undefined ? {} : { accountId }) });
  await recount();
  await flushMarks();
}

async function sendFinishes(): Promise<void> {
  for (const finish of (await finishes.all()).filter((one) => isMine(one) && isDue(one))) {
    const { sessionId, startedAt, finishedAt, parts, presentIds, missed, calls } = finish;
    try {
      await keepRun(sessionId, {
        startedAt,
        finishedAt,
        ...(parts && { parts }),
        ...(presentIds && { presentIds }),
        ...(missed && { missed }),
        ...(calls && { calls }),
      });
      await finishes.remove(sessionId);
    } catch (fault) {
      if (!isOfTheServer(fault)) throw fault;
      await finishes.put(heldBack(finish, fault));
    }
  }
}

/** Keeps what is typed as it is typed; it goes out with the next that is sent. */
export const noteRecap = (sessionId: number, recap: Recap): Promise<unknown> =>
  recaps.put({ ...recap, sessionId, isWaiting: true, ...(accountId === undefined ? {} : { accountId }) });

export async function notedRecap(sessionId: number): Promise<Recap | undefined> {
  const noted = await recaps.get(sessionId);
  // What a version of before noted did not ask whether it was only tried.
  return noted && { ...noted, onlyTried: noted.onlyTried ?? false };
}

async function sendRecaps(): Promise<void> {
  for (const sent of (await recaps.all()).filter((one) => one.isWaiting && isMine(one) && isDue(one))) {
    try {
      await keepRecap(sent.sessionId, { answers: sent.answers, howHard: sent.howHard, onlyTried: sent.onlyTried ?? false });
      const now = await recaps.get(sent.sessionId);
      // Typed on meanwhile: the rest goes out next time.
      if (now?.answers === sent.answers && now.howHard === sent.howHard && now.onlyTried === sent.onlyTried) await recaps.put({ ...now, isWaiting: false });
    } catch (fault) {
      if (!isOfTheServer(fault)) throw fault;
      await recaps.put(heldBack(sent, fault));
    }
  }
}

/** About as much as a run's state. */
const probe = { sessionId: 0, state: 'x'.repeat(100_000) };

/** Whether the device's store would keep a run; what was tried leaves nothing behind. */
export async function keepsHere(): Promise<boolean> {
  const isKept = await runs.put(probe);
  await runs.remove(probe.sessionId);
  return isKept;
}

/** With the version it is of: what the same one opens again is taken as it is. */
export const keepRunState = (sessionId: number, kept: object): Promise<unknown> => runs.put({ sessionId, state: JSON.stringify({ ...kept, contract }) });

export async function keptRunState(sessionId: number): Promise<unknown> {
  const kept = await runs.get(sessionId);
  return kept ? (JSON.parse(kept.state) as unknown) : undefined;
}
