import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { ApiError } from '../api/client';
import type { MarkToSend } from '../api/runQueries';

vi.hoisted(() => vi.stubEnv('VITE_CONTRACT', 'of today'));
const sendMarks = vi.fn();
const keepRun = vi.fn();
const keepRecap = vi.fn();
const sendNoted = vi.fn();
vi.mock('../api/runQueries', () => ({
  sendMarks: (marks: unknown) => sendMarks(marks) as unknown,
  keepRun: (...of: unknown[]) => keepRun(...of) as unknown,
  keepRecap: (...of: unknown[]) => keepRecap(...of) as unknown,
  sendNoted: (...of: unknown[]) => sendNoted(...of) as unknown,
}));

const {
  actFor,
  betweenFlushes,
  enterMark,
  entriesOf,
  finishRun,
  flushMarks,
  keepRunState,
  keptRunState,
  letGo,
  notedRecap,
  noteRecap,
  noteInRun,
  outboxState,
  tryAgain,
  waitingLines,
} = await import('./outbox');

let number = 0;
function mark(change: Partial<MarkToSend> = {}): MarkToSend {
  number += 1;
  return {
    uuid: `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`,
    playerId: 1,
    sessionId: number,
    lineKey: 'line',
    tryNumber: 1,
    value: 11,
    isVoid: false,
    recordedAt: '2026-03-10T11:00:00.000Z',
    supersedesUuids: [],
    ...change,
  };
}
const accepted = (marks: MarkToSend[]) => ({ results: marks.map((one, index) => ({ index, uuid: one.uuid, status: 'accepted' })) });
const offline = () => Promise.reject(new ApiError('offline', 'No connection.'));

/** What each call sent, by UUID. */
const sent = () => sendMarks.mock.calls.map(([marks]) => (marks as MarkToSend[]).map((one) => one.uuid));

beforeEach(async () => {
  sendMarks.mockReset().mockImplementation((marks: MarkToSend[]) => Promise.resolve(accepted(marks)));
  keepRun.mockReset().mockResolvedValue({});
  keepRecap.mockReset().mockResolvedValue({});
  await flushMarks();
  for (const { id } of await waitingLines()) await letGo(id);
  sendMarks.mockClear();
});

describe('the outbox', () => {
  test('keeps a mark before it is sent, and sends it once', async () => {
    const one = mark();
    await enterMark('a', one);
    await flushMarks();
    await flushMarks();
    expect(sent()).toEqual([[one.uuid]]);
    expect(await entriesOf(one.sessionId)).toEqual([{ key: 'a', sessionId: one.sessionId, uuid: one.uuid, value: 11, isVoid: false, refusal: '' }]);
  });

  test('keeps what could not be sent and sends the same marks again', async () => {
    const [one, two] = [mark(), mark()];
    sendMarks.mockImplementation(offline);
    await enterMark('b', one);
    await enterMark('c', two);
    await flushMarks();
    expect(sent().length).toBeGreaterThan(0);
    sendMarks.mockReset().mockImplementation((marks: MarkToSend[]) => Promise.resolve(accepted(marks)));
    await flushMarks();
    expect(sent().flat().sort()).toEqual([one.uuid, two.uuid].sort());
    sendMarks.mockClear();
    await flushMarks();
    expect(sent()).toEqual([]);
  });

  test('a refusal stays beside the number, and the number is not sent again', async () => {
    const one = mark({ value: 5000 });
    sendMarks.mockImplementation((marks: MarkToSend[]) =>
      Promise.resolve({ results: marks.map((of, index) => ({ index, uuid: of.uuid, status: 'refused', message: 'The count must be between 0 and 999.' })) }),
    );
    await enterMark('d', one);
    await flushMarks();
    expect((await entriesOf(one.sessionId))[0]?.refusal).toBe('The count must be between 0 and 999.');
    sendMarks.mockClear();
    await flushMarks();
    expect(sent()).toEqual([]);
  });

  test('what the server will not take is not called sent: it stays in the list with the reason until it is let go or entered anew', async () => {
    const refuse = (marks: MarkToSend[]) =>
      Promise.resolve({ results: marks.map((of, index) => ({ index, uuid: of.uuid, status: 'refused', message: 'Too high.' })) });
    const [one, two] = [mark(), mark()];
    sendMarks.mockImplementation(refuse);
    await enterMark('r1', one, { label: 'Amina, Sole taps' });
    await enterMark('r2', two, { label: 'Bo, Sole taps' });
    await flushMarks();
    expect(outboxState()).toMatchObject({ unsent: 2, refused: 2 });
    expect(await waitingLines()).toMatchObject([
      { label: 'Amina, Sole taps', value: '11', held: 'Too high.', isRefused: true },
      { label: 'Bo, Sole taps', held: 'Too high.' },
    ]);
    sendMarks.mockReset().mockImplementation((marks: MarkToSend[]) => Promise.resolve(accepted(marks)));
    await letGo(one.uuid);
    await enterMark('r2', mark({ sessionId: two.sessionId, value: 12 }));
    await flushMarks();
    expect(outboxState()).toMatchObject({ unsent: 0, refused: 0 });
    expect(sent().flat()).not.toContain(two.uuid);
  });

  test('one that the server stumbles over holds back no other, and is not tried for ever', async () => {
    const marks = [mark(), mark({ value: 666 }), mark()];
    const stumble = (batch: MarkToSend[]) =>
      batch.some((one) => one.value === 666)
        ? Promise.reject(new ApiError('server', 'Something broke on our side. It has been noted as abc123.'))
        : Promise.resolve(accepted(batch));
    sendMarks.mockImplementation(offline);
    for (const [i, one] of marks.entries()) await enterMark(`s${i}`, one, { label: `row ${i}` });
    await flushMarks();
    expect(outboxState().stumbles).toBe(0);
    sendMarks.mockReset().mockImplementation(stumble);
    await flushMarks();
    // Whoever shows the list reads it anew: as many may wait as before.
    expect(outboxState()).toMatchObject({ unsent: 1, stumbles: 1 });
    expect(await waitingLines()).toMatchObject([{ label: 'row 1', held: 'Something broke on our side. It has been noted as abc123.', isRefused: false }]);
    sendMarks.mockClear();
    await flushMarks();
    expect(sent()).toEqual([]);
    await tryAgain();
    expect(sent()).toEqual([[marks[1]?.uuid]]);
    sendMarks.mockReset().mockImplementation((batch: MarkToSend[]) => Promise.resolve(accepted(batch)));
    await tryAgain();
    expect(outboxState().unsent).toBe(0);
  });

  test('what one account entered no other sends, and none is lost', async () => {
    actFor(7);
    sendMarks.mockImplementation(offline);
    const [mine, theirs] = [mark(), mark()];
    await enterMark('o1', mine);
    await flushMarks();
    sendMarks.mockReset().mockImplementation((marks: MarkToSend[]) => Promise.resolve(accepted(marks)));
    actFor(8);
    await enterMark('o2', theirs);
    await flushMarks();
    expect(sent().flat()).toEqual([theirs.uuid]);
    expect(outboxState()).toMatchObject({ unsent: 0, ofOthers: 1 });
    expect(await waitingLines()).toEqual([]);
    actFor(7);
    await flushMarks();
    expect(sent().flat()).toEqual([theirs.uuid, mine.uuid]);
    expect(outboxState()).toMatchObject({ unsent: 0, ofOthers: 0 });
  });

  test('a store that is full keeps nothing from being sent, and says so meanwhile', async () => {
    sendMarks.mockImplementation(offline);
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const one = mark();
    await enterMark('full', one);
    await flushMarks();
    expect(outboxState()).toMatchObject({ unsent: 1, unkept: 1 });
    expect(await entriesOf(one.sessionId)).toMatchObject([{ key: 'full', value: 11 }]);
    await finishRun({ sessionId: 950, startedAt: '2026-03-10T17:00:00.000Z', finishedAt: '2026-03-10T18:00:00.000Z' });
    await keepRunState(950, { presses: [] });
    expect(await keptRunState(950)).toMatchObject({ presses: [] });
    sendMarks.mockReset().mockImplementation((marks: MarkToSend[]) => Promise.resolve(accepted(marks)));
    await flushMarks();
    expect(sent().flat()).toEqual([one.uuid]);
    expect(keepRun).toHaveBeenCalledTimes(1);
    expect(outboxState()).toMatchObject({ unsent: 0, unkept: 0 });
    full.mockRestore();
    // There is room again: what is entered now counts, not what the page kept meanwhile.
    await enterMark('full', mark({ sessionId: one.sessionId, value: 14, supersedesUuids: [one.uuid] }));
    expect(await entriesOf(one.sessionId)).toMatchObject([{ key: 'full', value: 14 }]);
  });

  test('a hundred go at a time', async () => {
    sendMarks.mockImplementation(offline);
    const marks = Array.from({ length: 130 }, () => mark());
    for (const [i, one] of marks.entries()) await enterMark(`many-${i}`, one);
    await flushMarks();
    sendMarks.mockReset().mockImplementation((batch: MarkToSend[]) => Promise.resolve(accepted(batch)));
    await flushMarks();
    expect(sent().map((batch) => batch.length)).toEqual([100, 30]);
  });

  test('the end of a run is told after its numbers, and again when it could not be', async () => {
    const end = { sessionId: 900, startedAt: '2026-03-10T17:00:00.000Z', finishedAt: '2026-03-10T18:00:00.000Z' };
    keepRun.mockImplementation(offline);
    await finishRun(end);
    expect(keepRun).toHaveBeenCalledTimes(1);
    keepRun.mockReset().mockResolvedValue({});
    keepRecap.mockReset().mockResolvedValue({});
    await flushMarks();
    await flushMarks();
    expect(keepRun.mock.calls).toEqual([[900, { startedAt: end.startedAt, finishedAt: end.finishedAt }]]);
  });

  test('what is put down while a flush is under way goes out with it, however far it has come', async () => {
    const end = { startedAt: '2026-03-10T17:00:00.000Z', finishedAt: '2026-03-10T18:00:00.000Z' };
    keepRecap.mockImplementationOnce(async () => {
      // The last step of a flush: the end of the run is put down now, and whoever did so waits for no later one.
      void finishRun({ sessionId: 911, ...end });
      await new Promise((resolve) => setTimeout(resolve, 20));
      return {};
    });
    await noteRecap(910, { answers: 'Look', howHard: null, onlyTried: false });
    await flushMarks();
    expect(keepRun.mock.calls).toEqual([[911, end]]);
    expect(outboxState().unsent).toBe(0);
  });

  test('the end of a run that is not told yet is counted as not sent', async () => {
    keepRun.mockImplementation(offline);
    await finishRun({ sessionId: 912, startedAt: '2026-03-10T17:00:00.000Z', finishedAt: '2026-03-10T18:00:00.000Z' });
    expect(outboxState().unsent).toBe(1);
    keepRun.mockReset().mockResolvedValue({});
    await flushMarks();
    expect(outboxState().unsent).toBe(0);
  });

  test('sends what they said once, after the end, and again what was typed meanwhile', async () => {
    const typed = { answers: 'Look', howHard: null, onlyTried: false };
    keepRun.mockImplementation(offline);
    await noteRecap(901, typed);
    await finishRun({ sessionId: 901, startedAt: '2026-03-10T17:00:00.000Z', finishedAt: '2026-03-10T18:00:00.000Z' });
    expect(keepRecap).not.toHaveBeenCalled();
    expect(await notedRecap(901)).toMatchObject(typed);

    const more = { answers: 'Look first', howHard: 'about-right' as const, onlyTried: false };
    keepRun.mockReset().mockResolvedValue({});
    keepRecap.mockImplementationOnce(() => noteRecap(901, more));
    await flushMarks();
    await flushMarks();
    await flushMarks();
    expect(keepRecap.mock.calls).toEqual([
      [901, typed],
      [901, more],
    ]);
  });

  test('a sign-in waits for the marks on their way, and marks wait for the sign-in', async () => {
    const order: string[] = [];
    sendMarks.mockImplementation(async (marks: MarkToSend[]) => {
      order.push('marks leave');
      await Promise.resolve();
      order.push('marks arrive');
      return accepted(marks);
    });
    await enterMark('e', mark());
    const signedIn = betweenFlushes(async () => {
      order.push('sign-in leaves');
      await enterMark('f', mark());
      order.push('sign-in arrives');
      return 'welcome';
    });
    expect(await signedIn).toBe('welcome');
    await flushMarks();
    expect(order).toEqual(['marks leave', 'marks arrive', 'sign-in leaves', 'sign-in arrives', 'marks leave', 'marks arrive']);
    await expect(betweenFlushes(() => Promise.reject(new Error('wrong password')))).rejects.toThrow('wrong password');
  });

  test('what was noted beside a name waits for a connection, goes out once, and stays with its reason where it is refused', async () => {
    const event = { uuid: mark().uuid, playerId: 1, kind: 'said' as const, words: 'Far foot', notedAt: '2026-03-10T17:00:00.000Z' };
    const other = { ...event, uuid: mark().uuid, playerId: 2 };
    const look = { uuid: mark().uuid, playerId: 1, drillSlug: 'far-foot-open', weight: 'right' as const, lookedAt: event.notedAt };
    sendNoted.mockImplementation(offline);
    await noteInRun(970, { kind: 'reminders', item: event }, 'Amina, said: Far foot');
    await noteInRun(970, { kind: 'reminders', item: other }, 'Bo, said: Far foot');
    await noteInRun(970, { kind: 'looks', item: look }, 'Amina, a ball');
    expect(outboxState()).toMatchObject({ unsent: 3, refused: 0 });
    expect((await waitingLines()).map(({ label }) => label)).toEqual(['Amina, said: Far foot', 'Bo, said: Far foot', 'Amina, a ball']);

    sendNoted.mockReset().mockImplementation((_session: number, _kind: string, events: (typeof event)[]) =>
      Promise.resolve({
        results: events.map(({ uuid, playerId }, index) => ({ index, uuid, status: playerId === 1 ? 'accepted' : 'refused', message: 'Not in this squad.' })),
      }),
    );
    await flushMarks();
    await flushMarks();
    expect(sendNoted.mock.calls).toEqual([
      [970, 'reminders', [event, other]],
      [970, 'looks', [look]],
    ]);
    expect(outboxState()).toMatchObject({ unsent: 1, refused: 1 });
    expect(await waitingLines()).toMatchObject([{ label: 'Bo, said: Far foot', held: 'Not in this squad.', isRefused: true }]);
    await letGo(other.uuid);
    expect(outboxState().unsent).toBe(0);
  });

  test('a run is kept as it was left', async () => {
    await keepRunState(901, { presses: [{ press: 'start', atMs: 5 }] });
    // With the version it is of, by which the same one knows that it need not be read anew.
    expect(await keptRunState(901)).toEqual({ presses: [{ press: 'start', atMs: 5 }], contract: 'of today' });
    expect(await keptRunState(902)).toBeUndefined();
  });
});
