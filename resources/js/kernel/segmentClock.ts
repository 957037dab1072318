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

export function clockAt(segments: ClockSegment[], presses: Press[], nowMs: number): ClockReading {
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
    if (started && !paused) elapsedMs += Math.max(0, ms - atMs);
    atMs = ms;
    while (segments[index]?.endsByClock && elapsedMs >= lengthMs()) {
      elapsedMs -= lengthMs();
      index += 1;
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
  if (index >= segments.length) return { state: 'over', index: segments.length, elapsedMs: 0, remainingMs: 0 };
  return { state: !started ? 'ready' : paused ? 'paused' : 'running', index, elapsedMs, remainingMs: lengthMs() - elapsedMs };
}
