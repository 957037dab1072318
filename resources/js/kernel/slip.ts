const times = 5;
const from = 4;

/** Whether a number looks like a slip of the finger. The same rule as core/src/Record/Slip.php, on golden cases. */
export const isLikelySlip = (bestSoFar: number | null, value: number): boolean =>
  bestSoFar !== null && bestSoFar >= from && (value >= bestSoFar * times || value <= bestSoFar / times);
