import type { BlockEvaluation, Player } from '../api/schemas';

interface RoundMapProps {
  round: BlockEvaluation['round'];
  players: Player[];
  /** Block id → title. */
  titles: Record<string, string>;
}

/** Who starts where and who goes where next, turn by turn. */
export function RoundMap({ round, players, titles }: RoundMapProps) {
  const name = (id: number) => players.find((player) => player.id === id)?.name ?? String(id);
  const groups = (round[0] ?? []).filter((station) => station.playerIds.length > 0);
  const at = (turn: BlockEvaluation['round'][number], id: number | undefined) =>
    turn.find((station) => id !== undefined && station.playerIds.includes(id))?.blockId ?? '';
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="Who is where, scrolls sideways">
      <table className="board">
        <thead>
          <tr>
            <th scope="col">Group</th>
            {round.map((_, turn) => (
              <th key={turn} scope="col">
                Turn {turn + 1}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {groups.map(({ blockId, playerIds }) => (
            <tr key={blockId}>
              <th scope="row">{playerIds.map(name).join(', ')}</th>
              {round.map((turn, i) => (
                <td key={i}>{titles[at(turn, playerIds[0])] ?? ''}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
