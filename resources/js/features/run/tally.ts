import type { Written } from '../../shared/lib/entryText';

/** What was tapped for one player: every touch in its order, so that any of them can be taken back. */
export type Tap = 'R' | 'L' | 'drop' | 'good' | 'miss';

interface Run {
  right: number;
  left: number;
  /** The unbroken run at hand, and the longest. */
  run: number;
  longest: number;
}

/** A drop ends the run; what is counted in all goes on after it. */
export function counted(taps: Tap[]): Run {
  return taps.reduce<Run>(
    ({ right, left, run, longest }, tap) => {
      if (tap === 'drop') return { right, left, run: 0, longest };
      const now = run + 1;
      return { right: right + (tap === 'R' ? 1 : 0), left: left + (tap === 'L' ? 1 : 0), run: now, longest: Math.max(longest, now) };
    },
    { right: 0, left: 0, run: 0, longest: 0 },
  );
}

/** The number that tapping comes to, as it is written down. */
export function tallyOf(kind: string, taps: Tap[]): Written {
  const { right, left, longest } = counted(taps);
  const all = right + left;
  if (kind === 'longest-run') return { value: longest, isVoid: false, reason: '', parts: { kind: 'total', numbers: [all] } };
  return { value: all, isVoid: false, reason: '', parts: right > 0 && left > 0 ? { kind: 'feet', numbers: [right, left] } : null };
}

/** Balls one after the other: how many hit, or which was the first to. Null while it is not over. */
export function shotsOf(kind: string, taps: Tap[], balls: number): Written | null {
  const hits = taps.filter((tap) => tap === 'good').length;
  const plain = { isVoid: false, reason: '', parts: null };
  if (kind === 'tries-to-first-hit') {
    if (hits > 0) return { value: taps.indexOf('good') + 1, ...plain };
    return taps.length >= balls ? { value: 1, isVoid: true, reason: `not in ${balls}`, parts: { kind: 'good-and-tried', numbers: [0, taps.length] } } : null;
  }
  return taps.length >= balls ? { value: hits, ...plain, parts: { kind: 'good-and-tried', numbers: [hits, taps.length] } } : null;
}

/** Good ones until all are there; what is stopped before is kept with how far it came, and counts for nothing. */
export function quotaOf(taps: Tap[], good: number, isStopped: boolean): Written | null {
  const made = taps.filter((tap) => tap === 'good').length;
  const parts = { kind: 'good-and-tried' as const, numbers: [made, taps.length] };
  if (made >= good) return { value: taps.length, isVoid: false, reason: '', parts };
  return isStopped ? { value: Math.max(good, taps.length), isVoid: true, reason: `stopped at ${made} of ${good}, ${taps.length} tried`, parts } : null;
}
