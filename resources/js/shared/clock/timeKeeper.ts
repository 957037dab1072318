/**
 * How much time has passed, of two clocks that both may lie: the wall clock of the phone may be set forward or back, and the one that
 * only counts on may stand still while the phone sleeps. The rule:
 *
 * 1. While the page is seen, the counting clock is right: whatever the wall clock does meanwhile was setting it.
 * 2. While it is not seen, the phone may have slept: the wall clock is right where it went on further, unless it went back.
 * 3. More than ten minutes that only the wall clock knows of are believed, and asked about once.
 * 4. After the page was loaded anew, only the wall clock knows; it never brings the run before its last press.
 */
export interface Tick {
  wallMs: number;
  /** Of the clock that only counts on, from any start. */
  countedMs: number;
  /** Whether the page was out of sight since the tick before, if only for a moment. */
  wasHidden: boolean;
}
export interface Kept {
  /** Time of the run: the wall clock's at its start, and what has passed since. */
  runMs: number;
  /** Of what has passed, what is in doubt; 0 for none. */
  doubtMs: number;
  last: Tick;
}

export const doubtfulMs = 600_000;

/** @param offsetMs of the run before the wall clock, as it was kept; @param leastMs the last press */
export const keeperAt = (tick: Tick, offsetMs = 0, leastMs = 0): Kept => ({ runMs: Math.max(leastMs, tick.wallMs + offsetMs), doubtMs: 0, last: tick });

export function passed(kept: Kept, tick: Tick): Kept {
  const counted = Math.max(0, tick.countedMs - kept.last.countedMs);
  const unseen = tick.wasHidden ? Math.max(0, tick.wallMs - kept.last.wallMs - counted) : 0;
  return { runMs: kept.runMs + counted + unseen, doubtMs: unseen > doubtfulMs ? unseen : kept.doubtMs, last: tick };
}

/** The answer to the question whether it did pass. */
export const settled = (kept: Kept, didPass: boolean): Kept => ({ ...kept, runMs: didPass ? kept.runMs : kept.runMs - kept.doubtMs, doubtMs: 0 });

export const offsetOf = ({ runMs, last }: Kept): number => runMs - last.wallMs;
