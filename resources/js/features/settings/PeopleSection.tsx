import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { makeResetLink, peopleQuery, takeBackInvitation } from '../../shared/api/staffQueries';
import type { People, Person } from '../../shared/api/staffSchemas';
import { localTime } from '../../shared/lib/format';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { HandOver } from './HandOver';
import { InviteForm } from './InviteForm';
import { PersonDialog } from './PersonDialog';

/** The staff and its invitations; the lead hands links over, in person or by whatever they use. */
export function PeopleSection() {
  const people = useQuery(peopleQuery);
  const [edited, setEdited] = useState<Person | undefined>(undefined);
  if (people.isPending) return <Loading what="the staff" />;
  if (people.isError) return <Failed fault={people.error} onRetry={() => void people.refetch()} />;
  return (
    <div className="stack">
      <ul className="rows">
        {people.data.people.map((person) => (
          <PersonRow key={person.id} person={person} onEdit={() => setEdited(person)} />
        ))}
      </ul>
      <Invitations invitations={people.data.invitations} />
      <InviteForm />
      {edited && <PersonDialog person={edited} onClose={() => setEdited(undefined)} />}
    </div>
  );
}

function PersonRow({ person, onEdit }: { person: Person; onEdit: () => void }) {
  const { squads } = useSquadId();
  const link = useMutation({ mutationFn: () => makeResetLink(person.id) });
  const roles = person.roles.map(({ squadId, role }) => `${role} of ${squads.find((squad) => squad.id === squadId)?.name ?? 'a squad'}`);
  return (
    <li className="tight">
      <div className="spread">
        <span>
          <strong>{person.name}</strong> <span className="quiet">{person.email}</span>
          <br />
          {[...(person.isLead ? ['club lead'] : []), ...roles].join(', ') || 'no squad'}
        </span>
        <span className="acts-line">
          <button type="button" className="link" disabled={link.isPending} onClick={() => link.mutate()} aria-label={`Reset link for ${person.name}`}>
            Reset link
          </button>
          <button type="button" className="link" onClick={onEdit} aria-label={`Change ${person.name}`}>
            Change
          </button>
        </span>
      </div>
      {link.isError && (
        <p className="notice" role="alert">
          {link.error.message}
        </p>
      )}
      {link.data && <HandOver path={link.data.path} words={`${person.name} sets a new password with this link, until ${localTime(link.data.expiresAt)}.`} />}
    </li>
  );
}

function Invitations({ invitations }: { invitations: People['invitations'] }) {
  const queryClient = useQueryClient();
  const takeBack = useMutation({ mutationFn: takeBackInvitation, onSuccess: () => queryClient.invalidateQueries({ queryKey: peopleQuery.queryKey }) });
  if (invitations.length === 0) return null;
  return (
    <div className="tight">
      <h3>Invited, not here yet</h3>
      <ul className="rows">
        {invitations.map((one) => (
          <li key={one.id} className="spread">
            <span>
              {one.email}, {one.role}
              {one.squadName === null ? '' : ` of ${one.squadName}`}
              <br />
              <span className="quiet">until {localTime(one.expiresAt)}</span>
            </span>
            <button
              type="button"
              className="link"
              disabled={takeBack.isPending}
              onClick={() => takeBack.mutate(one.id)}
              aria-label={`Take back the invitation of ${one.email}`}
            >
              Take back
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
