import { Button } from '../../shared/ui/Button';
import { Dialog } from '../../shared/ui/Dialog';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { ApiError } from '../../shared/api/client';
import { changePerson, peopleQuery, removePerson } from '../../shared/api/staffQueries';
import type { Person } from '../../shared/api/staffSchemas';
import { Choice } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';

type RoleOrNone = 'none' | 'assistant' | 'coach';

/** Somebody's place in each squad, and whether they lead the club. */
export function PersonDialog({ person, onClose }: { person: Person; onClose: () => void }) {
  const id = useId();
  const queryClient = useQueryClient();
  const { squads } = useSquadId();
  const [isLead, setLead] = useState(person.isLead);
  const [roles, setRoles] = useState<Record<number, RoleOrNone>>(Object.fromEntries(person.roles.map(({ squadId, role }) => [squadId, role])));
  const [isRemoving, setRemoving] = useState(false);
  const onSuccess = async () => {
    await queryClient.invalidateQueries({ queryKey: peopleQuery.queryKey });
    onClose();
  };
  const change = useMutation({
    mutationFn: () =>
      changePerson(person.id, {
        isLead,
        roles: Object.entries(roles).flatMap(([squadId, role]) => (role === 'none' ? [] : [{ squadId: Number(squadId), role }])),
      }),
    onSuccess,
  });
  const remove = useMutation({ mutationFn: () => removePerson(person.id), onSuccess });
  const fault = [change.error, remove.error].find((one) => one instanceof ApiError);
  return (
    <Dialog open onClose={onClose} labelledBy={id}>
      <form
        className="page stack"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate();
        }}
      >
        <h2 id={id}>{person.name}</h2>
        <Choice
          label="Club lead"
          value={isLead ? 'yes' : 'no'}
          options={[
            ['no', 'no'],
            ['yes', 'yes: every squad, people, settings'],
          ]}
          onValue={(value) => setLead(value === 'yes')}
        />
        {squads.map((squad) => (
          <Choice
            key={squad.id}
            label={squad.name}
            value={roles[squad.id] ?? 'none'}
            options={[
              ['none', 'not on its staff'],
              ['assistant', 'assistant'],
              ['coach', 'coach'],
            ]}
            onValue={(role) => setRoles((before) => ({ ...before, [squad.id]: role as RoleOrNone }))}
          />
        ))}
        {fault && (
          <p className="notice" role="alert">
            {fault.fields[0]?.message ?? fault.message}
          </p>
        )}
        <div className="acts-line">
          <Button type="submit" variant="contained" disabled={change.isPending}>
            Keep
          </Button>
          <Button onClick={onClose}>Cancel</Button>
          <Button variant="text" disabled={remove.isPending} onClick={() => (isRemoving ? remove.mutate() : setRemoving(true))}>
            {isRemoving ? `Yes, take ${person.name} off the staff` : 'Take off the staff'}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
