import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import type { Ladder } from '../../shared/api/bookSchemas';
import { squadQueries } from '../../shared/api/queries';
import { familyWords } from '../../shared/lib/format';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { StitchLine } from '../../shared/ui/Stitches';
import { BookNav } from './BookNav';
import { EntryTest } from './EntryTest';
import { MoveTree } from './MoveTree';

/** Progressions with everybody's place on them, and what each move needs first. */
export function LaddersPage() {
  const { squadId, squad } = useSquadId();
  const ladders = useQuery(bookQueries.ladders(squadId));
  const board = useQuery(squadQueries.board(squadId));
  const failed = [ladders, board].find((one) => one.isError);
  const names = new Map(board.data?.players.map(({ id, name }) => [id, name]));
  return (
    <>
      <div className="head">
        <h1>Ladders</h1>
        <p className="quiet">A rung is passed when both feet reach it in two of the last three sessions. You decide; this is advice with its reason.</p>
        <BookNav />
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        {failed?.error && <Failed fault={failed.error} onRetry={() => void Promise.all([ladders.refetch(), board.refetch()])} />}
        {(ladders.isPending || board.isPending) && !failed && <Loading what="the ladders" />}
        {ladders.data && board.data && (
          <>
            <div className="ladders">
              {ladders.data.ladders
                .toSorted((a, b) => begunOn(b) - begunOn(a))
                .map((ladder) => (
                  <LadderView key={ladder.slug} ladder={ladder} names={names} testFor={squad && squad.role !== 'assistant' ? squadId : undefined} />
                ))}
            </div>
            <MoveTree tree={ladders.data.tree} />
          </>
        )}
      </div>
    </>
  );
}

/** Ladders somebody stands on come first. */
const begunOn = (ladder: Ladder): number => (ladder.places.some((place) => place.advice !== 'begin') ? 1 : 0);

const adviceWords = { stay: '', up: 'new here', back: 'one lower for now', done: '' };

interface LadderViewProps {
  ladder: Ladder;
  names: Map<number, string>;
  /** The squad for which an entry test may be made. */
  testFor: number | undefined;
}

function LadderView({ ladder, names, testFor }: LadderViewProps) {
  const at = (rung: number | null, advice?: string) =>
    ladder.places.filter((place) => place.rung === rung && (advice === undefined || place.advice === advice));
  const people = (places: Ladder['places']) => (
    <>
      {(['stay', 'up', 'back', 'done'] as const)
        .map((advice) => ({ advice, some: places.filter((place) => place.advice === advice) }))
        .filter(({ some }) => some.length > 0)
        .map(({ advice, some }) => (
          <div key={advice} className="here">
            {adviceWords[advice] && <span className="quiet">{adviceWords[advice]}:</span>}
            {some.map((place) => (
              <details key={place.playerId} className="why">
                <summary>{names.get(place.playerId) ?? 'Somebody'}</summary>
                <span className="quiet">{place.why}</span>
              </details>
            ))}
          </div>
        ))}
    </>
  );
  const done = at(null, 'done');
  const begun = ladder.places.length - at(null, 'begin').length;
  return (
    <section className="tight">
      <h2>{ladder.name}</h2>
      <p className="quiet">{familyWords(ladder.family)}. The easiest rung stands lowest.</p>
      <ol className="ladder" reversed>
        {done.length > 0 && (
          <li className="top">
            <span className="quiet">Above the top</span>
            <div>{people(done)}</div>
          </li>
        )}
        {ladder.rungs
          .map((rung, i) => ({ rung, here: at(i) }))
          .reverse()
          .map(({ rung, here }) => (
            <li key={rung.drill}>
              <span>
                <Link to={`/book/drills/${rung.drill}`}>{rung.name}</Link>
                <br />
                <span className="quiet">
                  {rung.criterion}
                  {rung.harderBy.length > 0 && `; ${rung.harderBy.join(', ')}`}
                </span>
              </span>
              <StitchLine contacts={rung.contacts.slice(0, 4)} label="" scale={0.8} />
              <div className="places">{here.length > 0 ? people(here) : <span className="quiet">nobody</span>}</div>
            </li>
          ))}
      </ol>
      {begun < ladder.places.length && (
        <p className="quiet">
          {begun === 0 ? 'Nobody has begun: one short try of a rung places a player.' : `${ladder.places.length - begun} not begun: one short try places them.`}
        </p>
      )}
      {testFor !== undefined && begun < ladder.places.length && <EntryTest ladder={ladder} squadId={testFor} />}
    </section>
  );
}
