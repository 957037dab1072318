import type { CallMade } from '../../shared/api/runQueries';
import type { RunPack } from '../../shared/api/schemas';
import type { RunBlock } from './words';

type Call = RunBlock['calls'][number];

/** How a call was answered, as far as anybody marked it. */
export type Answer = 'hit' | 'slow';
/** Of one block: what was called in order, by its number in the sequence, and how it was answered. */
export interface CallLog {
  /** Of the sequence: how far it has come. */
  next: number;
  /** Where in the sequence the set at hand began. */
  from: number;
  made: { call: number; answer: Answer | null }[];
}
export const noCalls: CallLog = { next: 0, from: 0, made: [] };

/** How much faster or slower than planned the calls come. */
export const paces = [1.25, 1, 0.8] as const;
export type Pace = (typeof paces)[number];

/** Seconds into the set at which the next call is due; undefined where the sequence is over. */
export function dueAt(calls: Call[], { next, from }: CallLog, pace: Pace): number | undefined {
  const [call, first] = [calls[next], calls[from]];
  if (!call || !first) return undefined;
  // A set begins as the first did: half an interval of waiting, then the first call.
  const lead = calls[0]?.atSeconds ?? 0;
  return lead + (call.atSeconds - first.atSeconds) * pace;
}

/** A set begins: the sequence goes on from where it has come to. */
export const newSet = (log: CallLog): CallLog => ({ ...log, from: log.next });

export const called = (log: CallLog): CallLog => ({ ...log, next: log.next + 1, made: [...log.made, { call: log.next, answer: null }] });

/** The last call once more; it is a call of its own. */
export function calledAgain(log: CallLog): CallLog {
  const last = log.made.at(-1);
  return last ? { ...log, made: [...log.made, { call: last.call, answer: null }] } : log;
}

export function answered(log: CallLog, answer: Answer): CallLog {
  const last = log.made.at(-1);
  return last ? { ...log, made: [...log.made.slice(0, -1), { ...last, answer: last.answer === answer ? null : answer }] } : log;
}

/** What is called out: "blue, then red", or whose name it is. */
export function callWords(call: Call, kind: RunBlock['callKind'], players: RunPack['players']): string {
  // Which movement is the command itself.
  if (kind === 'movement' && call.command) return call.command;
  const named = (place: string) => (kind === 'name' ? (players[(Number(place) - 1) % Math.max(1, players.length)]?.name ?? place) : place);
  const places = call.places.map(named).join(', then ');
  return call.command ? `${places}: ${call.command}` : places;
}

/** All that was called in a run, block by block in order, as it is told to the server. */
export const callsMade = (logs: Record<string, CallLog>): CallMade[] =>
  Object.entries(logs).flatMap(([blockId, { made }]) => made.map(({ call, answer }) => ({ blockId, place: call, answer })));

/** How it went: of so many calls so many hits and slow ones; the unmarked are neither. */
export function answers({ made }: CallLog): string {
  const of = (answer: Answer) => made.filter((one) => one.answer === answer).length;
  return `${made.length} called, ${of('hit')} hit, ${of('slow')} slow`;
}
