import { Link } from 'react-router';
import type { BoardCell, SquadBoard } from '../../shared/api/schemas';

/** Who is stuck on most of what was met, what nobody met for a while, and who just got better: names first, numbers behind. */
export function Noticed({ board }: { board: SquadBoard }) {
  const cellsOf = (id: number): BoardCell[] => Object.values(board.cells[id] ?? {});
  const most = (is: (cell: BoardCell) => boolean) =>
    board.players
      .map((player) => ({ player, count: cellsOf(player.id).filter(is).length, of: cellsOf(player.id).length }))
      .filter(({ count }) => count > 0)
      .sort((a, b) => b.count / b.of - a.count / a.of)
      .slice(0, 3);
  const stale = board.lines.filter(({ key }) => {
    const met = board.players.flatMap(({ id }) => board.cells[id]?.[key] ?? []);
    return met.length > 0 && met.every(({ isStale }) => isStale);
  });
  const groups: [string, ReturnType<typeof most>, string][] = [
    ['Stuck most', most(({ isStuck }) => isStuck), 'without a new best for three weeks'],
    ['Climbing most', most(({ trend }) => trend.endsWith('better')), 'better lately'],
  ];
  return (
    <ul className="noticed">
      {groups
        .filter(([, people]) => people.length > 0)
        .map(([title, people, words]) => (
          <li key={title}>
            <strong>{title}:</strong>{' '}
            {people.map(({ player, count, of }, i) => (
              <span key={player.id}>
                {i > 0 && ', '}
                <Link to={`/player/${player.id}`}>{player.name}</Link> <span className="quiet">{`${count} of ${of} lines${i === 0 ? ` ${words}` : ''}`}</span>
              </span>
            ))}
          </li>
        ))}
      {stale.length > 0 && (
        <li>
          <strong>Nobody met for three weeks:</strong> {[...new Set(stale.map(({ drillName }) => drillName))].join(', ')}
        </li>
      )}
    </ul>
  );
}
