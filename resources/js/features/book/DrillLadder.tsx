import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import { useSquadId } from '../../shared/ui/SquadChoice';

/** What is easier and harder than this drill, on every ladder it stands on; nothing for one that stands on none. */
export function DrillLadder({ slug }: { slug: string }) {
  const { squadId } = useSquadId();
  const ladders = useQuery(bookQueries.ladders(squadId));
  const on = (ladders.data?.ladders ?? []).flatMap((ladder) => {
    const at = ladder.rungs.findIndex((rung) => rung.drill === slug);
    return at < 0 ? [] : [{ ladder, easier: ladder.rungs[at - 1], rung: ladder.rungs[at], harder: ladder.rungs[at + 1] }];
  });
  return on.map(({ ladder, easier, rung, harder }) => (
    <section key={ladder.slug} className="tight no-print">
      <h2>On a ladder: {ladder.name}</h2>
      {easier && (
        <p>
          Easier: <Link to={`/book/drills/${easier.drill}`}>{easier.name}</Link>
        </p>
      )}
      {harder && (
        <p>
          Harder ({harder.harderBy.join(', ')}): <Link to={`/book/drills/${harder.drill}`}>{harder.name}</Link>
        </p>
      )}
      <p className="quiet">
        Passed at {rung?.criterion}. <Link to="/book/ladders">Who stands where</Link>
      </p>
    </section>
  ));
}
