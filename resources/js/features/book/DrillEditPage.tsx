import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { DrillForm } from './DrillForm';

/** A drill copied, or one's own changed, with what it comes to beside it. */
export function DrillEditPage() {
  const { slug = '', act } = useParams();
  const { squad, squadId } = useSquadId();
  const page = useQuery({ ...bookQueries.drill(squadId, slug), staleTime: Infinity });
  const choices = useQuery(bookQueries.choices);
  const failed = [page, choices].find((one) => one.isError);
  if (failed)
    return (
      <div className="page">
        <Failed fault={failed.error} onRetry={() => void Promise.all([page.refetch(), choices.refetch()])} />
      </div>
    );
  if (!page.data || !choices.data) return <Loading what="the drill" />;
  const isChange = act === 'change';
  if (squad?.role === 'assistant' || (isChange && page.data.own?.mayChange !== true))
    return (
      <div className="page stack">
        <h1>{page.data.drill.name}</h1>
        <p>
          {squad?.role === 'assistant'
            ? 'Only the squad’s coach or the club lead can do this.'
            : 'This drill is not your squad’s own, so it is copied, not changed.'}{' '}
          <Link to={`/book/drills/${slug}`}>Back to the drill</Link>
        </p>
      </div>
    );
  return <DrillForm key={`${squadId} ${slug} ${act ?? ''}`} page={page.data} choices={choices.data} isChange={isChange} />;
}
