import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { clockAt, spentMs, type Press } from '../../kernel/segmentClock';
import { runPackQuery, type PartTime } from '../../shared/api/queries';
import { runPack, type RunPack } from '../../shared/api/schemas';
import { enterMark, entriesOf, finishRun, keepRunState, keptRunState, type Entry } from '../../shared/lib/outbox';

interface KeptState {
  pack: unknown;
  presses: Press[];
  /** Block id → links of a build-up that are done today, where that was changed at the pitch. */
  links?: Record<string, number>;
}

/** The run pack from the server, or the one kept on this device when there is no network; and the presses so far. */
export function useRunState(sessionId: number) {
  const fetched = useQuery({ ...runPackQuery(sessionId), retry: false });
  const kept = useQuery({
    queryKey: ['kept-run', sessionId],
    queryFn: async () => ((await keptRunState(sessionId)) ?? null) as KeptState | null,
    staleTime: Infinity,
    gcTime: 0,
  });
  const entries = useQuery({ queryKey: ['entries', sessionId], queryFn: () => entriesOf(sessionId), staleTime: Infinity, gcTime: 0 });
  const keptPack = kept.data ? runPack.safeParse(kept.data.pack).data : undefined;
  // A run under way goes on with the pack it began with.
  const isUnderWay = (kept.data?.presses.length ?? 0) > 0;
  const pack = isUnderWay ? (keptPack ?? fetched.data) : (fetched.data ?? (fetched.isError ? keptPack : undefined));
  return {
    pack,
    presses: kept.data?.presses ?? [],
    links: kept.data?.links ?? {},
    entries: entries.data,
    isPending: kept.isPending || entries.isPending || (!pack && fetched.isPending),
    fault: fetched.error,
    retry: () => void fetched.refetch(),
  };
}

/** The clock, driven by presses that are kept as they are made. */
export function useClock(pack: RunPack, firstPresses: Press[], firstLinks: Record<string, number>) {
  const queryClient = useQueryClient();
  const sessionId = pack.session.id;
  const [presses, setPresses] = useState(firstPresses);
  const [links, setLinks] = useState(firstLinks);
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNowMs(Date.now()), 200);
    return () => window.clearInterval(timer);
  }, []);
  const keep = (state: KeptState) => {
    void keepRunState(sessionId, state);
    queryClient.setQueryData(['kept-run', sessionId], state);
  };
  const press = (kind: Press['press'], seconds?: number) => {
    const atMs = Date.now();
    const next = [...presses, seconds === undefined ? { press: kind, atMs } : { press: kind, atMs, seconds }];
    setPresses(next);
    setNowMs(atMs);
    keep({ pack, presses: next, links });
  };
  /** One link more or fewer than planned: what is worked on changes, the clock does not. */
  const pressLinks = (blockId: string, count: number) => {
    const next = { ...links, [blockId]: count };
    setLinks(next);
    keep({ pack, presses, links: next });
  };
  useEffect(() => {
    // Before the start the pack is kept too, so that the pitch may be without signal.
    if (firstPresses.length === 0) void keepRunState(sessionId, { pack, presses: [] });
  }, [sessionId, pack, firstPresses.length]);
  const finish = () => {
    const startedAt = new Date(presses[0]?.atMs ?? Date.now()).toISOString();
    const now = Date.now();
    return finishRun({ sessionId, startedAt, finishedAt: new Date(now).toISOString(), parts: partTimes(pack, presses, now) });
  };
  return { reading: clockAt(pack.segments, presses, nowMs), press, finish, links, pressLinks };
}

const judged = ['set-up', 'explain', 'change'] as const;

/** How long setting up, explaining and changing over took, beside what they were to take; a stretch never entered says nothing. */
function partTimes(pack: RunPack, presses: Press[], nowMs: number): PartTime[] {
  const spent = spentMs(pack.segments, presses, nowMs);
  return pack.segments.flatMap(({ id, kind, plainSeconds }, i) => {
    const part = judged.find((one) => one === kind);
    const ms = spent[i] ?? 0;
    return part && plainSeconds && ms > 0 ? [{ segmentId: id, part, plannedSeconds: plainSeconds, actualSeconds: ms / 1000 }] : [];
  });
}

/** What has been written down in this run, by roll-call key. */
export function useEntries(pack: RunPack, first: Entry[]) {
  const sessionId = pack.session.id;
  const [entries, setEntries] = useState<Record<string, Entry>>(() => Object.fromEntries(first.map((entry) => [entry.key, entry])));
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
  const enter = (key: string, mark: { playerId: number; lineKey: string; tryNumber: number; value: number; isVoid: boolean }) => {
    const before = latest.current[key];
    if (before && before.value === mark.value && before.isVoid === mark.isVoid && !before.refusal) return;
    const entry: Entry = { key, sessionId, uuid: crypto.randomUUID(), value: mark.value, isVoid: mark.isVoid, refusal: '' };
    put([entry]);
    const name = pack.players.find((player) => player.id === mark.playerId)?.name ?? '';
    const sent = {
      ...mark,
      uuid: entry.uuid,
      sessionId,
      recordedAt: new Date().toISOString(),
      supersedesUuids: before && !before.refusal ? [before.uuid] : [],
    };
    // Never fails: what the device will not keep, the page does, and says so.
    void enterMark(key, sent, { squadId: pack.session.squadId, label: `${name}, ${pack.lines[mark.lineKey]?.drillName ?? pack.session.title}` });
  };
  return { entries, enter };
}
