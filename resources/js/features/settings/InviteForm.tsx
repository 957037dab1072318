import { Button } from '../../shared/ui/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { invite, peopleQuery } from '../../shared/api/staffQueries';
import { localTime } from '../../shared/lib/format';
import { Choice, Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { HandOver } from './HandOver';

type Role = 'lead' | 'coach' | 'assistant';

export function InviteForm() {
  const queryClient = useQueryClient();
  const { squads } = useSquadId();
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Role>('assistant');
  const [squadId, setSquadId] = useState(String(squads[0]?.id ?? ''));
  const make = useMutation({
    mutationFn: () => invite({ email, role, squadId: role === 'lead' || squadId === '' ? null : Number(squadId) }),
    onSuccess: () => {
      setEmail('');
      return queryClient.invalidateQueries({ queryKey: peopleQuery.queryKey });
    },
  });
  const { at, form: fault } = faultsOf(make.error);
  return (
    <form
      noValidate
      className="stack narrow"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate();
      }}
    >
      <h3>Invite somebody</h3>
      <Field label="Their e-mail" type="email" value={email} onValue={setEmail} fault={at('email') ?? fault} />
      <Choice
        label="As"
        value={role}
        options={[
          ['assistant', 'assistant: runs sessions, writes numbers'],
          ['coach', 'coach: plans as well'],
          ['lead', 'club lead: every squad, people, settings'],
        ]}
        onValue={(next) => setRole(next as Role)}
        fault={at('role')}
      />
      {role !== 'lead' && (
        <Choice label="Of" value={squadId} options={squads.map((squad) => [String(squad.id), squad.name])} onValue={setSquadId} fault={at('squadId')} />
      )}
      <div className="acts-line">
        <Button type="submit" disabled={make.isPending}>
          Make the link
        </Button>
      </div>
      {make.data && (
        <HandOver
          key={make.data.id}
          path={make.data.path}
          words={
            make.data.mailed
              ? `The link was mailed, and is good until ${localTime(make.data.expiresAt)}.`
              : `Hand this link over; it is good until ${localTime(make.data.expiresAt)}.`
          }
        />
      )}
    </form>
  );
}
