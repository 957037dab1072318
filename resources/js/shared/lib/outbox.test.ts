import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { ApiError } from '../api/client';
import type { MarkToSend } from '../api/queries';

const sendMarks = vi.fn();
const keepRun = vi.fn();
const keepRecap = vi.fn();
vi.mock('../api/queries', () => ({
  sendMarks: (marks: unknown) => sendMarks(marks) as unknown,
  keepRun: (...of: unknown[]) => keepRun(...of) as unknown,
  keepRecap: (...of: unknown[]) => keepRecap(...of) as unknown,
}));

const { betweenFlushes, enterMark, entriesOf, finishRun, flushMarks, keepRunState, keptRunState, notedRecap, noteRecap } = await import('./outbox');

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

  test('sends what they said once, after the end, and again what was typed meanwhile', async () => {
    const typed = { answers: 'Look', howHard: null };
    keepRun.mockImplementation(offline);
    await noteRecap(901, typed);
    await finishRun({ sessionId: 901, startedAt: '2026-03-10T17:00:00.000Z', finishedAt: '2026-03-10T18:00:00.000Z' });
    expect(keepRecap).not.toHaveBeenCalled();
    expect(await notedRecap(901)).toMatchObject(typed);

    const more = { answers: 'Look first', howHard: 'about-right' as const };
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

  test('a run is kept as it was left', async () => {
    await keepRunState(901, { presses: [{ press: 'start', atMs: 5 }] });
    expect(await keptRunState(901)).toEqual({ presses: [{ press: 'start', atMs: 5 }] });
    expect(await keptRunState(902)).toBeUndefined();
  });
});
