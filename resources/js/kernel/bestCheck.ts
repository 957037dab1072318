/** What a new number is, against the best so far. The same rule as core/src/Record/BestCheck.php, on golden cases. */
export type BestCheck = 'first' | 'record' | 'level' | 'below';

export function bestCheck(better: 'higher' | 'lower', bestSoFar: number | null, value: number): BestCheck {
  if (bestSoFar === null) return 'first';
  if (better === 'higher' ? value > bestSoFar : value < bestSoFar) return 'record';
  return value === bestSoFar ? 'level' : 'below';
}
