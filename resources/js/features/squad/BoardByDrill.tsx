import { useState } from 'react';
import { Link } from 'react-router';
import type { SquadBoard } from '../../shared/api/schemas';
import { lineWords, sideWords } from '../../shared/lib/format';
import { Cell } from './Cell';
import { grouped, ranked } from './boardOrder';

interface BoardByDrillProps {
  board: SquadBoard;
  players: SquadBoard['players'];
  /** Whether who looks may ask for a ranking. */
  mayRank: boolean;
}

/** One drill at a time, everybody down the page: what fits a phone. */
export function BoardByDrill({ board, players, mayRank }: BoardByDrillProps) {
  const groups = grouped(board.lines);
  const [chosen, setChosen] = useState(0);
  const [isRanked, setRanked] = useState(false);
  const group = groups[chosen] ?? groups[0];
  const [line] = group?.lines ?? [];
  if (!group || !line)
    return (
      <div className="tight">
        <p>No number yet. The first one is written down in a run.</p>
        <ul className="rows">
          {players.map((player) => (
            <li key={player.id}>
              <Link to={`/player/${player.id}`}>{player.name}</Link> <span className="quiet">{player.bib}</span>
            </li>
          ))}
        </ul>
      </div>
    );
  return (
    <div className="tight">
      <select aria-label="Drill" className="choice wide" value={chosen} onChange={(event) => setChosen(Number(event.target.value))}>
        {groups.map((one, i) => (
          <option key={one.lines[0]?.key} value={i}>
            {one.name}, {lineWords(one)}
          </option>
        ))}
      </select>
      <table className="board close">
        <thead>
          <tr>
            <th scope="col">Player</th>
            {group.lines.map((one) => (
              <th key={one.key} scope="col">
                {sideWords(one.side)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {(isRanked ? ranked(board, line) : players).map((player) => (
            <tr key={player.id}>
              <th scope="row">
                <Link to={`/player/${player.id}`}>{player.name}</Link>
              </th>
              {group.lines.map((one) => (
                <td key={one.key}>
                  <Cell cell={board.cells[player.id]?.[one.key]} line={one} player={player} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {mayRank && (
        <button type="button" className="link" onClick={() => setRanked(!isRanked)}>
          {isRanked ? 'Back to names' : `Rank by ${sideWords(line.side)}: for you, not for the children`}
        </button>
      )}
    </div>
  );
}
