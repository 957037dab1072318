import { expect, test, vi } from 'vitest';
import { ApiError } from '../api/client';
import type { MarkToSend } from '../api/runQueries';
import { note, noted } from './deviceNotes';

const sendMarks = vi.fn();
vi.mock('../api/runQueries', () => ({ sendMarks: (marks: unknown) => sendMarks(marks) as unknown, keepRun: vi.fn(), keepRecap: vi.fn() }));

const { enterMark, entriesOf, flushMarks, keepRunState, keptRunState, outboxState } = await import('./outbox');

const mark: MarkToSend = {
  uuid: '00000000-0000-4000-8000-000000000001',
  playerId: 1,
  sessionId: 5,
  lineKey: 'line',
  tryNumber: 1,
  value: 11,
  isVoid: false,
  recordedAt: '2026-03-10T11:00:00.000Z',
  supersedesUuids: [],
};

test('a browser without a store runs a session all the same, and says what only the page keeps', async () => {
  expect(globalThis.indexedDB).toBeUndefined();
  sendMarks.mockRejectedValue(new ApiError('offline', 'No connection.'));
  expect(await entriesOf(5)).toEqual([]);
  expect(await keptRunState(5)).toBeUndefined();
  await keepRunState(5, { presses: [1] });
  expect(await keptRunState(5)).toMatchObject({ presses: [1] });
  await enterMark('5|set|1', mark);
  await flushMarks();
  expect(outboxState()).toMatchObject({ unsent: 1, unkept: 1 });
  expect(await entriesOf(5)).toMatchObject([{ key: '5|set|1', value: 11 }]);

  sendMarks.mockResolvedValue({ results: [{ index: 0, uuid: mark.uuid, status: 'accepted' }] });
  await flushMarks();
  expect(outboxState()).toMatchObject({ unsent: 0, unkept: 0 });
  expect(await entriesOf(5)).toHaveLength(1);
});

test('what a browser will not remember lasts as long as the page', () => {
  const denied = () => {
    throw new DOMException('denied', 'SecurityError');
  };
  vi.stubGlobal('localStorage', { getItem: denied, setItem: denied, removeItem: denied });
  expect(noted('squad')).toBeUndefined();
  note('squad', '3');
  expect(noted('squad')).toBe('3');
  note('squad', undefined);
  expect(noted('squad')).toBeUndefined();
  vi.unstubAllGlobals();
});
