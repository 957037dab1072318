import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import '../../shared/theme/season.css';
import { playerQuery } from '../../shared/api/seasonQueries';
import type { News, PlayerLine, PlayerPage } from '../../shared/api/seasonSchemas';
import { day, lineWords, many, mark, shortDay, sideWords } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { Failed, Loading } from '../../shared/ui/States';
import { WeekBand } from '../../shared/ui/WeekBand';

/** So many numbers fit a page. */
const most = 10;

/** One page for a parent: kind and exact. No private note, nobody else's number, nothing that is only the coach's business. */
export function ReportPage() {
  const playerId = Number(useParams().playerId);
  const [asked] = useSearchParams();
  const endedId = asked.get('season') === null ? undefined : Number(asked.get('season'));
  const player = useQuery(playerQuery(playerId, endedId));
  if (player.isPending) return <Loading what="the page" />;
  if (player.isError)
    return (
      <div className="page">
        <Failed fault={player.error} onRetry={() => void player.refetch()} />
      </div>
    );
  return <Report data={player.data} />;
}

function Report({ data }: { data: PlayerPage }) {
  const { touches, season, story } = data;
  const of = (kind: News['kind']) => story.filter((one) => one.kind === kind);
  const lines = [...data.lines].sort((a, b) => b.days.length - a.days.length).slice(0, most);
  return (
    <article className="report">
      <div className="head">
        <h1>{data.name}</h1>
        <p className="quiet">
          {data.squadName}, {day(season.from)} to {day(season.until)}. Came to {data.attendance.came} of {many(data.attendance.of, 'session')}.
        </p>
        <div className="acts no-print">
          <Link className="button text" to={`/player/${data.id}`}>
            Back to {data.name}
          </Link>
          <Button variant="contained" onClick={() => window.print()}>
            Print
          </Button>
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        {touches.all.total > 0 && (
          <section className="tight">
            <h2>The ball, this season</h2>
            <p>
              About <span className="num">{touches.all.total.toLocaleString('en')}</span> touches in drills, {touches.ballMinutes} minutes with the ball; games
              are left out.
              {touches.all.rightPercent !== null && ` Where the foot is known, ${touches.all.rightPercent} in 100 were with the right.`}
            </p>
            <WeekBand weeks={touches.weeks} width={680} label="Touches week by week" />
            <p className="quiet">
              Week by week: above the line the right foot, below it the left. {touches.counted.total.toLocaleString('en')} were counted, the rest is estimated.
            </p>
          </section>
        )}
        <section className="tight">
          <h2>What got better</h2>
          {of('changed').length === 0 && <p>No clear change lately, which is how most weeks are. Numbers go up and down by themselves.</p>}
          <ul className="rows">
            {of('changed').map((one) => (
              <li key={one.about + one.says}>
                <strong>{one.about}</strong>: {one.says}
              </li>
            ))}
          </ul>
        </section>
        <section className="tight">
          <h2>Numbers of the season</h2>
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col">First</th>
                <th scope="col">Last</th>
                <th scope="col">Best ever</th>
                <th scope="col">Next to beat</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((one) => (
                <Row key={one.line.key} one={one} />
              ))}
            </tbody>
          </table>
        </section>
        <section className="tight">
          <h2>At home, if {data.name} likes</h2>
          <p>
            Ten or fifteen minutes with a ball, both feet, where nothing breaks and no car comes. Stop when something hurts. A missed day is only a missed day.
          </p>
        </section>
        <p className="quiet">
          Each child is compared with their own past and with nobody else. &ldquo;Better&rdquo; is only said where it is more than a number strays by itself.
        </p>
      </div>
    </article>
  );
}

function Row({ one: { line, days, record, target } }: { one: PlayerLine }) {
  const [first, last] = [days[0], days.at(-1)];
  return (
    <tr>
      <th scope="row">
        {line.drillName}, {sideWords(line.side)}
        <br />
        <span className="quiet">
          {lineWords(line)}
          {line.better === 'lower' && ', lower is better'}
        </span>
      </th>
      <td>{first ? <Dated value={first.best} step={line.step} on={first.on} /> : '–'}</td>
      <td>{last ? <Dated value={last.best} step={line.step} on={last.on} /> : '–'}</td>
      <td>{record ? <Dated value={record.value} step={line.step} on={record.on} /> : '–'}</td>
      <td className="num">{target ? mark(target.value, line.step) : '–'}</td>
    </tr>
  );
}

function Dated({ value, step, on }: { value: number; step: number; on: string }) {
  return (
    <>
      <span className="num">{mark(value, step)}</span> <span className="quiet">{shortDay(on)}</span>
    </>
  );
}
