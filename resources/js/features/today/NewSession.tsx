import { Button } from '../../shared/ui/Button';
import { Dialog } from '../../shared/ui/Dialog';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError } from '../../shared/api/client';
import { addSession, squadQueries } from '../../shared/api/queries';
import { Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { keys } from '../../shared/api/keys';

/** Adds an empty session with everybody coming, and opens its plan. */
export function NewSession({ today }: { today: string }) {
  const id = useId();
  const { squadId } = useSquadId();
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const [clientUuid, setClientUuid] = useState(() => crypto.randomUUID());
  const [form, setForm] = useState({ title: '', date: today, time: '18:00', minutes: '60', place: '' });
  const add = useMutation({
    mutationFn: async () => {
      const board = await queryClient.query(squadQueries.board(squadId));
      return addSession(squadId, {
        clientUuid,
        title: form.title,
        place: form.place,
        startsAt: `${form.date}T${form.time}`,
        slotMinutes: Number(form.minutes),
        blocks: [],
        comingPlayerIds: board.players.map((player) => player.id),
      });
    },
    onSuccess: async (session) => {
      await queryClient.invalidateQueries({ queryKey: keys.squad(squadId) });
      await navigate(`/plan/${session.id}`);
    },
  });
  const fault = add.error instanceof ApiError ? add.error : undefined;
  const at = (path: string) => fault?.fields.find((field) => field.path === path)?.message;
  const set = (name: keyof typeof form) => (value: string) => setForm((before) => ({ ...before, [name]: value }));
  return (
    <>
      <p>
        <Button
          onClick={() => {
            setClientUuid(crypto.randomUUID());
            setOpen(true);
          }}
        >
          Add a session
        </Button>
      </p>
      <Dialog open={isOpen} onClose={() => setOpen(false)} labelledBy={id}>
        <form
          noValidate
          className="page stack"
          onSubmit={(event) => {
            event.preventDefault();
            add.mutate();
          }}
        >
          <h2 id={id}>Add a session</h2>
          <Field label="What is it about?" value={form.title} onValue={set('title')} fault={at('title')} autoFocus />
          <div className="fields">
            <Field label="Day" type="date" value={form.date} onValue={set('date')} fault={at('startsAt')} />
            <Field label="Start" type="time" value={form.time} onValue={set('time')} />
            <Field label="Minutes" inputMode="numeric" value={form.minutes} onValue={set('minutes')} fault={at('slotMinutes')} />
          </div>
          <Field label="Place" value={form.place} onValue={set('place')} fault={at('place')} />
          {fault && fault.fields.length === 0 && (
            <p className="notice" role="alert">
              {fault.message}
            </p>
          )}
          <div className="acts-line">
            <Button type="submit" variant="contained" disabled={add.isPending}>
              Add and plan
            </Button>
            <Button onClick={() => setOpen(false)}>Cancel</Button>
          </div>
        </form>
      </Dialog>
    </>
  );
}
