import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import '../../shared/theme/season.css';
import { playerQuery } from '../../shared/api/seasonQueries';
import type { PlayerPage as PlayerData } from '../../shared/api/seasonSchemas';
import { shortDay, sideWords } from '../../shared/lib/format';
import { SeasonChoice } from '../../shared/ui/SeasonChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { FootRatios } from './FootRatios';
import { Ladders } from './Ladders';
import { Lines } from './Lines';
import { StaffOnly } from './StaffOnly';
import { Story } from './Story';
import { TouchMap } from './TouchMap';

/** One player's season: what changed, what is stuck and what is next; the rest behind. */
export function PlayerPage() {
  const playerId = Number(useParams().playerId);
  const [asked, setAsked] = useSearchParams();
  const endedId = asked.get('season') === null ? undefined : Number(asked.get('season'));
  const player = useQuery(playerQuery(playerId, endedId));
  const { squads } = useSquadId();
  if (player.isPending) return <Loading what="the player" />;
  if (player.isError)
    return (
      <div className="page">
        <Failed fault={player.error} onRetry={() => void player.refetch()} />
      </div>
    );
  const { data } = player;
  const role = squads.find((one) => one.id === data.squadId)?.role;
  const mayRead = role === 'lead' || role === 'coach';
  return (
    <>
      <div className="head">
        <h1>{data.name}</h1>
        <p className="quiet">
          {data.squadName}
          {data.bib === null ? '' : `, bib ${data.bib}`}, {data.strongFoot === 'both' ? 'both feet alike' : `${sideWords(data.strongFoot)} stronger`}
          {data.birthYear === null ? '' : `, born ${data.birthYear}`}. Came to {data.attendance.came} of {data.attendance.of} sessions.
        </p>
        <div className="acts">
          <SeasonChoice
            ended={data.endedSeasons}
            endedId={endedId}
            onChoose={(id) => setAsked(id === undefined ? {} : { season: String(id) }, { replace: true })}
          />
          {endedId === undefined && (
            <Link className="button" to={`/player/${data.id}/home`}>
              A week at home
            </Link>
          )}
          <Link className="button" to={`/player/${data.id}/report${endedId === undefined ? '' : `?season=${endedId}`}`}>
            Print for parents
          </Link>
        </div>
      </div>
      <div className="page season-three" style={{ paddingTop: 0 }}>
        <Story story={data.story} playerId={data.id} />
        <div className="stack">
          <TouchMap touches={data.touches} name={data.name} />
          <FootRatios feet={data.feet} strongFoot={data.strongFoot} />
        </div>
        <div className="stack">
          <Ladders ladders={data.ladders} playerId={data.id} mayMove={mayRead && endedId === undefined} />
          <Said reminders={data.reminders} isWatched={data.isWatched} />
          <Looked looks={data.looks} />
          {mayRead && <StaffOnly playerId={data.id} name={data.name} />}
        </div>
      </div>
      <div className="page" style={{ paddingTop: 0 }}>
        <Lines lines={data.lines} playerId={data.id} />
      </div>
    </>
  );
}

/** What was said in the runs, open ones first; whom one watches nobody else is shown. */
function Said({ reminders, isWatched }: Pick<PlayerData, 'reminders' | 'isWatched'>) {
  if (reminders.length === 0 && !isWatched) return null;
  return (
    <section className="tight">
      <h2>Said at the pitch</h2>
      {isWatched && <p>You watch this one. Only you see that; &ldquo;Watch&rdquo; in a run ends it.</p>}
      <ul className="rows">
        {reminders.map((one) => (
          <li key={one.words} className="spread">
            <span>
              {one.fixedOn ? 'Fixed: ' : <strong>Open: </strong>}
              {one.words}
              <br />
              <span className="quiet">
                {one.times > 1 ? `said ${one.times} times, first ${shortDay(one.since)}` : `said ${shortDay(one.since)}`}
                {one.fixedOn && `, fixed ${shortDay(one.fixedOn)}`}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Balls judged one by one: how heavy the first touches were, and how good the passes. */
function Looked({ looks }: Pick<PlayerData, 'looks'>) {
  if (looks.length === 0) return null;
  return (
    <section className="tight">
      <h2>Looked at closely</h2>
      <ul className="rows">
        {looks.slice(0, 6).map(({ drillSlug, drillName, on, touches, passes }) => (
          <li key={`${on} ${drillSlug}`}>
            {drillName} <span className="quiet">{shortDay(on)}</span>
            {touches.short + touches.right + touches.away > 0 && (
              <>
                <br />
                First touches: <span className="num">{touches.right}</span> right, <span className="num">{touches.short}</span> too short,{' '}
                <span className="num">{touches.away}</span> ran away
                {touches.far + touches.near > 0 && (
                  <>
                    ; far foot <span className="num">{touches.far}</span> of {touches.far + touches.near} seen
                  </>
                )}
              </>
            )}
            {passes.looked > 0 && (
              <>
                <br />
                Of {passes.looked} passes <span className="num">{passes.accurate}</span> accurate, <span className="num">{passes.pace}</span> at the right pace,{' '}
                <span className="num">{passes.clean}</span> clean, <span className="num">{passes.all}</span> all three
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
