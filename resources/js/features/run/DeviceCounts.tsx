import { Button } from '../../shared/ui/Button';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { feedQuery, openFeed } from '../../shared/api/runQueries';
import type { Roll } from './useRoll';

/** A device that counts in place of the thumb: leave to send, what it has sent since, and writing that down. */
export function DeviceCounts({ roll, sessionId }: { roll: Roll; sessionId: number }) {
  const [since, setSince] = useState<string | undefined>(undefined);
  const leave = useMutation({ mutationFn: () => openFeed(sessionId), onSuccess: () => setSince(new Date().toISOString()) });
  const counts = useQuery({ ...feedQuery(sessionId, since ?? ''), enabled: since !== undefined });
  const of = (playerId: number) => counts.data?.players.find((one) => one.playerId === playerId);
  const write = () =>
    roll.rows.forEach((row, i) => {
      const count = of(row.ask.playerId);
      if (!count) return;
      const { left, right, unknown } = count;
      // Feet that are not known are never shared out.
      const parts = unknown === 0 && left > 0 && right > 0 ? { kind: 'feet' as const, numbers: [right, left] } : null;
      roll.put(i, { value: left + right + unknown, isVoid: false, reason: '', parts });
    });
  if (!leave.data)
    return (
      <div className="tight">
        <Button disabled={leave.isPending} onClick={() => leave.mutate()}>
          Let a device count
        </Button>
        {leave.isError && (
          <p className="warn" role="alert">
            {leave.error.message}
          </p>
        )}
      </div>
    );
  return (
    <div className="tight">
      <p>
        Send to <code>{`${window.location.origin}${leave.data.path}`}</code> with the token <code>{leave.data.token}</code>
      </p>
      <ul className="rows" aria-label="What the device counted">
        {roll.rows.map((row) => {
          const count = of(row.ask.playerId);
          return (
            <li key={row.name}>
              {row.name}{' '}
              {count ? (
                <>
                  <span className="num">{count.left + count.right + count.unknown}</span> ({count.left} left, {count.right} right, {count.unknown} unknown)
                </>
              ) : (
                <span className="quiet">nothing yet</span>
              )}
            </li>
          );
        })}
      </ul>
      <div className="acts-line">
        <Button onClick={() => setSince(new Date().toISOString())}>Count from now</Button>
        <Button variant="contained" disabled={!counts.data?.players.length} onClick={write}>
          Write these down
        </Button>
      </div>
    </div>
  );
}
