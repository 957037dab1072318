import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { clockAt, spentMs, stoppedMs, type Press } from '../../kernel/segmentClock';
import { keys } from '../../shared/api/keys';
import type { PartTime } from '../../shared/api/runQueries';
import type { Player, RunPack } from '../../shared/api/schemas';
import { finishRun, keepRunState } from '../../shared/lib/outbox';
import { callsMade, type CallLog } from './calling';
import type { KeptState, Step } from './keptState';
import { missedBlocks, seatedThen } from './missed';
import { reseated, rosterOf, type Roster } from './reseat';
import { useBeat } from '../../shared/clock/signals';
import { keeperAt, offsetOf, passed, settled, type Tick } from '../../shared/clock/timeKeeper';
import { useNotes } from './useNotes';

const tickNow = (wasHidden: boolean): Tick => ({ wallMs: Date.now(), countedMs: performance.now(), wasHidden });
/** A phone's clock is mended by less than this all the time. */
const worthKeepingMs = 500;

/** The clock, driven by presses that are kept as they are made. */
export function useClock(firstPack: RunPack, first: KeptState) {
  const queryClient = useQueryClient();
  const sessionId = firstPack.session.id;
  // Once seated anew the run has a pack of its own.
  const [ownPack, setOwnPack] = useState<RunPack | undefined>(undefined);
  const pack = ownPack ?? firstPack;
  const [seated, setSeated] = useState(first.seated);
  const [presses, setPresses] = useState(first.presses);
  const [links, setLinks] = useState(first.links ?? {});
  const [steps, setSteps] = useState(first.steps ?? {});
  const [calls, setCalls] = useState(first.calls ?? {});
  const [waived, setWaived] = useState(first.waived ?? []);
  const [time, setTime] = useState(() => keeperAt(tickNow(false), first.offsetMs, first.presses.at(-1)?.atMs));
  const read = useTicks();
  const now = () => {
    const next = passed(time, read());
    setTime(next);
    return next;
  };
  useBeat(now);
  const notes = useNotes(pack, first, (more) => keep(more, offsetOf(time)));

  const keep = (more: Partial<KeptState>, offsetMs: number) => {
    const state: KeptState = { pack, presses, links, waived, calls, steps, offsetMs, ...(seated && { seated }), ...notes.kept, ...more };
    void keepRunState(sessionId, state);
    queryClient.setQueryData(keys.keptRun(sessionId), state);
  };
  const press = (kind: Press['press'], more: Pick<Press, 'seconds' | 'index'> = {}) => {
    const at = now();
    const next = [...presses, { press: kind, atMs: at.runMs, ...more }];
    setPresses(next);
    keep({ presses: next }, offsetOf(at));
  };
  /** Goes on from where another device stood: that stretch begins anew here. */
  const conductFrom = (index: number) => {
    const at = now();
    const next: Press[] = [...presses, ...(presses.length === 0 ? [{ press: 'start' as const, atMs: at.runMs }] : [])];
    next.push({ press: 'go', atMs: at.runMs, index });
    setPresses(next);
    keep({ presses: next }, offsetOf(at));
  };
  /** One link more or fewer than planned: what is worked on changes, the clock does not. */
  const pressLinks = (blockId: string, count: number) => {
    const next = { ...links, [blockId]: count };
    setLinks(next);
    keep({ links: next }, offsetOf(time));
  };
  /** Harder or easier for today; the same once more is as it was planned. */
  const step = (blockId: string, way: Step) => {
    const { [blockId]: now, ...others } = steps;
    const next = now === way ? others : { ...others, [blockId]: way };
    setSteps(next);
    keep({ steps: next }, offsetOf(time));
  };
  const keepCalls = (blockId: string, log: CallLog) => {
    const next = { ...calls, [blockId]: log };
    setCalls(next);
    keep({ calls: next }, offsetOf(time));
  };
  const reading = clockAt(pack.segments, presses, time.runMs);
  const roster = seated?.roster ?? rosterOf(firstPack);
  /** Others are there than before, some of them new; false where the pack has no table for so many. */
  const seatAnew = (next: Roster, guests: Player[] = []): boolean => {
    const times = (seated?.times ?? 0) + 1;
    const came = [...new Set([...(seated?.came ?? [...roster.working, ...roster.serving]), ...next.working, ...next.serving])];
    const now = reseated({ ...pack, others: [...pack.others, ...guests] }, reading.index, next, times);
    if (!now) return false;
    const here = pack.segments[reading.index];
    const block = here ? pack.blocks.findIndex((one) => one.id === here.blockId) : pack.blocks.length;
    const before = seated ? seated.since : [{ block: 0, working: roster.working }];
    const since = before && seatedThen(before, { block, working: next.working }, presses.length > 0);
    const then = { roster: next, came, times, ...(since && { since }) };
    setOwnPack(now);
    setSeated(then);
    keep({ pack: now, seated: then }, offsetOf(time));
    return true;
  };
  /** Numbers that are let go: nobody is asked for them again. */
  const waive = (names: string[]) => {
    const next = [...new Set([...waived, ...names])];
    setWaived(next);
    keep({ waived: next }, offsetOf(time));
  };
  /** Whether the time that only the wall clock knows of did pass. */
  const settle = (didPass: boolean) => {
    const next = settled(time, didPass);
    setTime(next);
    keep({}, offsetOf(next));
  };
  useKeptOffset(offsetOf(time), presses.length > 0, (offsetMs) => keep({}, offsetMs));
  const [asOpened] = useState(first);
  useEffect(() => {
    // Before the start the pack is kept too, so that the pitch may be without signal.
    if (first.presses.length === 0 && !seated && !notes.kept.beside) void keepRunState(sessionId, { ...asOpened, pack: firstPack });
  }, [sessionId, firstPack, asOpened, first.presses.length, seated, notes.kept.beside]);

  const finish = () => {
    notes.settleLooks();
    const endMs = Math.max(time.runMs, presses.at(-1)?.atMs ?? 0);
    const startedAt = new Date(presses[0]?.atMs ?? endMs).toISOString();
    return finishRun({
      sessionId,
      startedAt,
      finishedAt: new Date(endMs).toISOString(),
      parts: partTimes(pack, presses, endMs),
      ...(seated && { presentIds: seated.came }),
      ...(seated?.since && { missed: missedBlocks(pack.blocks, seated.since, seated.came) }),
      ...(Object.keys(calls).length > 0 && { calls: callsMade(calls) }),
    });
  };
  return {
    pack,
    roster,
    seatAnew,
    reading,
    runMs: time.runMs,
    doubtMs: time.doubtMs,
    press,
    conductFrom,
    settle,
    finish,
    links,
    pressLinks,
    waived,
    waive,
    calls,
    keepCalls,
    steps,
    step,
    ...notes,
  };
}
export type Clock = ReturnType<typeof useClock>;

/** Reads both clocks; a moment out of sight since the reading before is told with it. */
function useTicks(): () => Tick {
  const wasHidden = useRef(false);
  useEffect(() => {
    const look = () => {
      if (document.hidden) wasHidden.current = true;
    };
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, []);
  return useCallback(() => {
    const tick = tickNow(wasHidden.current);
    wasHidden.current = document.hidden;
    return tick;
  }, []);
}

/** A wall clock that was set must not move the run when the page is loaded anew. */
function useKeptOffset(offsetMs: number, isUnderWay: boolean, keep: (offsetMs: number) => void): void {
  const kept = useRef(offsetMs);
  useEffect(() => {
    if (!isUnderWay || Math.abs(offsetMs - kept.current) < worthKeepingMs) return;
    kept.current = offsetMs;
    keep(offsetMs);
  });
}

/** How long each stretch took, beside what it was to take; one never entered took nothing. */
export function partTimes(pack: RunPack, presses: Press[], nowMs: number): PartTime[] {
  const spent = spentMs(pack.segments, presses, nowMs);
  const stopped = stoppedMs(pack.segments, presses, nowMs);
  return pack.segments.map(({ id, blockId, kind, seconds, plainSeconds }, i) => {
    const [ms, { pausedMs, frozenMs }] = [spent[i] ?? 0, stopped[i] ?? { pausedMs: 0, frozenMs: 0 }];
    return {
      segmentId: id,
      blockId,
      part: kind,
      // What is left over of a helper's laying out, and what nobody is judged by, teaches nothing.
      plannedSeconds: plainSeconds ?? 0,
      expectedSeconds: seconds,
      actualSeconds: ms / 1000,
      pausedSeconds: pausedMs / 1000,
      frozenSeconds: frozenMs / 1000,
    };
  });
}
