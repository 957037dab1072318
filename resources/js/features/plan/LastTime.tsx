import { useQuery } from '@tanstack/react-query';
import { bookQueries } from '../../shared/api/bookQueries';
import type { Player } from '../../shared/api/schemas';
import { day, mark, sideWords, many } from '../../shared/lib/format';
import { doseWords } from '../../shared/lib/doseWords';
import { useFootWording } from '../../shared/ui/FootWords';

interface LastTimeProps {
  squadId: number;
  slug: string;
  /** A day; what lies before it counts. */
  before: string;
  players: Player[];
}

/** What was done of the drill last time, by how many, and what the numbers were. */
export function LastTime({ squadId, slug, before, players }: LastTimeProps) {
  const wording = useFootWording();
  const answer = useQuery(bookQueries.lastTime(squadId, slug, before));
  if (answer.isError) return <p className="quiet">Last time could not be read: {answer.error.message}</p>;
  if (!answer.data) return null;
  const { last } = answer.data;
  return (
    <section className="tight">
      <h2>Last time</h2>
      {!last && <p className="quiet">New to this squad.</p>}
      {last && (
        <>
          <p>
            {day(`${last.on}T00:00`)}, {many(last.players, 'player')}
            {last.dose && `: ${doseWords(last.dose, wording)}`}.
          </p>
          {last.numbers.length > 0 && (
            <details>
              <summary>{many(last.numbers.length, 'number')}</summary>
              <ul className="rows">
                {players.flatMap((player) => {
                  const own = last.numbers.filter((one) => one.playerId === player.id);
                  return own.length === 0
                    ? []
                    : [
                        <li key={player.id} className="spread">
                          <span>{player.name}</span>
                          <span>
                            {own.map((one, i) => (
                              <span key={one.side}>
                                {i > 0 && ', '}
                                <span className="num">{mark(one.value, Number.isInteger(one.value) ? 1 : 0.1)}</span> {one.unit} {sideWords(one.side, wording)}
                              </span>
                            ))}
                          </span>
                        </li>,
                      ];
                })}
              </ul>
            </details>
          )}
        </>
      )}
    </section>
  );
}
