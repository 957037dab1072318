import { Button } from '../../shared/ui/Button';
import { useInfiniteQuery } from '@tanstack/react-query';
import { trailPage } from '../../shared/api/staffQueries';
import { localTime } from '../../shared/lib/format';
import { keys } from '../../shared/api/keys';

/** Who did what in the club, newest first: for the club lead. */
export function TrailSection() {
  const trail = useInfiniteQuery({
    queryKey: keys.trail,
    queryFn: ({ pageParam, signal }) => trailPage(pageParam, signal),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => last.next ?? undefined,
  });
  const entries = trail.data?.pages.flatMap((page) => page.entries) ?? [];
  return (
    <div className="stack">
      <p className="quiet">Accounts, settings, sessions, and what was changed about players. Private notes are named and never quoted.</p>
      {trail.isError && <p className="notice">{trail.error.message}</p>}
      {trail.isSuccess && entries.length === 0 && <p>Nothing has been done yet.</p>}
      <ul className="rows" aria-label="Trail">
        {entries.map((entry, place) => (
          <li key={`${entry.at} ${place}`} className="spread">
            <span>
              <strong>{entry.about}</strong>
              {entry.squad && entry.squad !== entry.about && `, ${entry.squad}`}: {entry.by} {entry.what}
            </span>
            <span className="quiet">{localTime(entry.at)}</span>
          </li>
        ))}
      </ul>
      {trail.hasNextPage && (
        <div className="acts-line">
          <Button disabled={trail.isFetchingNextPage} onClick={() => void trail.fetchNextPage()}>
            What came before
          </Button>
        </div>
      )}
    </div>
  );
}
