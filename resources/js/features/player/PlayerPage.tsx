import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { playerQuery } from '../../shared/api/queries';
import type { PlayerPage as PlayerData } from '../../shared/api/schemas';
import { familyWords, lineWords, mark, shortDay, sideWords } from '../../shared/lib/format';
import { Failed, Loading } from '../../shared/ui/States';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { LineChart } from './LineChart';
import { StaffOnly } from './StaffOnly';

export function PlayerPage() {
  const playerId = Number(useParams().playerId);
  const player = useQuery(playerQuery(playerId));
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
          {data.birthYear === null ? '' : `, born ${data.birthYear}`}
        </p>
      </div>
      <div className="page two" style={{ paddingTop: 0 }}>
        <section>
          <h2>Marks, session by session</h2>
          {data.lines.length === 0 && <p>No number yet. The first one is written down in a run.</p>}
          <ul className="lines">
            {data.lines.map((one) => (
              <Line key={one.line.key} one={one} playerId={data.id} />
            ))}
          </ul>
        </section>
        <div className="stack">
          <NextTargets lines={data.lines} />
          <Said reminders={data.reminders} isWatched={data.isWatched} />
          <Looked looks={data.looks} />
          {mayRead && <StaffOnly playerId={data.id} name={data.name} />}
        </div>
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

type PlayerLine = PlayerData['lines'][number];

function Line({ one, playerId }: { one: PlayerLine; playerId: number }) {
  const { line, record, target, days, openTries } = one;
  return (
    <li>
      <div className="tight">
        <p>
          <strong>{line.drillName}</strong>{' '}
          <span className="quiet">
            {sideWords(line.side)}, {lineWords(line)}
          </span>
        </p>
        <LineChart
          days={days}
          side={line.side}
          better={line.better}
          step={line.step}
          target={target?.value}
          label={`${line.drillName}, ${sideWords(line.side)}`}
        />
      </div>
      <div className="tight">
        {record && (
          <p>
            <span className="num">{mark(record.value, line.step)}</span> record, {shortDay(record.on)}
          </p>
        )}
        <p className="quiet">
          {days.length} {days.length === 1 ? 'session' : 'sessions'}
          {line.better === 'lower' ? ', lower is better' : ''}
        </p>
        {openTries > 0 && <p className="warn">{openTries === 1 ? 'One try was seen otherwise.' : `${openTries} tries were seen otherwise.`}</p>}
        <Link to={`/player/${playerId}/line/${line.key}`} aria-label={`Every try: ${line.drillName}, ${sideWords(line.side)} ${line.window}`}>
          How do you know?
        </Link>
      </div>
    </li>
  );
}

function NextTargets({ lines }: { lines: PlayerLine[] }) {
  const due = lines.filter((one) => one.target !== null);
  return (
    <section className="tight">
      <h2>Next numbers to beat</h2>
      {due.length === 0 && <p>Set a first number, and the next one stands here.</p>}
      <ul className="rows">
        {due.map(({ line, target }) => (
          <li key={line.key} className="spread">
            <span>
              {line.drillName}, {sideWords(line.side)}
              <br />
              <span className="quiet">
                {line.window} · {target?.because}
                {target?.chance != null && `, about ${Math.round(target.chance * 10)} times in 10`}
                {target?.harder && <> · {target.harder}</>}
              </span>
            </span>
            <span className="num" style={{ fontSize: '1.7rem' }}>
              {target && mark(target.value, line.step)}
            </span>
          </li>
        ))}
      </ul>
      <p className="quiet">
        {[...new Set(lines.map((one) => familyWords(one.line.family)))].join(', ') || 'No family'} measured so far. <Link to="/squad">The whole squad</Link>
      </p>
    </section>
  );
}
