/**
 * Where a run stands: a fold over the presses. The same rule as core/src/Run/SegmentClock.php;
 * core/tests/golden/segment-clock.json holds both to it.
 */
export interface ClockSegment {
  seconds: number;
  endsByClock: boolean;
}
export interface Press {
  press: 'start' | 'pause' | 'resume' | 'next' | 'back' | 'extend';
  atMs: number;
  seconds?: number;
}
export interface ClockReading {
  state: 'ready' | 'running' | 'paused' | 'over';
  index: number;
  elapsedMs: number;
  /** Negative once an open segment overruns. */
  remainingMs: number;
}

export const clockAt = (segments: ClockSegment[], presses: Press[], nowMs: number): ClockReading => folded(segments, presses, nowMs).reading;

/** How long each segment has lasted so far, pauses left out; a segment gone back to lasts on. */
export const spentMs = (segments: ClockSegment[], presses: Press[], nowMs: number): number[] => folded(segments, presses, nowMs).spent;

function folded(segments: ClockSegment[], presses: Press[], nowMs: number): { reading: ClockReading; spent: number[] } {
  const spent = segments.map(() => 0);
  const spend = (ms: number) => {
    const before = spent[index];
    if (before !== undefined) spent[index] = before + ms;
  };
  let index = 0;
  let elapsedMs = 0;
  let extraMs = 0;
  let atMs = 0;
  let started = false;
  let paused = false;
  const lengthMs = () => Math.round((segments[index]?.seconds ?? 0) * 1000) + extraMs;
  const jump = (to: number) => {
    index = to;
    elapsedMs = 0;
    extraMs = 0;
  };
  const runTo = (ms: number) => {
    if (started && !paused) {
      const passed = Math.max(0, ms - atMs);
      elapsedMs += passed;
      spend(passed);
    }
    atMs = ms;
    while (segments[index]?.endsByClock && elapsedMs >= lengthMs()) {
      elapsedMs -= lengthMs();
      // What lies beyond its end belongs to the next.
      spend(-elapsedMs);
      index += 1;
      spend(elapsedMs);
      extraMs = 0;
    }
  };
  for (const { press, atMs: pressedMs, seconds = 0 } of presses) {
    if (pressedMs > nowMs) break;
    runTo(pressedMs);
    if (press === 'start') started = true;
    if (!started || index >= segments.length) continue;
    if (press === 'pause') paused = true;
    if (press === 'resume') paused = false;
    if (press === 'next') jump(index + 1);
    if (press === 'back') jump(elapsedMs >= 3000 ? index : Math.max(0, index - 1));
    if (press === 'extend') extraMs += seconds * 1000;
  }
  runTo(nowMs);
  if (index >= segments.length) return { reading: { state: 'over', index: segments.length, elapsedMs: 0, remainingMs: 0 }, spent };
  return { reading: { state: !started ? 'ready' : paused ? 'paused' : 'running', index, elapsedMs, remainingMs: lengthMs() - elapsedMs }, spent };
}
