import { Button } from '../../shared/ui/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { squadQueries } from '../../shared/api/queries';
import type { Player, SquadBoard } from '../../shared/api/schemas';
import { lineWords, mark, shortDay, sideWords } from '../../shared/lib/format';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { PlayerDialog } from './PlayerDialog';

export function SquadPage() {
  const { squadId, squad } = useSquadId();
  const board = useQuery(squadQueries.board(squadId));
  const [edited, setEdited] = useState<Player | 'new' | undefined>(undefined);
  if (board.isPending) return <Loading what="the squad" />;
  if (board.isError)
    return (
      <div className="page">
        <Failed fault={board.error} onRetry={() => void board.refetch()} />
      </div>
    );
  const mayPlan = squad !== undefined && squad.role !== 'assistant';
  return (
    <>
      <div className="head">
        <h1>{board.data.name}</h1>
        <p className="quiet">
          {board.data.players.length} players, {board.data.ageGroup}. Own record, and the last number beneath; nobody is compared with anybody else.
        </p>
        {mayPlan && (
          <div className="acts">
            <Button onClick={() => setEdited('new')}>Add a player</Button>
          </div>
        )}
      </div>
      {board.data.players.length === 0 ? (
        <div className="page">
          <p>No players yet. A first name is enough; a bib number will do until you know it.</p>
        </div>
      ) : (
        <Board board={board.data} onEdit={mayPlan ? setEdited : undefined} />
      )}
      {edited && <PlayerDialog player={edited === 'new' ? undefined : edited} onClose={() => setEdited(undefined)} />}
    </>
  );
}

interface LineGroup {
  name: string;
  unit: string;
  window: string;
  lines: SquadBoard['lines'];
}

/** Lines of one task stand together, foot beside foot. */
function grouped(lines: SquadBoard['lines']): LineGroup[] {
  const groups: LineGroup[] = [];
  for (const line of lines) {
    const last = groups.at(-1);
    if (last?.name === line.drillName && last.window === line.window) last.lines.push(line);
    else groups.push({ name: line.drillName, unit: line.unit, window: line.window, lines: [line] });
  }
  return groups;
}

function Board({ board, onEdit }: { board: SquadBoard; onEdit: ((player: Player) => void) | undefined }) {
  const groups = grouped(board.lines);
  return (
    <div className="page scroll" style={{ paddingTop: 0 }} tabIndex={0} role="region" aria-label="Squad board, scrolls sideways">
      <table className="board">
        <thead>
          <tr>
            <th scope="col" rowSpan={2}>
              Player
            </th>
            <th scope="col" rowSpan={2}>
              Strong foot
            </th>
            {groups.map((group) => (
              <th key={group.lines[0]?.key} scope="colgroup" colSpan={group.lines.length} className="group">
                <strong>{group.name}</strong>
                <br />
                {lineWords(group)}
              </th>
            ))}
            {onEdit && (
              <th scope="col" rowSpan={2}>
                <span className="sr">Change</span>
              </th>
            )}
          </tr>
          <tr>
            {groups.flatMap((group) =>
              group.lines.map((line, i) => (
                <th key={line.key} scope="col" className={i === 0 ? 'group' : undefined}>
                  {sideWords(line.side).replace(' foot', '')}
                </th>
              )),
            )}
          </tr>
        </thead>
        <tbody>
          {board.players.map((player) => (
            <tr key={player.id}>
              <th scope="row">
                <Link to={`/player/${player.id}`}>{player.name}</Link> <span className="quiet">{player.bib}</span>
              </th>
              <td>{player.strongFoot === 'both' ? 'both' : sideWords(player.strongFoot).replace(' foot', '')}</td>
              {groups.flatMap((group) =>
                group.lines.map((line, i) => {
                  const standing = board.standings[player.id]?.[line.key];
                  const last = standing?.days.at(-1);
                  return (
                    <td key={line.key} className={i === 0 ? 'group' : undefined}>
                      {standing?.record ? (
                        <>
                          <span className="num">{mark(standing.record.value, line.step)}</span>
                          <br />
                          <span className="quiet" title={last ? `last on ${shortDay(last.on)}` : undefined}>
                            {last && mark(last.best, line.step)}
                          </span>
                          {standing.openTries > 0 && (
                            <Link className="warn spot" to={`/player/${player.id}/line/${line.key}`} aria-label={`${player.name}: a try was seen otherwise`} />
                          )}
                        </>
                      ) : (
                        <span className="quiet">–</span>
                      )}
                    </td>
                  );
                }),
              )}
              {onEdit && (
                <td>
                  <button type="button" className="link" onClick={() => onEdit(player)} aria-label={`Change ${player.name}`}>
                    Change
                  </button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
