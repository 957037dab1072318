import { useMutation, useQuery } from '@tanstack/react-query';
import { keys } from '../api/keys';
import { letGo, tryAgain, useOutbox, waitingLines } from '../lib/outbox';
import { announceSignedOut } from '../lib/signedOut';
import { Button } from './Button';

/** What this device has not been able to send, one by one, with what holds it. */
export function WaitingList() {
  const box = useOutbox();
  const lines = useQuery({ queryKey: keys.waiting(box), queryFn: waitingLines, gcTime: 0, staleTime: 0, placeholderData: (before) => before });
  const send = useMutation({ mutationFn: tryAgain, onSettled: () => lines.refetch() });
  const drop = useMutation({ mutationFn: letGo, onSettled: () => lines.refetch() });
  return (
    <div className="stack">
      {box.unkept > 0 && (
        <p className="notice" role="alert">
          This device will not keep numbers: {box.unkept} {box.unkept === 1 ? 'is' : 'are'} in this page alone. Leave it open until they are sent.
        </p>
      )}
      {lines.data?.length === 0 && <p role="status">Nothing waits: everything written down here has been sent.</p>}
      <ul className="rows" aria-label="What waits">
        {lines.data?.map((line) => (
          <li key={line.id} className="spread">
            <span>
              {line.label}
              {line.value && (
                <>
                  : <strong className="num">{line.value}</strong>
                </>
              )}
              <br />
              <span className={line.held ? 'warn' : 'quiet'}>{line.held || (box.isSignedOut ? 'Waits for a sign-in.' : 'Waits for a connection.')}</span>
            </span>
            {line.isRefused && (
              <button type="button" className="link" disabled={drop.isPending} onClick={() => drop.mutate(line.id)} aria-label={`Let go of ${line.label}`}>
                Let it go
              </button>
            )}
          </li>
        ))}
      </ul>
      {box.ofOthers > 0 && (
        <p className="note">
          {box.ofOthers} more {box.ofOthers === 1 ? 'number was' : 'numbers were'} entered here under another account.{' '}
          {box.ofOthers === 1 ? 'It goes' : 'They go'} out when that account signs in on this device.
        </p>
      )}
      {(lines.data?.length ?? 0) > 0 && (
        <div className="acts-line">
          <Button variant="contained" disabled={send.isPending} onClick={() => (box.isSignedOut ? announceSignedOut() : send.mutate())}>
            {box.isSignedOut ? 'Sign in to send' : 'Send now'}
          </Button>
        </div>
      )}
    </div>
  );
}
