import { queryOptions, useQuery, type QueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { keptPack, runPackQuery } from '../../shared/api/runQueries';
import type { RunPack } from '../../shared/api/schemas';
import { enterMark, entriesOf, keptRunState, type Entry } from '../../shared/lib/outbox';
import type { Written } from '../../shared/lib/entryText';
import { brought, type KeptState } from './keptState';
import { entryKey, takenBefore, tryNumber, type Ask } from './rollCalls';
import { keys } from '../../shared/api/keys';

const keptRunQuery = (sessionId: number) =>
  queryOptions({
    queryKey: keys.keptRun(sessionId),
    queryFn: async (): Promise<KeptState<RunPack | undefined> | null> => {
      const state = brought(await keptRunState(sessionId));
      return state && { ...state, pack: await keptPack(state.pack, state.contract) };
    },
    staleTime: Infinity,
  });
const entriesQuery = (sessionId: number) => queryOptions({ queryKey: keys.entries(sessionId), queryFn: () => entriesOf(sessionId), staleTime: Infinity });

/** All that a run is opened with. Never rejects: whoever shows it hears of a fault. */
export const readAhead = (client: QueryClient, sessionId: number): Promise<unknown> =>
  Promise.allSettled([client.query(keptRunQuery(sessionId)), client.query(entriesQuery(sessionId)), client.query(runPackQuery(sessionId))]);

/** The run pack from the server, or the one kept on this device when there is no network; and the presses so far. */
export function useRunState(sessionId: number) {
  const fetched = useQuery({ ...runPackQuery(sessionId), retry: false });
  const kept = useQuery(keptRunQuery(sessionId));
  const entries = useQuery(entriesQuery(sessionId));
  // A run under way goes on with the pack it began with.
  const isUnderWay = (kept.data?.presses.length ?? 0) > 0 || kept.data?.seated !== undefined;
  const before = isUnderWay || fetched.isError ? kept.data?.pack : undefined;
  const underWay = before && { ...before, taken: fetched.data?.taken ?? before.taken };
  const pack = isUnderWay ? (underWay ?? fetched.data) : (fetched.data ?? before);
  // Begun before this device has said what it keeps, a run would begin anew, and be kept like that in place of the one under way.
  const isRead = !kept.isPending && !entries.isPending;
  return {
    pack: isRead ? pack : undefined,
    kept: kept.data ?? { pack, presses: [] },
    entries: entries.data,
    isPending: !isRead || (!pack && fetched.isPending),
    fault: fetched.error,
    retry: () => void fetched.refetch(),
  };
}

/** What has been written down in this run, by roll-call key. */
export function useEntries(pack: RunPack, first: Entry[]) {
  const sessionId = pack.session.id;
  const [entries, setEntries] = useState<Record<string, Entry>>(() => ({
    ...takenBefore(pack),
    ...Object.fromEntries(first.map((entry) => [entry.key, entry])),
  }));
  // Enter and leaving the field come in one breath: the second must see what the first wrote, or one number becomes two marks.
  const latest = useRef(entries);
  const put = useCallback((more: Entry[]) => {
    latest.current = { ...latest.current, ...Object.fromEntries(more.map((entry) => [entry.key, entry])) };
    setEntries(latest.current);
  }, []);
  useEffect(() => {
    // Refusals come back later, after sending. A number entered meanwhile is newer than what was read.
    const takeIn = (kept: Entry[]) => put(kept.filter((entry) => (latest.current[entry.key]?.uuid ?? entry.uuid) === entry.uuid));
    const timer = window.setInterval(() => void entriesOf(sessionId).then(takeIn), 3000);
    return () => window.clearInterval(timer);
  }, [sessionId, put]);
  const enter = (ask: Ask, written: Written) => {
    const key = entryKey(pack, ask);
    const before = latest.current[key];
    const isSame = before && before.isVoid === written.isVoid && (before.reason ?? '') === written.reason && (written.isVoid || before.value === written.value);
    if (isSame && !before.refusal) return;
    const entry: Entry = { key, sessionId, uuid: crypto.randomUUID(), ...written, refusal: '' };
    put([entry]);
    const name = pack.players.find((player) => player.id === ask.playerId)?.name ?? '';
    const sent = {
      ...written,
      playerId: ask.playerId,
      lineKey: ask.lineKey,
      tryNumber: tryNumber(pack, ask),
      uuid: entry.uuid,
      sessionId,
      recordedAt: new Date().toISOString(),
      supersedesUuids: before && !before.refusal ? [before.uuid] : [],
    };
    // Never fails: what the device will not keep, the page does, and says so.
    void enterMark(key, sent, { squadId: pack.session.squadId, label: `${name}, ${pack.lines[ask.lineKey]?.drillName ?? pack.session.title}` });
  };
  return { entries, enter };
}
