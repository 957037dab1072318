import type { MarkParts } from '../api/runQueries';
import type { RecordLine } from '../api/schemas';
import { readText } from './entryText';

interface ReadNumber {
  value: number;
  parts: MarkParts | null;
}

/** Whether a number is made of runs: the longest counts, or all together. */
export const runsOf = (kind: string): boolean => kind === 'longest-run' || kind === 'running-total';

/** What stands in a field, read; null while nothing does, a fault where it cannot be a number of this line. */
export function readNumber(text: string, line: Pick<RecordLine, 'kind' | 'least' | 'most' | 'step'>): ReadNumber | { fault: string } | null {
  if (text.trim() === '') return null;
  const written = text.trim().split(/[\s+,;]+/);
  if (!runsOf(line.kind) || written.length === 1) {
    const read = readText(text.trim(), line);
    if ('fault' in read) return { fault: read.fault.replace('; void where that was not reached', '') };
    return read.isVoid ? { fault: 'Digits only.' } : { value: read.value, parts: read.parts };
  }
  const runs = written.map(Number);
  if (!runs.every((run) => Number.isInteger(run) && run >= 0)) return { fault: 'Whole numbers, one after the other.' };
  const all = runs.reduce((sum, run) => sum + run, 0);
  const value = line.kind === 'longest-run' ? Math.max(...runs) : all;
  if (value < line.least || value > line.most) return { fault: `Between ${line.least} and ${line.most}.` };
  return { value, parts: line.kind === 'longest-run' ? { kind: 'total', numbers: [all] } : null };
}
