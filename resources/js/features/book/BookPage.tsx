import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import type { MoveSummary } from '../../shared/api/bookSchemas';
import { familyWords } from '../../shared/lib/format';
import { Field } from '../../shared/ui/Field';
import { Failed, Loading } from '../../shared/ui/States';
import { StitchLegend, StitchLine } from '../../shared/ui/Stitches';
import { BookNav } from './BookNav';
import { useNamed } from './useNamed';

/** The move dictionary: each move once, found by whatever a coach calls it. */
export function BookPage() {
  const [params, setParams] = useSearchParams();
  const asked = params.get('find') ?? '';
  const all = useQuery(bookQueries.moves);
  const { found, fault } = useNamed('move', all.data, asked);
  return (
    <>
      <div className="head">
        <h1>Book of moves</h1>
        <p className="quiet">Each move is written once, touch by touch. Clubs call them by many words; all of them find it.</p>
        <BookNav />
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        <div className="narrow">
          <Field
            label="Find a move: sole, turn, toe taps …"
            type="search"
            value={asked}
            maxLength={120}
            onValue={(text) => setParams(text === '' ? {} : { find: text }, { replace: true })}
          />
        </div>
        {all.isPending && <Loading what="the book" />}
        {all.isError && <Failed fault={all.error} onRetry={() => void all.refetch()} />}
        {fault && (
          <p className="warn" role="status">
            {fault}
          </p>
        )}
        {found && <Found moves={found} asked={asked.trim()} />}
      </div>
    </>
  );
}

function Found({ moves, asked }: { moves: MoveSummary[]; asked: string }) {
  if (moves.length === 0) return <p role="status">Nothing is called “{asked}” here. Try what the foot does: sole, inside, pull, roll, turn.</p>;
  const families = [...new Set(moves.map((move) => move.family))];
  return (
    <>
      <p className="quiet" role="status">
        {moves.length} {moves.length === 1 ? 'move' : 'moves'}
      </p>
      <StitchLegend />
      {families.map((family) => (
        <section key={family} className="tight">
          <h2>{familyWords(family)}</h2>
          <ul className="moves">
            {moves
              .filter((move) => move.family === family)
              .map((move) => (
                <li key={move.slug}>
                  <Link to={`/book/${move.slug}`}>{move.name}</Link>
                  <StitchLine contacts={move.contacts} label="" />
                  <span className="quiet">{move.words.join(', ')}</span>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </>
  );
}
