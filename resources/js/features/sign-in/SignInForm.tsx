import type { Me } from '../../shared/api/schemas';
import { StitchLine } from '../../shared/ui/Stitches';
import { Forgotten } from './Forgotten';
import { SignInFields } from './SignInFields';

const hello = ['R', 'L', 'R', 'R', 'L', 'R', 'L', 'L', 'R', 'L', 'R', 'L'].map((foot) => ({ foot, surface: 'in' }));

/** The door: shown when nobody is signed in. */
export function SignInForm({ onSignedIn }: { onSignedIn: (me: Me) => void }) {
  return (
    <main className="signin">
      <div className="stack">
        <div className="tight">
          <h1>Fleet Sparrow</h1>
          <StitchLine contacts={hello} label="" />
          <p className="quiet">Plan the touches. Run the clock. Keep the numbers.</p>
        </div>
        <SignInFields onSignedIn={onSignedIn} />
        <Forgotten />
      </div>
    </main>
  );
}
