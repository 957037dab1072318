import { Button } from '../../shared/ui/Button';
import { Dialog } from '../../shared/ui/Dialog';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { deleteSession, holdingsQuery } from '../../shared/api/queries';
import { many } from '../../shared/lib/format';
import { keys } from '../../shared/api/keys';

interface DeleteSessionProps {
  sessionId: number;
  squadId: number;
  version: number;
  title: string;
}

/** Deleting a session, with what hangs on it said first. */
export function DeleteSession(props: DeleteSessionProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <p className="side">
      <button type="button" className="link" onClick={() => setOpen(true)}>
        Delete this session
      </button>
      {isOpen && <Asked {...props} onClose={() => setOpen(false)} />}
    </p>
  );
}

function Asked({ sessionId, squadId, version, title, onClose }: DeleteSessionProps & { onClose: () => void }) {
  const id = useId();
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const holdings = useQuery(holdingsQuery(sessionId));
  const drop = useMutation({
    mutationFn: () => deleteSession(sessionId, version, holdings.data?.marks ?? 0),
    onSuccess: async () => {
      await navigate('/today', { replace: true });
      for (const queryKey of [keys.session(sessionId), keys.run(sessionId)]) queryClient.removeQueries({ queryKey });
      await queryClient.invalidateQueries({ queryKey: keys.squad(squadId) });
      await queryClient.invalidateQueries({ queryKey: keys.players });
    },
    // Numbers may have come in meanwhile: say the new count.
    onError: () => void holdings.refetch(),
  });
  const hangs = holdings.data;
  return (
    <Dialog open onClose={onClose} labelledBy={id}>
      <div className="page stack">
        <h2 id={id}>Delete {title}?</h2>
        {holdings.isPending && <p role="status">Looking what hangs on it …</p>}
        {holdings.isError && <p className="notice">{holdings.error.message}</p>}
        {hangs && (
          <>
            {hangs.marks > 0 ? (
              <p className="warn">
                With it go {many(hangs.marks, 'number')} of {many(hangs.players, 'player')}, and any record set with them.
              </p>
            ) : (
              <p>No number was written down in it.</p>
            )}
            {hangs.wasRun && <p>It was run: who was there, and the touches it added up, go too.</p>}
            {hangs.hasRecap && <p>What they said at the end goes too.</p>}
            <p>It cannot be brought back.</p>
          </>
        )}
        {drop.isError && (
          <p className="notice" role="alert">
            {drop.error.message}
          </p>
        )}
        <div className="acts-line">
          <Button disabled={!hangs || drop.isPending} onClick={() => drop.mutate()}>
            Delete it
          </Button>
          <Button variant="contained" onClick={onClose}>
            Keep it
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
