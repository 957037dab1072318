/**
 * Where a run stands: a fold over the presses. The same rule as core/src/Run/SegmentClock.php;
 * core/tests/golden/segment-clock.json holds both to it.
 */
export interface ClockSegment {
  seconds: number;
  endsByClock: boolean;
}
/** `freeze` stops the clock to coach; `hold` keeps a segment of the clock until `next`; `go` begins the segment of an index. */
export interface Press {
  press: 'start' | 'pause' | 'freeze' | 'resume' | 'next' | 'back' | 'extend' | 'go' | 'hold';
  atMs: number;
  /** Of `extend`. */
  seconds?: number;
  /** Of `go`. */
  index?: number;
}
export interface ClockReading {
  state: 'ready' | 'running' | 'paused' | 'frozen' | 'over';
  index: number;
  elapsedMs: number;
  /** Negative once an open segment overruns. */
  remainingMs: number;
  isHeld: boolean;
}
export interface Stopped {
  pausedMs: number;
  frozenMs: number;
}

export const clockAt = (segments: ClockSegment[], presses: Press[], nowMs: number): ClockReading => folded(segments, presses, nowMs).reading;

/** How long each segment has lasted so far, pauses left out; a segment gone back to lasts on. */
export const spentMs = (segments: ClockSegment[], presses: Press[], nowMs: number): number[] => folded(segments, presses, nowMs).spent;

/** How long the clock stood still in each segment, and what for. */
export const stoppedMs = (segments: ClockSegment[], presses: Press[], nowMs: number): Stopped[] => folded(segments, presses, nowMs).stopped;

interface Folded {
  reading: ClockReading;
  spent: number[];
  stopped: Stopped[];
}

function folded(segments: ClockSegment[], presses: Press[], nowMs: number): Folded {
  const spent = segments.map(() => 0);
  const stopped = segments.map(() => ({ pausedMs: 0, frozenMs: 0 }));
  const spend = (ms: number) => {
    const before = spent[index];
    if (before !== undefined) spent[index] = before + ms;
  };
  let index = 0;
  let elapsedMs = 0;
  let extraMs = 0;
  let atMs = 0;
  let started = false;
  let still: 'pausedMs' | 'frozenMs' | undefined;
  let isHeld = false;
  const lengthMs = () => Math.round((segments[index]?.seconds ?? 0) * 1000) + extraMs;
  const jump = (to: number) => {
    index = Math.min(to, segments.length);
    elapsedMs = 0;
    extraMs = 0;
    isHeld = false;
  };
  const runTo = (ms: number) => {
    const passed = Math.max(0, ms - atMs);
    const here = stopped[index];
    if (started && still && here) here[still] += passed;
    if (started && !still) {
      elapsedMs += passed;
      spend(passed);
    }
    atMs = ms;
    while (segments[index]?.endsByClock && !isHeld && elapsedMs >= lengthMs()) {
      elapsedMs -= lengthMs();
      // What lies beyond its end belongs to the next.
      spend(-elapsedMs);
      index += 1;
      spend(elapsedMs);
      extraMs = 0;
    }
  };
  for (const { press, atMs: pressedMs, seconds = 0, index: to = 0 } of presses) {
    if (pressedMs > nowMs) break;
    runTo(pressedMs);
    if (press === 'start') started = true;
    if (!started || index >= segments.length) continue;
    if (press === 'pause') still = 'pausedMs';
    if (press === 'freeze') still = 'frozenMs';
    if (press === 'resume') still = undefined;
    if (press === 'next') jump(index + 1);
    if (press === 'back') jump(elapsedMs >= 3000 ? index : Math.max(0, index - 1));
    if (press === 'go') jump(to);
    if (press === 'hold') isHeld = true;
    if (press === 'extend') extraMs += seconds * 1000;
  }
  runTo(nowMs);
  const reading = (): ClockReading => {
    if (index >= segments.length) return { state: 'over', index: segments.length, elapsedMs: 0, remainingMs: 0, isHeld: false };
    const running = still === undefined ? 'running' : still === 'pausedMs' ? 'paused' : 'frozen';
    return { state: started ? running : 'ready', index, elapsedMs, remainingMs: lengthMs() - elapsedMs, isHeld };
  };
  return { reading: reading(), spent, stopped };
}
