import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ApiError } from '../../shared/api/client';
import { addSession, propose, squadQueries } from '../../shared/api/queries';
import { addGuests } from '../../shared/api/runQueries';
import { freeBibs } from '../../shared/lib/bibs';
import { proposedPlan } from '../../shared/lib/draft';
import { localNow } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { keys } from '../../shared/api/keys';

const mostGuests = 20;
const [leastMinutes, mostMinutes] = [10, 240];

/** A session for whoever is here now: guests by bib where no name is known, and the best that can be proposed for the time there is. */
export function FirstEvening() {
  const { squadId } = useSquadId();
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const board = useQuery(squadQueries.board(squadId));
  const named = board.data?.players ?? [];
  const [clientUuid] = useState(() => crypto.randomUUID());
  const [minutes, setMinutes] = useState('45');
  const [guests, setGuests] = useState<string | undefined>(undefined);
  const typed = guests ?? (named.length === 0 ? '8' : '0');
  const make = useMutation({
    mutationFn: async () => {
      const bibs = freeBibs(named, Number(typed));
      const came = bibs.length === 0 ? [] : (await addGuests(squadId, bibs)).players;
      // They are of the squad now: pressed again after a fault, nobody comes twice.
      setGuests('0');
      await queryClient.invalidateQueries({ queryKey: keys.board(squadId) });
      const plan = {
        slotMinutes: Number(minutes),
        startsAt: localNow(),
        comingPlayerIds: [...named, ...came].map(({ id }) => id),
      };
      const { proposals, refusals } = await propose(squadId, { ...plan, theme: null, wish: 'anything', locks: [], bans: [], seen: [] });
      const [best] = proposals;
      if (!best) throw new ApiError('refused', refusals[0]?.reason ?? 'No session could be proposed.');
      return addSession(squadId, { ...plan, clientUuid, title: 'First session', place: '', blocks: proposedPlan(best.blocks) });
    },
    onSuccess: async (session) => {
      await queryClient.invalidateQueries({ queryKey: keys.squad(squadId) });
      await navigate(`/plan/${session.id}`);
    },
  });
  const count = Number(typed);
  const slot = Number(minutes);
  const isSlot = minutes.trim() !== '' && Number.isInteger(slot) && slot >= leastMinutes && slot <= mostMinutes;
  const isNumber = typed.trim() !== '' && Number.isInteger(count) && count >= 0 && count <= mostGuests && count + named.length > 0;
  return (
    <form
      className="page stack"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (isNumber && isSlot) make.mutate();
      }}
    >
      <h2>A session for now</h2>
      <p>
        {named.length === 0
          ? 'Nobody needs a name yet: give out bibs from 1 up. Names come later, and every number follows.'
          : `For the ${named.length} of the squad, and guests by bib.`}
      </p>
      <div className="fields">
        <Field
          label={named.length === 0 ? 'How many?' : 'Guests'}
          inputMode="numeric"
          value={typed}
          onValue={setGuests}
          fault={isNumber ? undefined : `Enter a number up to ${mostGuests}.`}
        />
        <Field
          label="Minutes"
          inputMode="numeric"
          value={minutes}
          onValue={setMinutes}
          fault={isSlot ? undefined : `Enter ${leastMinutes} to ${mostMinutes} minutes.`}
        />
      </div>
      {make.error && (
        <p className="notice" role="alert">
          {make.error.message}
        </p>
      )}
      <div className="acts-line">
        <Button type="submit" variant="contained" disabled={make.isPending || board.isPending}>
          {make.isPending ? 'Choosing drills …' : 'Make the session'}
        </Button>
      </div>
    </form>
  );
}
