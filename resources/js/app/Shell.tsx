import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, NavLink, Outlet, ScrollRestoration, useLocation } from 'react-router';
import { SignInForm } from '../features/sign-in/SignInForm';
import { SignInAgain } from '../features/sign-in/SignInAgain';
import { ApiError } from '../shared/api/client';
import { signOut } from '../shared/api/queries';
import { meQuery } from '../shared/api/meQuery';
import type { Me } from '../shared/api/schemas';
import { actFor, flushMarks, useOutbox } from '../shared/lib/outbox';
import { forgetAccount, remember, useSending } from '../shared/lib/signedIn';
import { note } from '../shared/lib/deviceNotes';
import { onSignedOut } from '../shared/lib/signedOut';
import { letNewIn } from '../shared/lib/openable';
import { HeldLine } from '../shared/ui/HeldLine';
import { Failed, Loading } from '../shared/ui/States';
import { SquadChoice, useSquadId } from '../shared/ui/SquadChoice';
import { StitchMark } from '../shared/ui/Stitches';
import { useThemeChoice } from '../shared/ui/ThemeChoice';
import { isOf } from '../shared/api/keys';

/** The frame of every view: who is signed in, which squad, and where to go. */
export function Shell() {
  const me = useQuery(meQuery);
  const queryClient = useQueryClient();
  const [isExpired, setExpired] = useState(false);
  const account = me.data?.id;

  useEffect(() => onSignedOut(() => setExpired(true)), []);
  useEffect(() => {
    if (account !== undefined) note('account', String(account));
  }, [account]);
  useSending(account);

  const welcome = (data: Me) => {
    remember(data.id);
    queryClient.setQueryData(meQuery.queryKey, data);
    setExpired(false);
    actFor(data.id);
    void queryClient.invalidateQueries({ predicate: (query) => !isOf('me')(query) && query.state.status === 'error' });
    void flushMarks();
  };

  if (me.isPending) return <Loading what="Fleet Sparrow" />;
  if (!me.data) {
    if (me.error instanceof ApiError && me.error.kind === 'signed-out') return <SignInForm onSignedIn={welcome} />;
    return (
      <main className="page">
        <Failed fault={me.error} onRetry={() => void me.refetch()} />
      </main>
    );
  }
  return (
    <>
      <Frame me={me.data} />
      {isExpired && <SignInAgain onSignedIn={welcome} />}
    </>
  );
}

function Frame({ me }: { me: Me }) {
  const { pathname } = useLocation();
  useEffect(() => letNewIn(pathname), [pathname]);
  const isSettings = pathname === '/settings';
  return (
    <SquadChoice squads={me.squads}>
      <div className="shell">
        <ScrollRestoration />
        <Bar me={me} />
        <main>{me.squads.length === 0 && !isSettings ? <NoSquad name={me.name} isLead={me.isLead} /> : <Outlet />}</main>
      </div>
    </SquadChoice>
  );
}

function Bar({ me }: { me: Me }) {
  const { squadId, choose } = useSquadId();
  const { name, setDusk } = useThemeChoice();
  const isDusk = name === 'dusk';
  const { unsent, ofOthers } = useOutbox();
  return (
    <header className="bar">
      <Link to="/today" className="mark">
        <StitchMark /> <span>Fleet Sparrow</span>
      </Link>
      <nav aria-label="Views">
        <NavLink to="/today">Today</NavLink>
        <NavLink to="/plan">Plan</NavLink>
        <NavLink to="/book">Book</NavLink>
        <NavLink to="/run">Run</NavLink>
        <NavLink to="/squad">Squad</NavLink>
        <NavLink to="/season">Season</NavLink>
        <NavLink to="/find">Find</NavLink>
      </nav>
      <div className="who">
        <HeldLine />
        {unsent > 0 && <Link to="/waiting">{unsent} saved here, not sent yet</Link>}
        {unsent === 0 && ofOthers > 0 && <Link to="/waiting">{ofOthers} of another account wait here</Link>}
        {me.squads.length > 1 ? (
          <select aria-label="Squad" value={squadId} onChange={(event) => choose(Number(event.target.value))}>
            {me.squads.map((squad) => (
              <option key={squad.id} value={squad.id}>
                {squad.name}
              </option>
            ))}
          </select>
        ) : (
          <span>{me.squads[0]?.name}</span>
        )}
        <NavLink to="/settings">Settings</NavLink>
        <button type="button" className="link" onClick={() => setDusk(!isDusk)}>
          {isDusk ? 'Paper' : 'Dusk'}
        </button>
        <SignOutButton unsent={unsent} />
      </div>
    </header>
  );
}

function SignOutButton({ unsent }: { unsent: number }) {
  const [isAsked, setAsked] = useState(false);
  const leave = async () => {
    if (unsent > 0 && !isAsked) {
      setAsked(true);
      return;
    }
    await signOut().catch(() => undefined);
    forgetAccount();
    window.location.assign('/');
  };
  return (
    <button type="button" className="link" onClick={() => void leave()}>
      {isAsked ? `Sign out with ${unsent} unsent?` : 'Sign out'}
    </button>
  );
}

function NoSquad({ name, isLead }: { name: string; isLead: boolean }) {
  return (
    <div className="page stack">
      <h1>No squad yet</h1>
      {isLead ? (
        <p>
          {name}, add the club's first squad under <Link to="/settings">Settings</Link>.
        </p>
      ) : (
        <p>{name}, you are not on the staff of a squad. Ask your club lead to add you.</p>
      )}
    </div>
  );
}
