import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import type { SearchEntry } from '../../shared/api/bookSchemas';
import { searcher } from '../../shared/lib/search';
import { Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';

const MOST = 30;

const pathOf: Record<SearchEntry['kind'], (id: string) => string> = {
  move: (id) => `/book/${id}`,
  drill: (id) => `/book/drills/${id}`,
  ladder: () => '/book/ladders',
  player: (id) => `/player/${id}`,
};

/** One search for moves, drills, ladders and players, on what this device holds. */
export function FindPage() {
  const [params, setParams] = useSearchParams();
  const { squadId } = useSquadId();
  const asked = params.get('find') ?? '';
  const held = useQuery(bookQueries.searchIndex(squadId));
  const search = useMemo(() => searcher(held.data ?? []), [held.data]);
  const found = useMemo(() => search(asked), [search, asked]);
  return (
    <>
      <div className="head">
        <h1>Find</h1>
        <p className="quiet">Moves, drills, ladders and players, by whatever you call them.</p>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        <div className="narrow">
          <Field
            label="Find"
            type="search"
            value={asked}
            autoFocus
            maxLength={120}
            onValue={(text) => setParams(text === '' ? {} : { find: text }, { replace: true })}
          />
        </div>
        {held.isPending && <Loading what="the words" />}
        {held.isError && <Failed fault={held.error} onRetry={() => void held.refetch()} />}
        {held.data && asked.trim() !== '' && (
          <>
            <p className="quiet" role="status">
              {found.length === 0 ? `Nothing is called “${asked.trim()}” here. Try what the foot does, or a family, such as turning.` : `${found.length} found`}
            </p>
            <ol className="rows" aria-label="Found, best first">
              {found.slice(0, MOST).map((entry) => (
                <li key={`${entry.kind} ${entry.id}`} className="spread">
                  <Link to={pathOf[entry.kind](entry.id)}>{entry.name}</Link>
                  <span className="quiet">{entry.kind}</span>
                </li>
              ))}
            </ol>
            {found.length > MOST && <p className="quiet">One more word finds fewer.</p>}
          </>
        )}
      </div>
    </>
  );
}
