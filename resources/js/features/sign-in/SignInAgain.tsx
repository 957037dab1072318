import { Dialog } from '../../shared/ui/Dialog';
import { useId } from 'react';
import type { Me } from '../../shared/api/schemas';
import { SignInFields } from './SignInFields';

/** Over the view that noticed: what was typed behind stays as it is. */
export function SignInAgain({ onSignedIn }: { onSignedIn: (me: Me) => void }) {
  const id = useId();
  return (
    <Dialog open labelledBy={id}>
      <div className="page stack">
        <h2 id={id}>Sign in again to go on</h2>
        <p>Your sign-in ran out. Nothing you typed is lost.</p>
        <SignInFields onSignedIn={onSignedIn} />
      </div>
    </Dialog>
  );
}
