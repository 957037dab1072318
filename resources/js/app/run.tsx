import { QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { RunPage } from '../features/run/RunPage';
import { readAhead } from '../features/run/useRun';
import { ApiError } from '../shared/api/client';
import { isOf } from '../shared/api/keys';
import { meQuery } from '../shared/api/meQuery';
import type { Me } from '../shared/api/schemas';
import { keepOpenable } from '../shared/lib/openable';
import { actFor, flushMarks } from '../shared/lib/outbox';
import { remember, rememberedAccount, useSending } from '../shared/lib/signedIn';
import { onSignedOut } from '../shared/lib/signedOut';
import { putOn } from '../shared/theme/putOn';
import { Failed, Loading } from '../shared/ui/States';
import { isDuskChosen, ThemeChoice } from '../shared/ui/ThemeChoice';
import { Broken } from './Broken';
import { draw } from './draw';
import { askForFonts } from './look';
import { queryClient } from './queryClient';

const SignInForm = lazy(async () => ({ default: (await import('../features/sign-in/SignInForm')).SignInForm }));
const SignInAgain = lazy(async () => ({ default: (await import('../features/sign-in/SignInAgain')).SignInAgain }));

const theme = { name: isDuskChosen() ? ('dusk' as const) : ('sun' as const), setDusk: () => {} };
const sessionId = Number(/^\/run\/(\d+)/.exec(location.pathname)?.[1]);

/**
 * A run, and nothing of the frame around the other views: it opens for whoever was signed in here last, from what this phone holds, and
 * asks for a sign-in only where it has nothing to show or the coach wants to send.
 */
function AtPitch() {
  const [account, setAccount] = useState(rememberedAccount);
  const [isExpired, setExpired] = useState(false);
  const client = useQueryClient();
  useEffect(() => onSignedOut(() => setExpired(true)), []);
  useSending(account);
  const welcome = (me: Me) => {
    remember(me.id);
    setAccount(me.id);
    setExpired(false);
    actFor(me.id);
    void client.invalidateQueries({ predicate: (query) => isOf('run')(query) && query.state.status === 'error' });
    void flushMarks();
  };
  if (account === undefined) return <Door onSignedIn={welcome} />;
  return (
    <>
      <div className="shell">
        <main>
          <RunPage sessionId={sessionId} />
        </main>
      </div>
      {isExpired && (
        <Suspense fallback={null}>
          <SignInAgain onSignedIn={welcome} />
        </Suspense>
      )}
    </>
  );
}

/** Where this device remembers nobody: who is signed in is asked, and if nobody is, asked to be. */
function Door({ onSignedIn }: { onSignedIn: (me: Me) => void }) {
  const me = useQuery(meQuery);
  useEffect(() => {
    if (me.data) onSignedIn(me.data);
  });
  if (me.error instanceof ApiError && me.error.kind === 'signed-out')
    return (
      <Suspense fallback={<Loading what="Fleet Sparrow" />}>
        <SignInForm onSignedIn={onSignedIn} />
      </Suspense>
    );
  if (me.isError)
    return (
      <main className="page">
        <Failed fault={me.error} onRetry={() => void me.refetch()} />
      </main>
    );
  return <Loading what="the run" />;
}

putOn(theme.name);
askForFonts();
void draw(
  <ThemeChoice value={theme}>
    <QueryClientProvider client={queryClient}>
      <ErrorBoundary FallbackComponent={Broken}>
        <AtPitch />
      </ErrorBoundary>
    </QueryClientProvider>
  </ThemeChoice>,
  rememberedAccount() === undefined ? Promise.resolve() : readAhead(queryClient, sessionId),
);
keepOpenable();
