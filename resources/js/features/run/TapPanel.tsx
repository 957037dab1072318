import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import { DeviceCounts } from './DeviceCounts';
import { counted, tallyOf, type Tap } from './tally';
import { askName } from './rollCalls';
import type { Roll, Row } from './useRoll';

/** Counting by tapping, for one to four players at once: left and right apart, a drop ends the run and the total goes on. */
export function TapPanel({ roll, sessionId }: { roll: Roll; sessionId: number }) {
  const [isDevice, setDevice] = useState(false);
  const [many, setMany] = useState(1);
  // By whom they were counted for: another name may come into hand meanwhile.
  const [taps, setTaps] = useState<Record<string, Tap[]>>({});
  const rows = roll.rows.slice(roll.here, roll.here + many);
  const of = (row: Row) => taps[askName(row.ask)] ?? [];
  const add = (row: Row, tap: Tap) => setTaps((before) => ({ ...before, [askName(row.ask)]: [...(before[askName(row.ask)] ?? []), tap] }));
  const undo = (row: Row) => setTaps((before) => ({ ...before, [askName(row.ask)]: (before[askName(row.ask)] ?? []).slice(0, -1) }));
  const isRun = rows[0]?.line.kind === 'longest-run';
  const finish = () => {
    rows.forEach((row, i) => {
      if (of(row).length > 0) roll.put(roll.here + i, tallyOf(row.line.kind, of(row)));
    });
    roll.go(roll.here + rows.length);
  };
  return (
    <div className="tight">
      <div className="ways" role="group" aria-label="How many at once">
        {[1, 2, 3, 4].map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={!isDevice && one === many}
            onClick={() => {
              setDevice(false);
              setMany(one);
            }}
          >
            {one}
          </button>
        ))}
        <button type="button" aria-pressed={isDevice} onClick={() => setDevice(true)}>
          Device
        </button>
      </div>
      {isDevice ? (
        <DeviceCounts roll={roll} sessionId={sessionId} />
      ) : (
        <>
          <ul className="taps" data-many={many > 1 ? 'yes' : 'no'}>
            {rows.map((row) => {
              const { right, left, run, longest } = counted(of(row));
              const foot = row.line.side;
              return (
                <li key={row.name}>
                  <p className="spread">
                    <strong>{row.name}</strong>
                    <span role="status">
                      <span className="num">{isRun ? run : right + left}</span>{' '}
                      {isRun ? `now, best ${longest}, ${right + left} in all` : right > 0 && left > 0 ? `${left} left, ${right} right` : ''}
                    </span>
                  </p>
                  <div className="tap-keys">
                    {foot !== 'R' && (
                      <Button className="left" onClick={() => add(row, 'L')} aria-label={`${row.name}: left`}>
                        {foot === 'L' ? '+1' : 'L'}
                      </Button>
                    )}
                    {foot !== 'L' && (
                      <Button className="right" onClick={() => add(row, 'R')} aria-label={`${row.name}: right`}>
                        {foot === 'R' ? '+1' : 'R'}
                      </Button>
                    )}
                    {isRun && (
                      <Button onClick={() => add(row, 'drop')} aria-label={`${row.name}: dropped`}>
                        drop
                      </Button>
                    )}
                    <Button disabled={of(row).length === 0} onClick={() => undo(row)} aria-label={`${row.name}: take one back`}>
                      ⌫
                    </Button>
                  </div>
                </li>
              );
            })}
          </ul>
          <Button variant="contained" style={{ minHeight: 64 }} onClick={finish}>
            Write down, next
          </Button>
        </>
      )}
    </div>
  );
}
