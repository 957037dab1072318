import { Button } from '../../shared/ui/Button';
import { Dialog } from '../../shared/ui/Dialog';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError } from '../../shared/api/client';
import { erasePlayer, keepNote, playerNoteQuery } from '../../shared/api/staffQueries';
import { localTime } from '../../shared/lib/format';
import { Field } from '../../shared/ui/Field';
import { isOf, keys } from '../../shared/api/keys';

/** The private note, who changed what, and erasing: for coaches and the club lead. */
export function StaffOnly({ playerId, name }: { playerId: number; name: string }) {
  const note = useQuery(playerNoteQuery(playerId));
  const [isErasing, setErasing] = useState(false);
  if (!note.data) return note.isError ? <p className="notice">{note.error.message}</p> : null;
  return (
    <section className="stack" aria-label="For coaches only">
      <Note key={note.data.note} playerId={playerId} note={note.data.note} />
      <details>
        <summary>Who changed what</summary>
        {note.data.trail.length === 0 && <p>Nothing has been changed.</p>}
        <ul className="rows">
          {note.data.trail.map((entry) => (
            <li key={`${entry.at} ${entry.what}`} className="tight">
              <span>
                {entry.by} {entry.what}
              </span>
              <span className="quiet">{localTime(entry.at)}</span>
            </li>
          ))}
        </ul>
      </details>
      <p>
        <button type="button" className="link" onClick={() => setErasing(true)}>
          Erase {name} with every number
        </button>
      </p>
      {isErasing && <Erase playerId={playerId} name={name} onClose={() => setErasing(false)} />}
    </section>
  );
}

function Note({ playerId, note }: { playerId: number; note: string }) {
  const queryClient = useQueryClient();
  const [text, setText] = useState(note);
  const keep = useMutation({
    mutationFn: () => keepNote(playerId, text),
    onSuccess: (data) => queryClient.setQueryData(playerNoteQuery(playerId).queryKey, data),
  });
  const fault = keep.error instanceof ApiError ? (keep.error.fields[0]?.message ?? keep.error.message) : undefined;
  return (
    <form
      className="tight"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <Field label="Private note, for coaches and the club lead" lines={2} value={text} onValue={setText} fault={fault} />
      <p className="quiet">What helps to coach. Nothing about health or home.</p>
      {text !== note && (
        <div className="acts-line">
          <Button type="submit" disabled={keep.isPending}>
            Keep the note
          </Button>
        </div>
      )}
    </form>
  );
}

function Erase({ playerId, name, onClose }: { playerId: number; name: string; onClose: () => void }) {
  const id = useId();
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  const [typed, setTyped] = useState('');
  const erase = useMutation({
    mutationFn: () => erasePlayer(playerId),
    onSuccess: async () => {
      await navigate('/squad', { replace: true });
      queryClient.removeQueries({ queryKey: keys.player(playerId) });
      await queryClient.invalidateQueries({ predicate: isOf('squad', 'session', 'run') });
    },
  });
  return (
    <Dialog open onClose={onClose} labelledBy={id}>
      <form
        className="page stack"
        onSubmit={(event) => {
          event.preventDefault();
          if (typed.trim() === name) erase.mutate();
        }}
      >
        <h2 id={id}>Erase {name}?</h2>
        <p>Every number, record and attendance of {name} goes and cannot be brought back. That it was done, and by whom, is kept.</p>
        <Field label={`Type ${name} to go on`} value={typed} onValue={setTyped} autoFocus />
        {erase.isError && (
          <p className="notice" role="alert">
            {erase.error.message}
          </p>
        )}
        <div className="acts-line">
          <Button type="submit" disabled={typed.trim() !== name || erase.isPending}>
            Erase
          </Button>
          <Button variant="contained" onClick={onClose}>
            Cancel
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
