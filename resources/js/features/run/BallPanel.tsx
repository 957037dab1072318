import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import type { Written } from '../../shared/lib/entryText';
import { quotaOf, shotsOf, type Tap } from './tally';
import type { Roll } from './useRoll';

interface BallPanelProps {
  roll: Roll;
  isQuota: boolean;
  /** How many balls there are; null where the clock ends it. */
  balls: number | null;
}

/** Ball by ball, good or not; until the balls, or the good ones, are there. */
export function BallPanel({ roll, isQuota, balls }: BallPanelProps) {
  const [taps, setTaps] = useState<Tap[]>([]);
  const row = roll.rows[roll.here];
  if (!row) return null;
  const { kind, least } = row.line;
  const good = taps.filter((tap) => tap === 'good').length;
  const read = (now: Tap[]) => (isQuota ? quotaOf(now, least, false) : shotsOf(kind, now, balls ?? Infinity));
  const put = (written: Written | null) => {
    if (!written) return;
    roll.put(roll.here, written);
    roll.go(roll.here + 1);
  };
  const add = (tap: Tap) => {
    setTaps([...taps, tap]);
    put(read([...taps, tap]));
  };
  const isOver = read(taps) !== null;
  const stop = () => put(isQuota ? quotaOf(taps, least, true) : shotsOf(kind, taps, taps.length));
  return (
    <div className="tight">
      <p className="spread">
        <strong>{row.name}</strong>
        <span role="status">
          <span className="num" style={{ fontSize: '1.9rem' }}>
            {good} of {taps.length}
          </span>{' '}
          {isQuota ? `${Math.max(0, least - good)} still owed` : balls === null ? '' : `${Math.max(0, balls - taps.length)} balls left`}
        </span>
      </p>
      <div className="tap-keys">
        <Button disabled={isOver} onClick={() => add('good')}>
          {isQuota ? 'Good' : 'Hit'}
        </Button>
        <Button disabled={isOver} onClick={() => add('miss')}>
          {isQuota ? 'Not' : 'Missed'}
        </Button>
        <Button disabled={taps.length === 0} onClick={() => setTaps(taps.slice(0, -1))} aria-label="Take one back">
          ⌫
        </Button>
        {(isQuota || balls === null) && (
          <Button disabled={taps.length === 0 || isOver} onClick={stop}>
            Stop here
          </Button>
        )}
      </div>
    </div>
  );
}
