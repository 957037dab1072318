import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import '../../shared/theme/season.css';
import { faultsOf } from '../../shared/api/faults';
import { homeQueries, keepSquadRoutines, openHomeLinks } from '../../shared/api/homeQueries';
import type { HomeSquad } from '../../shared/api/homeSchemas';
import { isOf } from '../../shared/api/keys';
import { mark, many, shortDay } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { Choice } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { Waiting } from './Waiting';
import { wishChoices } from './wishes';

/** Practice at home of a whole squad: weeks, pages, sheets, who practised, and what waits for the coach's word. */
export function HomeSquadPage() {
  const { squadId, squad } = useSquadId();
  const home = useQuery(homeQueries.squad(squadId));
  const [isMaking, setMaking] = useState(false);
  const queryClient = useQueryClient();
  const open = useMutation({
    mutationFn: () => openHomeLinks(squadId),
    onSuccess: () => queryClient.invalidateQueries({ predicate: isOf('squad', 'player') }),
  });
  if (home.isPending) return <Loading what="practice at home" />;
  if (home.isError)
    return (
      <div className="page">
        <Failed fault={home.error} onRetry={() => void home.refetch()} />
      </div>
    );
  const { data } = home;
  const mayPlan = squad !== undefined && squad.role !== 'assistant';
  const kept = data.players.filter((one) => one.kept).length;
  const ending = data.players.filter((one) => one.link?.endsSoon).map((one) => one.name);
  return (
    <>
      <div className="head">
        <h1>At home</h1>
        <p className="quiet">
          {many(kept, 'player')} of {data.players.length} with a week, {data.players.filter((one) => one.link).length} with an open page.
        </p>
        <div className="acts">
          <Link className="button text" to="/squad">
            Back to the squad
          </Link>
          {mayPlan && (
            <>
              <LinkButton to="/squad/home/sheets" disabled={kept === 0}>
                Print sheets
              </LinkButton>
              <LinkButton to="/squad/home/type" disabled={kept === 0}>
                Type in sheets
              </LinkButton>
              <Button onClick={() => open.mutate()} disabled={open.isPending || data.players.length === 0}>
                Open pages
              </Button>
              <Button variant="contained" onClick={() => setMaking(!isMaking)} aria-expanded={isMaking} disabled={data.players.length === 0}>
                A week for everybody
              </Button>
            </>
          )}
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        {open.isError && (
          <p className="notice" role="alert">
            {open.error.message}
          </p>
        )}
        {ending.length > 0 && (
          <p className="warn">
            Soon to run out: the {ending.length === 1 ? 'page' : 'pages'} of {ending.join(', ')}. Open pages again: links and codes stay as they are.
          </p>
        )}
        {isMaking && <MakeWeeks squadId={squadId} onMade={() => setMaking(false)} />}
        {data.players.length === 0 && <p>No players yet. Add them in the squad; a first name is enough.</p>}
        {mayPlan && <Waiting squadId={squadId} home={data} />}
        {data.players.length > 0 && <Players home={data} />}
      </div>
    </>
  );
}

/** One press for all: each gets their own by what they need; the place is the same for all, unless theirs was kept. */
function MakeWeeks({ squadId, onMade }: { squadId: number; onMade: () => void }) {
  const [wishes, setWishes] = useState<Record<string, string>>({});
  const queryClient = useQueryClient();
  const make = useMutation({
    mutationFn: () => keepSquadRoutines(squadId, Object.fromEntries(Object.entries(wishes).map(([name, value]) => [name, numberOr(name, value)]))),
    onSuccess: async () => {
      await queryClient.invalidateQueries({ predicate: isOf('squad', 'player') });
      onMade();
    },
  });
  const faults = faultsOf(make.error);
  return (
    <form
      className="stack"
      aria-label="A week for everybody"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate();
      }}
    >
      <div className="fields wide-labels">
        {wishChoices.map(({ name, label, options }) => (
          <Choice
            key={name}
            label={label}
            value={wishes[name] ?? ''}
            options={[['', 'as kept for each'], ...options]}
            fault={faults.at(name)}
            onValue={(value) =>
              setWishes((before) => (value === '' ? Object.fromEntries(Object.entries(before).filter(([one]) => one !== name)) : { ...before, [name]: value }))
            }
          />
        ))}
      </div>
      {faults.form && (
        <p className="notice" role="alert">
          {faults.form}
        </p>
      )}
      <div className="acts-line">
        <Button type="submit" variant="contained" disabled={make.isPending}>
          Make and keep the weeks
        </Button>
        <span className="quiet">Each by their own rung, other foot and numbers to beat. What stood before is replaced; most of its drills stay.</span>
      </div>
    </form>
  );
}

const numberOr = (name: string, value: string): string | number => (name === 'minutes' || name === 'days' ? Number(value) : value);

function Players({ home }: { home: HomeSquad }) {
  return (
    <section className="tight">
      <h2>Who practises</h2>
      <ul className="rows">
        {home.players.map((player) => (
          <li key={player.id} className="home-player">
            <p>
              <Link to={`/player/${player.id}/home`}>
                <strong>{player.name}</strong>
              </Link>
            </p>
            <p className="quiet">
              {player.kept
                ? `From ${shortDay(player.kept.on)}, ${many(player.kept.days, 'day')} of ${mark(player.kept.minutes, 0.1)} min: ${player.kept.drills.join(', ')}`
                : 'No week yet.'}
            </p>
            <p className="quiet">
              {player.link
                ? `Page open until ${shortDay(player.link.until)}${player.link.seenOn ? `, seen ${shortDay(player.link.seenOn)}` : ', not seen yet'}`
                : ''}
            </p>
            {(player.kept !== null || player.practised.length > 0) && (
              <DaysBand practised={player.practised} today={home.today} inARow={player.streak.days} name={player.name} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const daysShown = 28;
const step = 7;

/** Four weeks as a band of stitches, one for each day with something practised. */
function DaysBand({ practised, today, inARow, name }: { practised: string[]; today: string; inARow: number; name: string }) {
  const last = Date.parse(today);
  const days = new Set(practised.map((on) => daysShown - 1 - Math.round((last - Date.parse(on)) / 86_400_000)));
  const words = `${many(practised.length, 'day')} in four weeks${inARow > 1 ? `, ${inARow} that hang together` : ''}`;
  return (
    <div className="days-band">
      <svg width={daysShown * step} height={22} viewBox={`0 0 ${daysShown * step} 22`} role="img" aria-label={`${name}: ${words}`}>
        <line x1={0} x2={daysShown * step} y1={18} y2={18} stroke="var(--quiet)" strokeDasharray="1 3" />
        {[0, 7, 14, 21].map((at) => (
          <line key={at} x1={at * step} x2={at * step} y1={15} y2={21} stroke="var(--quiet)" />
        ))}
        {[...days].map((at) => (
          <path key={at} d={`M${at * step + 1} 17l4 -14h3l-4 14z`} fill="var(--ink)" />
        ))}
      </svg>
      <span className="quiet">{words}</span>
    </div>
  );
}
