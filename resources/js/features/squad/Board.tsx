import { Link } from 'react-router';
import type { SquadBoard } from '../../shared/api/schemas';
import { lineWords, sideWords } from '../../shared/lib/format';
import { Cell } from './Cell';
import { grouped } from './boardOrder';

interface BoardProps {
  board: SquadBoard;
  players: SquadBoard['players'];
}

/** Players × record lines, for a desk; on a phone one drill at a time. */
export function Board({ board, players }: BoardProps) {
  const groups = grouped(board.lines);
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="Squad board, scrolls sideways">
      <table className="board close">
        <thead>
          <tr>
            <th scope="col" rowSpan={2}>
              Player
            </th>
            <th scope="col" rowSpan={2}>
              Came
            </th>
            {groups.map((group) => (
              <th key={group.lines[0]?.key} scope="colgroup" colSpan={group.lines.length} className="group">
                <strong>{group.name}</strong>
                <br />
                {lineWords(group)}
              </th>
            ))}
          </tr>
          <tr>
            {groups.flatMap((group) =>
              group.lines.map((line, i) => (
                <th key={line.key} scope="col" className={i === 0 ? 'group' : undefined}>
                  {short(line.side)}
                </th>
              )),
            )}
          </tr>
        </thead>
        <tbody>
          {players.map((player) => (
            <tr key={player.id}>
              <th scope="row">
                <Link to={`/player/${player.id}`}>{player.name}</Link> <span className="quiet">{player.bib}</span>
              </th>
              <td className="quiet">
                {player.came} of {player.of}
              </td>
              {groups.flatMap((group) =>
                group.lines.map((line, i) => (
                  <td key={line.key} className={i === 0 ? 'group' : undefined}>
                    <Cell cell={board.cells[player.id]?.[line.key]} line={line} player={player} />
                  </td>
                )),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const short = (side: string): string => sideWords(side).replace(' foot', '').replace('feet in turn', 'in turn').replace('both feet', 'both');
