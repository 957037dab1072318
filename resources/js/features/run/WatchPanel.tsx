import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import { mark } from '../../shared/lib/format';
import { useBeat } from '../../shared/clock/signals';
import type { Roll } from './useRoll';

/** One start for all, a press for each who is there: times to a tenth, taken when the press was made and not when it was drawn. */
export function WatchPanel({ roll }: { roll: Roll }) {
  const [startedAt, setStartedAt] = useState<number | undefined>(undefined);
  const [now, setNow] = useState(0);
  const [stopped, setStopped] = useState<Record<number, number>>({});
  useBeat(() => setNow(performance.now()));
  const rule = roll.rows[0]?.line.rule;
  const most = roll.rows[0]?.line.most ?? 3600;
  const seconds = startedAt === undefined ? 0 : Math.max(0, now - startedAt) / 1000;
  const stop = (i: number, at: number) => {
    const row = roll.rows[i];
    if (startedAt === undefined || !row) return;
    const tenths = Math.round((at - startedAt) / 100) / 10;
    setStopped((before) => ({ ...before, [i]: tenths }));
    roll.put(i, { value: Math.min(most, Math.max(row.line.least, tenths)), isVoid: tenths > most, reason: tenths > most ? 'never stopped' : '', parts: null });
  };
  return (
    <div className="tight">
      <p className="quiet">
        Starts: {rule?.starts ?? 'the whistle'}. Stops: {rule?.stops ?? 'the whistle'}.
      </p>
      <p className="spread">
        <span className="num" style={{ fontSize: '2.4rem' }} role="timer" aria-label="Stopwatch">
          {mark(Math.floor(seconds * 10) / 10, 0.1)}
        </span>
        <Button
          variant={startedAt === undefined ? 'contained' : 'outlined'}
          style={{ minHeight: 64 }}
          onClick={(event) => {
            setStopped({});
            setNow(event.timeStamp);
            setStartedAt(startedAt === undefined ? event.timeStamp : undefined);
          }}
        >
          {startedAt === undefined ? 'Start all' : 'Set to nought'}
        </Button>
      </p>
      {startedAt !== undefined && seconds > most && <p className="warn">Over {most} s: whoever is not stopped yet is void.</p>}
      <div className="stops">
        {roll.rows.map((row, i) => (
          <Button key={row.name} disabled={startedAt === undefined || stopped[i] !== undefined} onClick={(event) => stop(i, event.timeStamp)}>
            {stopped[i] === undefined ? `Stop ${row.name}` : `${row.name} ${mark(stopped[i], 0.1)}`}
          </Button>
        ))}
      </div>
    </div>
  );
}
