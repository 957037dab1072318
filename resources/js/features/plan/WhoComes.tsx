import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import type { Availability, Evaluation, Player } from '../../shared/api/schemas';
import { clock } from '../../shared/lib/format';
import { Choice } from '../../shared/ui/Field';
import { ShareBars } from '../../shared/ui/ShareBars';
import type { PlanTools } from './usePlan';

const mayWords: [Availability, string][] = [
  ['serves-only', 'only serves'],
  ['no-striking', 'does not strike'],
  ['no-heading', 'does not head'],
  ['everything', 'may do everything'],
];

interface WhoComesProps {
  tools: PlanTools;
  players: Player[];
  evaluation: Evaluation | undefined;
}

/** Who is coming and who may not do everything; the whole plan follows at once. */
export function WhoComes({ tools, players, evaluation }: WhoComesProps) {
  const { comingPlayerIds: coming, may } = tools.plan;
  return (
    <details className="side">
      <summary>
        Who comes: {coming.length} of {players.length}
        {may.length > 0 && `, ${may.length} not for everything`}
      </summary>
      <fieldset className="who-comes" style={{ border: 0, padding: '0.6rem 0 0', margin: 0 }}>
        <legend className="sr">Who comes</legend>
        {players.map((player) => (
          <label key={player.id}>
            <input
              type="checkbox"
              checked={coming.includes(player.id)}
              onChange={(event) =>
                tools.change({ comingPlayerIds: players.map((one) => one.id).filter((id) => (id === player.id ? event.target.checked : coming.includes(id))) })
              }
            />
            {player.name}
          </label>
        ))}
      </fieldset>
      <Limits tools={tools} players={players.filter((player) => coming.includes(player.id))} />
      {evaluation && <Shares players={players} evaluation={evaluation} />}
    </details>
  );
}

/** A knock, a cold, a new boot: what somebody may not do today. */
function Limits({ tools, players }: { tools: PlanTools; players: Player[] }) {
  const { may } = tools.plan;
  const [playerId, setPlayerId] = useState('');
  const set = (id: number, value: string) => {
    const one = value as Availability;
    tools.change({ may: [...may.filter((other) => other.playerId !== id), ...(one === 'everything' ? [] : [{ playerId: id, may: one }])] });
  };
  const free = players.filter((player) => !may.some((one) => one.playerId === player.id));
  return (
    <div className="tight" style={{ paddingTop: '0.6rem' }}>
      {may.map((one) => {
        const player = players.find(({ id }) => id === one.playerId);
        return (
          player && (
            <Choice key={one.playerId} label={`${player.name} today`} value={one.may} options={mayWords} onValue={(value) => set(one.playerId, value)} />
          )
        );
      })}
      {free.length > 0 && (
        <div className="acts-line">
          <Choice
            label="Not for everything today"
            value={playerId}
            options={[['', 'nobody else'], ...free.map((player): [string, string] => [String(player.id), player.name])]}
            onValue={setPlayerId}
          />
          <Button
            disabled={playerId === ''}
            onClick={() => {
              set(Number(playerId), 'serves-only');
              setPlayerId('');
            }}
          >
            Add
          </Button>
        </div>
      )}
    </div>
  );
}

/** How each player spends the session. */
function Shares({ players, evaluation }: { players: Player[]; evaluation: Evaluation }) {
  return (
    <details style={{ paddingTop: '0.6rem' }}>
      <summary>Each player's time and touches</summary>
      <div className="scroll" tabIndex={0} role="region" aria-label="Each player's time and touches, scrolls sideways">
        <SharesTable players={players} shares={evaluation.players} />
      </div>
      <ShareBars players={players} shares={evaluation.players} />
    </details>
  );
}

export function SharesTable({ players, shares }: { players: Player[]; shares: Evaluation['players'] }) {
  return (
    <table className="board">
      <thead>
        <tr>
          {['Player', 'with the ball', 'serving', 'waiting', 'left', 'right'].map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {shares.map((share) => (
          <tr key={share.playerId}>
            <th scope="row">{players.find((player) => player.id === share.playerId)?.name ?? share.playerId}</th>
            <td className="num">{clock(share.ballSeconds)}</td>
            <td className="num">{clock(share.servingSeconds)}</td>
            <td className="num">{clock(share.waitingSeconds)}</td>
            <td className="num left">{share.left}</td>
            <td className="num right">{share.right}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
