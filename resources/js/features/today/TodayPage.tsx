import { AnchorButton } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { takeAlong } from '../../shared/api/client';
import { squadQueries } from '../../shared/api/queries';
import type { Today } from '../../shared/api/schemas';
import { clock, clockTime, day, familyWords, mark, shortDay, sideWords } from '../../shared/lib/format';
import { whenIdle } from '../../shared/lib/idle';
import { recapWords } from '../../shared/lib/recap';
import { Ribbon } from '../../shared/ui/Ribbon';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { UprightRibbon } from '../../shared/ui/UprightRibbon';
import { useIsNarrow } from '../../shared/ui/useIsNarrow';
import { FirstEvening } from './FirstEvening';
import { NewSession } from './NewSession';
import { OnThisDevice } from './OnThisDevice';
import { keys } from '../../shared/api/keys';

export function TodayPage() {
  const { squadId, squad } = useSquadId();
  const queryClient = useQueryClient();
  const today = useQuery(squadQueries.today(squadId));
  const ahead = today.data ? [today.data.next?.id, ...today.data.upcoming.map((one) => one.id)] : [];
  const next = [...new Set(ahead.filter((id) => id !== undefined))].slice(0, 2).join();
  useQuery({
    queryKey: keys.takeAlong(next),
    queryFn: async () => {
      await whenIdle();
      const isTaken = await takeAlong(next.split(',').map(Number));
      void queryClient.invalidateQueries({ queryKey: keys.ready });
      return isTaken;
    },
    enabled: next !== '',
    // On a first visit nothing keeps answers yet, and at a pitch the network comes and goes.
    retry: true,
    retryDelay: (tries) => Math.min(60_000, 1_000 * 2 ** tries),
    staleTime: 600_000,
  });
  if (today.isPending) return <Loading what="today" />;
  if (today.isError)
    return (
      <div className="page">
        <Failed fault={today.error} onRetry={() => void today.refetch()} />
      </div>
    );
  const { data } = today;
  return (
    <>
      {data.next ? <NextSession next={data.next} today={data.today} /> : <NothingAhead />}
      {!data.next && squad && squad.role !== 'assistant' && <FirstEvening />}
      <div className="page two">
        <div className="stack">{data.next && <RunningOrder next={data.next} />}</div>
        <div className="stack">
          {data.next && <OnThisDevice sessionId={data.next.id} />}
          {data.next && <Who next={data.next} />}
          {data.next && <ToRemind data={data} next={data.next} />}
          {data.next?.lastRecap && <LastRecap last={data.next.lastRecap} />}
          {data.last && <Stale stale={data.stale} />}
          {data.last && <LastTime last={data.last} />}
          {data.fromHome > 0 && (
            <p>
              <Link to="/squad/home">{data.fromHome} from home wait for a coach&rsquo;s word</Link>
            </p>
          )}
          <section className="tight">
            <h2>Sessions ahead{data.seasonWeek === null ? '' : `, week ${data.seasonWeek} of the season`}</h2>
            <ul className="rows">
              {data.upcoming.map((one) => (
                <li key={one.id} className="spread">
                  <Link to={`/plan/${one.id}`}>{one.title}</Link>
                  <span className="quiet">
                    {weekWords[one.week]} {day(one.startsAt)}
                  </span>
                </li>
              ))}
            </ul>
            {squad && squad.role !== 'assistant' && <NewSession today={data.today} />}
          </section>
        </div>
      </div>
    </>
  );
}

const weekWords = { this: 'this week,', next: 'next week,', later: '' };

type NextUp = NonNullable<Today['next']>;

function NextSession({ next, today }: { next: NextUp; today: string }) {
  const isToday = next.startsAt.slice(0, 10) === today;
  const titles = titlesOf(next);
  const isNarrow = useIsNarrow();
  return (
    <>
      <div className="head">
        <h1>{next.title}</h1>
        <p className="quiet">
          {isToday ? 'Today' : day(next.startsAt)} {next.startsAt.slice(11)} to {clockTime(next.startsAt, next.slotMinutes * 60)} · {next.place}
        </p>
        <div className="acts">
          <LinkButton to={`/plan/${next.id}`}>Plan</LinkButton>
          <AnchorButton href={`/run/${next.id}`} variant="contained">
            Run
          </AnchorButton>
        </div>
      </div>
      {next.evaluation && !isNarrow && (
        <div className="ribbon">
          <Ribbon evaluation={next.evaluation} titles={titles} startsAt={next.startsAt} slotMinutes={next.slotMinutes} />
        </div>
      )}
      {next.problem && (
        <div className="page">
          <p className="notice">{next.problem}</p>
        </div>
      )}
    </>
  );
}

const titlesOf = (next: NextUp) => Object.fromEntries(next.blocks.map((block) => [block.id, block.title]));

function RunningOrder({ next }: { next: NextUp }) {
  const { evaluation } = next;
  const isNarrow = useIsNarrow();
  if (isNarrow && evaluation && evaluation.blocks.length > 0)
    return (
      <section className="tight">
        <h2>Running order</h2>
        <UprightRibbon evaluation={evaluation} titles={titlesOf(next)} startsAt={next.startsAt} slotMinutes={next.slotMinutes} />
        <TouchesOf evaluation={evaluation} />
      </section>
    );
  return (
    <section className="tight">
      <h2>Running order</h2>
      <ul className="rows">
        {next.blocks.map((block) => {
          const worked = evaluation?.blocks.find((one) => one.id === block.id);
          return (
            <li key={block.id} className="spread">
              <span>
                <span className="num">{worked ? clockTime(next.startsAt, worked.startSeconds) : ''}</span>&ensp;{block.title}
              </span>
              <span className="num">{worked ? clock(worked.meanSeconds) : ''}</span>
            </li>
          );
        })}
      </ul>
      {next.blocks.length === 0 && (
        <p>
          Nothing planned yet. <Link to={`/plan/${next.id}`}>Plan it</Link>
        </p>
      )}
      {evaluation && evaluation.blocks.length > 0 && (
        <p>
          Done by <span className="num">{clockTime(next.startsAt, evaluation.fiveInTenSeconds)}</span> half the time,{' '}
          <span className="num">{clockTime(next.startsAt, evaluation.eightInTenSeconds)}</span> eight in ten.
        </p>
      )}
      {evaluation && evaluation.blocks.length > 0 && <TouchesOf evaluation={evaluation} />}
    </section>
  );
}

function TouchesOf({ evaluation: { touches } }: { evaluation: NonNullable<NextUp['evaluation']> }) {
  return (
    <p>
      Touches a player: <span className="left">left</span> <span className="num left">{touches.left}</span>, <span className="right">right</span>{' '}
      <span className="num right">{touches.right}</span>.
    </p>
  );
}

/** What was said to those who come and is not fixed; it stands beside their names in the run. */
function ToRemind({ data, next }: { data: Today; next: NextUp }) {
  const coming = next.players.filter((player) => next.comingPlayerIds.includes(player.id));
  const said = coming.flatMap((player) => data.reminders.filter(({ playerId }) => playerId === player.id).map((one) => ({ ...one, name: player.name })));
  const watched = coming.filter((player) => data.watchedIds.includes(player.id));
  if (said.length + watched.length === 0) return null;
  return (
    <section className="tight">
      <h2>To remind</h2>
      <ul className="rows">
        {said.map((one) => (
          <li key={one.playerId}>
            <Link to={`/player/${one.playerId}`}>{one.name}</Link> {one.words}{' '}
            <span className="quiet">{one.times > 1 ? `${one.times} times since ${shortDay(one.since)}` : shortDay(one.since)}</span>
          </li>
        ))}
        {watched.length > 0 && <li>You watch {watched.map((player) => player.name).join(', ')}. Only you see that.</li>}
      </ul>
    </section>
  );
}

function Who({ next }: { next: NextUp }) {
  const missing = next.players.filter((player) => !next.comingPlayerIds.includes(player.id));
  return (
    <section className="tight">
      <h2>
        {next.comingPlayerIds.length} of {next.players.length} coming
      </h2>
      <p>{missing.length === 0 ? 'Nobody is missing.' : `Missing: ${missing.map((player) => player.name).join(', ')}.`}</p>
    </section>
  );
}

function LastRecap({ last }: { last: NonNullable<NextUp['lastRecap']> }) {
  return (
    <section className="tight">
      <h2>What they said on {shortDay(last.on)}</h2>
      <p>{recapWords(last)}</p>
    </section>
  );
}

function Stale({ stale }: { stale: Today['stale'] }) {
  return (
    <section className="tight">
      <h2>Not met for a while</h2>
      {stale.length === 0 ? (
        <p>Every skill family the squad has worked on was met in the last three weeks.</p>
      ) : (
        <ul className="rows">
          {stale.map((one) => (
            <li key={one.family} className="spread">
              <span>{familyWords(one.family)}</span>
              <span className="quiet">
                {one.days} days, last on {shortDay(one.lastOn)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function LastTime({ last }: { last: NonNullable<Today['last']> }) {
  return (
    <section className="tight">
      <h2>Own records set on {shortDay(last.startsAt)}</h2>
      {last.records.length === 0 && <p>None. That is most evenings.</p>}
      <ul className="rows">
        {last.records.slice(0, 8).map((record) => (
          <li key={`${record.playerId}-${record.drillName}-${record.side}`} className="spread">
            <span>
              <Link to={`/player/${record.playerId}`}>{record.playerName}</Link>{' '}
              <span className="quiet">
                {record.drillName}, {sideWords(record.side)}
              </span>
            </span>
            <span>
              <span className="num">{mark(record.value, record.unit === 's' ? 0.1 : 1)}</span> {record.unit}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function NothingAhead() {
  return (
    <div className="head">
      <h1>No session ahead</h1>
      <p className="quiet">Add the next one and plan it.</p>
    </div>
  );
}
