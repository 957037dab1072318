import Button from '@mui/material/Button';
import { useState } from 'react';
import { quotaOf, shotsOf, type Tap } from './tally';
import type { Roll } from './useRoll';

/** Ball by ball, good or not; until the balls, or the good ones, are there. */
export function BallPanel({ roll, isQuota }: { roll: Roll; isQuota: boolean }) {
  const [taps, setTaps] = useState<Tap[]>([]);
  const row = roll.rows[roll.here];
  if (!row) return null;
  const { kind, least, most } = row.line;
  const good = taps.filter((tap) => tap === 'good').length;
  const read = (now: Tap[]) => (isQuota ? quotaOf(now, least, false) : shotsOf(kind, now, most));
  const add = (tap: Tap) => {
    const now = [...taps, tap];
    const written = read(now);
    setTaps(now);
    if (!written) return;
    roll.put(roll.here, written);
    roll.go(roll.here + 1);
  };
  const stop = () => {
    const written = quotaOf(taps, least, true);
    if (!written) return;
    roll.put(roll.here, written);
    roll.go(roll.here + 1);
  };
  return (
    <div className="tight">
      <p className="spread">
        <strong>{row.name}</strong>
        <span role="status">
          <span className="num" style={{ fontSize: '1.9rem' }}>
            {good} of {taps.length}
          </span>{' '}
          {isQuota ? `${Math.max(0, least - good)} still owed` : `${Math.max(0, most - taps.length)} balls left`}
        </span>
      </p>
      <div className="tap-keys">
        <Button onClick={() => add('good')}>{isQuota ? 'Good' : 'Hit'}</Button>
        <Button onClick={() => add('miss')}>{isQuota ? 'Not' : 'Missed'}</Button>
        <Button disabled={taps.length === 0} onClick={() => setTaps(taps.slice(0, -1))} aria-label="Take one back">
          ⌫
        </Button>
        {isQuota && (
          <Button disabled={taps.length === 0} onClick={stop}>
            Stop here
          </Button>
        )}
      </div>
    </div>
  );
}
