import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { ApiError } from '../../shared/api/client';
import { faultsOf } from '../../shared/api/faults';
import { acceptInvitation, invitationQuery } from '../../shared/api/staffQueries';
import { betweenFlushes } from '../../shared/lib/outbox';
import { Field } from '../../shared/ui/Field';
import { Loading } from '../../shared/ui/States';
import { Door } from './Door';
import { PasswordForm } from './PasswordForm';

const roles = { lead: 'club lead', coach: 'coach', assistant: 'assistant' };

/** Behind an invitation's link: who offers what, a name, a password, and in. */
export function InvitationPage() {
  const { token = '' } = useParams();
  const offer = useQuery(invitationQuery(token));
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const accept = useMutation({
    mutationFn: (body: { name: string; password: string }) => betweenFlushes(() => acceptInvitation(token, body)),
    // A whole load, so that nothing of an earlier sign-in on this device is left in the page.
    onSuccess: () => window.location.assign('/today'),
  });
  if (offer.isPending) return <Loading what="the invitation" />;
  if (offer.isError)
    return (
      <Door>
        <h1>This link opens nothing</h1>
        <p>
          {offer.error instanceof ApiError && offer.error.kind === 'not-found'
            ? 'It has been used, taken back, or is older than a week. Ask your club lead for a new one.'
            : offer.error.message}
        </p>
      </Door>
    );
  const { data } = offer;
  return (
    <Door>
      <div className="tight">
        <h1>{data.clubName}</h1>
        <p>
          A place as {roles[data.role]}
          {data.squadName === null ? '' : ` of ${data.squadName}`}, for {data.email}.
        </p>
        {data.hasAccount && <p>You have an account at this club: its password takes the place.</p>}
      </div>
      <PasswordForm
        label={data.hasAccount ? 'Your password' : 'Choose a password'}
        autoComplete={data.hasAccount ? 'current-password' : 'new-password'}
        password={password}
        onPassword={setPassword}
        error={accept.error}
        isPending={accept.isPending}
        action="Take the place"
        onSubmit={() => accept.mutate({ name: data.hasAccount ? data.email : name, password })}
      >
        {!data.hasAccount && (
          <Field
            label="Your name, as the squad calls you"
            autoComplete="name"
            value={name}
            onValue={setName}
            fault={faultsOf(accept.error).at('name')}
            autoFocus
          />
        )}
      </PasswordForm>
    </Door>
  );
}
