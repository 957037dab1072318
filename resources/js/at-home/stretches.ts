import type { HomeDay } from '../shared/api/homeSchemas';
import type { ClockedSegment } from '../shared/clock/segmentWords';

export type Stretch = HomeDay['segments'][number] & ClockedSegment;

/** What the timer counts. The first thing is read before the start; later pauses end by themselves where that is wished. */
export function stretches(day: HomeDay, goesOn: boolean): Stretch[] {
  return day.segments
    .filter((one) => one.kind !== 'explain' || one.seconds > 0)
    .map((one) => ({ ...one, endsByClock: one.kind === 'explain' ? goesOn : one.endsByClock, turn: null, stations: [] }));
}
