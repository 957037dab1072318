import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useParams } from 'react-router';
import { resetPassword, resetQuery } from '../../shared/api/staffQueries';
import { Loading } from '../../shared/ui/States';
import { Door } from './Door';
import { PasswordForm } from './PasswordForm';

/** Behind a signed link: a new password, once. */
export function ResetPage() {
  const { account = '' } = useParams();
  const { search } = useLocation();
  const offer = useQuery(resetQuery(account, search));
  const [password, setPassword] = useState('');
  const reset = useMutation({ mutationFn: () => resetPassword(account, search, { password }) });
  if (offer.isPending) return <Loading what="the link" />;
  if (offer.isError)
    return (
      <Door>
        <h1>This link opens nothing</h1>
        <p>{offer.error.message}</p>
      </Door>
    );
  if (reset.isSuccess)
    return (
      <Door>
        <h1>The new password holds</h1>
        <p>Every device that was signed in is signed out.</p>
        <p>
          <a href="/today">Sign in</a>
        </p>
      </Door>
    );
  return (
    <Door>
      <div className="tight">
        <h1>A new password</h1>
        <p>
          For {offer.data.name}, {offer.data.email}.
        </p>
      </div>
      <PasswordForm
        label="New password"
        password={password}
        onPassword={setPassword}
        error={reset.error}
        isPending={reset.isPending}
        action="Set it"
        onSubmit={() => reset.mutate()}
      />
    </Door>
  );
}
