import type { Player } from '../../shared/api/schemas';

interface WhoComesProps {
  players: Player[];
  coming: number[];
  onChange: (coming: number[]) => void;
}

export function WhoComes({ players, coming, onChange }: WhoComesProps) {
  return (
    <details className="side">
      <summary>
        Who comes: {coming.length} of {players.length}
      </summary>
      <fieldset className="who-comes" style={{ border: 0, padding: '0.6rem 0 0', margin: 0 }}>
        <legend className="sr">Who comes</legend>
        {players.map((player) => (
          <label key={player.id}>
            <input
              type="checkbox"
              checked={coming.includes(player.id)}
              onChange={(event) => onChange(players.map((one) => one.id).filter((id) => (id === player.id ? event.target.checked : coming.includes(id))))}
            />
            {player.name}
          </label>
        ))}
      </fieldset>
    </details>
  );
}
