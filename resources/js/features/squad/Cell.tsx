import { Link } from 'react-router';
import type { BoardCell, SquadBoard } from '../../shared/api/schemas';
import { mark, shortDay } from '../../shared/lib/format';

interface CellProps {
  cell: BoardCell | undefined;
  line: SquadBoard['lines'][number];
  player: { id: number; name: string };
}

const climbs: Record<string, number> = { better: -1, 'clearly-better': -1, 'no-clear-change': 0, worse: 1, 'clearly-worse': 1 };

/** The last number, and a stroke that says how it stands against the player's own past. */
export function Cell({ cell, line, player }: CellProps) {
  if (!cell) return <span className="quiet">–</span>;
  const said = [
    cell.words,
    cell.isStuck && cell.record && `no new best since ${shortDay(cell.record.on)}`,
    cell.isStale && `not met since ${shortDay(cell.on)}`,
    cell.isFresh && 'a new best',
  ].filter(Boolean);
  const climb = climbs[cell.trend];
  return (
    <>
      <Link
        className={`board-cell${cell.isStale ? ' quiet' : ''}`}
        to={`/player/${player.id}/line/${line.key}`}
        title={`${said.join(', ')}${cell.record ? `. Record ${mark(cell.record.value, line.step)}` : ''}`}
      >
        <span className={cell.isFresh ? 'num fresh' : 'num'}>{mark(cell.best, line.step)}</span>
        <span className="sr"> {said.join(', ')}</span>
        <svg width={22} height={14} viewBox="0 0 22 14" aria-hidden>
          {climb !== undefined && !(cell.isStuck && climb === 0) && (
            <path d={`M1 ${7 - 5 * climb}L11 ${7 + 5 * climb}`} stroke="currentColor" strokeWidth={cell.trend.startsWith('clearly') ? 3.4 : 2} />
          )}
          {cell.isStuck && <path d={`M${climb === 0 ? 1 : 13} 4h9m-9 5h9`} stroke="var(--warning)" strokeWidth="2" />}
        </svg>
      </Link>
      {cell.openTries > 0 && (
        <Link className="warn spot" to={`/player/${player.id}/line/${line.key}`} aria-label={`${player.name}: a try was seen otherwise`} />
      )}
    </>
  );
}
