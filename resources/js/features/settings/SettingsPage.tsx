import { useQuery } from '@tanstack/react-query';
import { meQuery } from '../../shared/api/meQuery';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { PasswordSection } from './PasswordSection';
import { PeopleSection } from './PeopleSection';
import { SettingsForm } from './SettingsForm';
import { SignInsSection } from './SignInsSection';
import { SquadsSection } from './SquadsSection';
import { TrailSection } from './TrailSection';

/** What the squad, the club and the person signed in have chosen; each sees what is theirs to choose. */
export function SettingsPage() {
  const { squad } = useSquadId();
  const me = useQuery(meQuery);
  const isLead = me.data?.isLead ?? false;
  const maySquad = squad !== undefined && squad.role !== 'assistant';
  return (
    <>
      <div className="head">
        <h1>Settings</h1>
        <nav aria-label="On this page" className="acts">
          {maySquad && <a href="#squad">Squad</a>}
          {isLead && <a href="#club">Club</a>}
          {isLead && <a href="#people">People</a>}
          {isLead && <a href="#trail">Who did what</a>}
          <a href="#you">You</a>
        </nav>
      </div>
      <div className="page settings" style={{ paddingTop: 0 }}>
        {maySquad && (
          <section id="squad">
            <h2>{squad.name}</h2>
            <SettingsForm key={squad.id} path={`/squads/${squad.id}/settings`} />
          </section>
        )}
        {isLead && (
          <section id="club">
            <h2>The club</h2>
            <SettingsForm path="/club/settings" />
            <SquadsSection />
          </section>
        )}
        {isLead && (
          <section id="people">
            <h2>People</h2>
            <PeopleSection />
          </section>
        )}
        {isLead && (
          <section id="trail">
            <h2>Who did what</h2>
            <TrailSection />
          </section>
        )}
        <section id="you" className="stack">
          <h2>You</h2>
          <SignInsSection />
          <PasswordSection />
        </section>
      </div>
    </>
  );
}
