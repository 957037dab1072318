import type { ClockReading } from '../../kernel/segmentClock';
import type { FootWording } from '../lib/format';
import { cueWords, type ClockedSegment } from './segmentWords';

/** go: work begins · stop: it ends · soon: ten seconds left · next: something else begins */
export type Tone = 'go' | 'stop' | 'soon' | 'next';
export interface Cue {
  /** Time of the run. */
  atMs: number;
  tone: Tone;
  /** To be spoken; empty for the tone alone. */
  words: string;
}

const soonMs = 10_000;
/** Shorter ones need no warning of their end. */
const worthWarningMs = 20_000;

const toneOf = (segment: ClockedSegment | undefined): Tone =>
  segment?.kind === 'work' || segment?.kind === 'game' ? 'go' : segment?.kind === 'rest' ? 'stop' : 'next';

/**
 * What is to be heard from now on until a press is needed, in order of time.
 *
 * @param end said when all is over
 * @param wordsOf what is called out when a stretch begins
 */
export function cuesAhead<S extends ClockedSegment>(
  segments: S[],
  reading: ClockReading,
  nowMs: number,
  wording: FootWording,
  end = 'That was the session',
  wordsOf: (last: S | undefined, next: S, wording: FootWording) => string = cueWords,
): Cue[] {
  if (reading.state !== 'running') return [];
  const cues: Cue[] = [];
  let endsMs = nowMs + reading.remainingMs;
  let last = segments.slice(0, reading.index).findLast((one) => one.kind === 'work');
  for (let i = reading.index; i < segments.length; i++) {
    const segment = segments[i];
    if (!segment) break;
    const isOpen = !segment.endsByClock || (i === reading.index && reading.isHeld);
    const lengthMs = Math.round(segment.seconds * 1000);
    if (i > reading.index) endsMs += lengthMs;
    if (!isOpen && (segment.kind === 'work' || segment.kind === 'game') && lengthMs >= worthWarningMs)
      cues.push({ atMs: endsMs - soonMs, tone: 'soon', words: 'Ten seconds' });
    if (isOpen) break;
    if (segment.kind === 'work') last = segment;
    const next = segments[i + 1];
    cues.push({ atMs: endsMs, tone: toneOf(next), words: next ? wordsOf(last, next, wording) : end });
  }
  return cues.filter((cue) => cue.atMs > nowMs);
}
