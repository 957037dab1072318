import { useEffect, useRef, useState } from 'react';
import { clockAt, type Press } from '../kernel/segmentClock';
import type { AtHome } from '../shared/api/homeSchemas';
import { useBeat } from '../shared/clock/signals';
import { keeperAt, offsetOf, passed, type Tick } from '../shared/clock/timeKeeper';
import { keepRun, keptRun } from './store';
import type { Stretch } from './stretches';

interface KeptTimer {
  of: string;
  presses: Press[];
  offsetMs: number;
}

const isKept = (run: unknown): run is KeptTimer => typeof run === 'object' && run !== null && 'of' in run && 'presses' in run && 'offsetMs' in run;

/** What names the timer of a day: another week begins anew. */
export const timerOf = (page: Pick<AtHome, 'keptOn'>, day: number): string => `${page.keptOn ?? ''} ${day}`;

/** The day whose timer is under way; undefined where none of this week is. */
export function dayUnderWay(page: Pick<AtHome, 'keptOn' | 'days'>): number | undefined {
  const run = keptRun();
  return isKept(run) ? page.days.find((day) => timerOf(page, day.number) === run.of)?.number : undefined;
}

const tickNow = (wasHidden: boolean): Tick => ({ wallMs: Date.now(), countedMs: performance.now(), wasHidden });

/** The clock of a day at home: a fold over presses that are kept as they are made, so that a page loaded anew goes on. */
export function useTimer(segments: Stretch[], of: string) {
  const [first] = useState(() => {
    const run = keptRun();
    return isKept(run) && run.of === of ? run : { of, presses: [], offsetMs: 0 };
  });
  const [presses, setPresses] = useState(first.presses);
  const [time, setTime] = useState(() => keeperAt(tickNow(false), first.offsetMs, first.presses.at(-1)?.atMs));
  const wasHidden = useRef(false);
  useEffect(() => {
    const look = () => {
      if (document.hidden) wasHidden.current = true;
    };
    document.addEventListener('visibilitychange', look);
    return () => document.removeEventListener('visibilitychange', look);
  }, []);
  const now = () => {
    const next = passed(time, tickNow(wasHidden.current));
    wasHidden.current = document.hidden;
    setTime(next);
    return next;
  };
  useBeat(now);
  const press = (kind: Press['press']) => {
    const at = now();
    const next = [...presses, { press: kind, atMs: at.runMs }];
    setPresses(next);
    keepRun({ of, presses: next, offsetMs: offsetOf(at) } satisfies KeptTimer);
  };
  return { reading: clockAt(segments, presses, time.runMs), presses, runMs: time.runMs, press, forget: () => keepRun(undefined) };
}
