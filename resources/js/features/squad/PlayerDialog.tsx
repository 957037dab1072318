import { Button } from '../../shared/ui/Button';
import { Dialog } from '../../shared/ui/Dialog';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { addPlayer, changePlayer } from '../../shared/api/queries';
import { movePlayer } from '../../shared/api/seasonQueries';
import type { Player } from '../../shared/api/schemas';
import { Choice, Field } from '../../shared/ui/Field';
import { FormFault } from '../../shared/ui/FormFault';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { isOf } from '../../shared/api/keys';

/** An empty box means none; anything else goes to the server as typed, which says what is wrong with it. */
const numberOrNull = (text: string): number | null => (text.trim() === '' ? null : Number(text));

export function PlayerDialog({ player, onClose }: { player: Player | undefined; onClose: () => void }) {
  const id = useId();
  const { squadId, squads } = useSquadId();
  const ofMine = squads.filter(({ role }) => role !== 'assistant');
  const queryClient = useQueryClient();
  const [form, setForm] = useState({
    name: player?.name ?? '',
    bib: player?.bib?.toString() ?? '',
    strongFoot: player?.strongFoot ?? 'R',
    birthYear: player?.birthYear?.toString() ?? '',
    squad: String(squadId),
  });
  const save = useMutation({
    mutationFn: async () => {
      const fields = { name: form.name, strongFoot: form.strongFoot, bib: numberOrNull(form.bib), birthYear: numberOrNull(form.birthYear) };
      if (!player) return addPlayer(squadId, fields);
      const changed = await changePlayer(player.id, fields);
      return Number(form.squad) === squadId ? changed : movePlayer(player.id, Number(form.squad));
    },
    onSuccess: async () => {
      await queryClient.invalidateQueries({ predicate: isOf('squad', 'session', 'player') });
      onClose();
    },
  });
  const { at, form: fault } = faultsOf(save.error);
  const notNumber = (text: string) => (text.trim() !== '' && Number.isNaN(Number(text)) ? 'This is not a number.' : undefined);
  const set = (name: keyof typeof form) => (value: string) => setForm((before) => ({ ...before, [name]: value }));
  return (
    <Dialog open onClose={onClose} labelledBy={id}>
      <form
        noValidate
        className="page stack"
        onSubmit={(event) => {
          event.preventDefault();
          if (!notNumber(form.bib) && !notNumber(form.birthYear)) save.mutate();
        }}
      >
        <h2 id={id}>{player ? `Change ${player.name}` : 'Add a player'}</h2>
        <Field label="First name" value={form.name} onValue={set('name')} fault={at('name')} autoFocus />
        <div className="fields">
          <Field label="Bib" inputMode="numeric" value={form.bib} onValue={set('bib')} fault={notNumber(form.bib) ?? at('bib')} />
          <Field
            label="Birth year"
            inputMode="numeric"
            value={form.birthYear}
            onValue={set('birthYear')}
            fault={notNumber(form.birthYear) ?? at('birthYear')}
          />
          <Choice
            label="Strong foot"
            value={form.strongFoot}
            options={[
              ['R', 'right'],
              ['L', 'left'],
              ['both', 'both'],
            ]}
            onValue={set('strongFoot')}
            fault={at('strongFoot')}
          />
        </div>
        {player && ofMine.length > 1 && (
          <Choice
            label="Squad; every number goes along"
            value={form.squad}
            options={ofMine.map(({ id: squad, name }): [string, string] => [String(squad), name])}
            onValue={set('squad')}
            fault={at('squadId')}
          />
        )}
        <p className="quiet">The year is enough; a full date of birth is never asked for.</p>
        <FormFault sentence={fault} />
        <div className="acts-line">
          <Button type="submit" variant="contained" disabled={save.isPending}>
            {player ? 'Keep' : 'Add'}
          </Button>
          <Button onClick={onClose}>Cancel</Button>
        </div>
      </form>
    </Dialog>
  );
}
