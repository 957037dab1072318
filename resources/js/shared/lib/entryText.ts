import type { RecordLine } from '../api/schemas';
import type { MarkParts } from '../api/runQueries';
import { mark } from './format';

/** What stands in a row of the roll call, read. */
export interface Written {
  value: number;
  isVoid: boolean;
  reason: string;
  parts: MarkParts | null;
}

const isVoidText = (text: string): boolean => text === 'void' || text.startsWith('void ');

/** "33", "18+15" in halves, "void", or "void a hand on the ball"; a fault says what to write instead. */
export function readText(text: string, line: Pick<RecordLine, 'least' | 'most' | 'step'>): Written | { fault: string } {
  if (isVoidText(text)) return { value: line.least, isVoid: true, reason: text.slice(5).trim(), parts: null };
  const numbers = text
    .replaceAll(',', '.')
    .split('+')
    .map((part) => (part.trim() === '' ? NaN : Number(part)));
  if (numbers.some(Number.isNaN) || numbers.length > 2) return { fault: 'Digits only.' };
  const value = numbers.reduce((sum, number) => sum + number, 0);
  if (value < line.least || value > line.most) return { fault: `Between ${line.least} and ${line.most}; void where that was not reached.` };
  if (line.step === 1 && !numbers.every(Number.isInteger)) return { fault: 'A whole number.' };
  return { value, isVoid: false, reason: '', parts: numbers.length === 2 ? { kind: 'halves', numbers } : null };
}

/** The same the other way round. */
export function textOf(entry: Pick<Written, 'value' | 'isVoid'> & { reason?: string | undefined; parts?: MarkParts | null | undefined }, step: number): string {
  if (entry.isVoid) return entry.reason ? `void ${entry.reason}` : 'void';
  return entry.parts?.kind === 'halves' ? entry.parts.numbers.join('+') : mark(entry.value, step);
}

/** What a key makes of a text; the first one after coming to a row that has a number begins anew. */
export function typed(text: string, key: string, isFresh: boolean): string {
  if (key === 'back') return isVoidText(text) ? '' : text.slice(0, -1);
  if (key.startsWith('void')) return key;
  if (key === '+') return isVoidText(text) || text.includes('+') ? text : `${text}+`;
  return isFresh || isVoidText(text) ? key : text + key;
}

/** How the numbers of a line may be taken beside typing them. */
export type Way = 'keys' | 'tap' | 'watch' | 'shots' | 'quota';
export const wayWords: Record<Way, string> = { keys: 'Keys', tap: 'Tap', watch: 'Watch', shots: 'Ball by ball', quota: 'Good or not' };

export function waysOf(kind: string): Way[] {
  switch (kind) {
    case 'count-in-time':
    case 'running-total':
    case 'longest-run':
    case 'touches-on-path':
    case 'most-touches-on-path':
    case 'chain-steps':
      return ['keys', 'tap'];
    case 'time-for-work':
    case 'seconds-held':
      return ['keys', 'watch'];
    case 'hits-of-attempts':
    case 'tries-to-first-hit':
      return ['keys', 'shots'];
    case 'tries-for-quota':
      return ['keys', 'quota'];
    default:
      return ['keys'];
  }
}
