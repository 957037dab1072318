import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answerPractice } from '../../shared/api/homeQueries';
import type { HomeSquad } from '../../shared/api/homeSchemas';
import { isOf, keys } from '../../shared/api/keys';
import { mark, many, shortDay, sideWords } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';

type Waits = HomeSquad['waiting'][number];
const feltWords = { easy: 'felt easy', right: 'felt just right', hard: 'felt hard' };

/** What came from home and is in no record yet: confirm one or all that raise no question; what is odd is asked about. */
export function Waiting({ squadId, home }: { squadId: number; home: HomeSquad }) {
  const queryClient = useQueryClient();
  const answer = useMutation({
    mutationFn: (body: { confirm: string[]; leaveOut: string[] }) => answerPractice(squadId, body),
    onSuccess: async (after) => {
      queryClient.setQueryData(keys.home(squadId), after);
      await queryClient.invalidateQueries({ predicate: isOf('squad', 'player') });
    },
  });
  const plain = home.waiting.filter((one) => one.doubts.length === 0);
  const nameOf = (id: number) => home.players.find((one) => one.id === id)?.name ?? '';
  if (home.waiting.length === 0) return <p className="quiet">Nothing from home waits for your word.</p>;
  return (
    <section className="tight" aria-label="From home">
      <div className="spread wraps">
        <h2>{home.waiting.length} from home wait for your word</h2>
        {plain.length > 0 && (
          <Button variant="contained" disabled={answer.isPending} onClick={() => answer.mutate({ confirm: plain.map((one) => one.uuid), leaveOut: [] })}>
            Confirm {plain.length === home.waiting.length ? `all ${plain.length}` : `the ${plain.length} without a question`}
          </Button>
        )}
      </div>
      <p className="quiet">Counted by the players themselves. Until you confirm them they are in no record, no line and no load.</p>
      {answer.isError && (
        <p className="notice" role="alert">
          {answer.error.message}
        </p>
      )}
      <ul className="rows">
        {home.waiting.map((one) => (
          <li key={one.uuid} className="home-waits">
            <div>
              <p>
                <strong>{nameOf(one.playerId)}</strong>, {shortDay(one.on)}: {one.name} <Numbers of={one} />{' '}
                <span className="quiet">{[one.felt ? feltWords[one.felt] : '', one.source === 'paper' ? 'from a sheet' : ''].filter(Boolean).join(', ')}</span>
              </p>
              {one.doubts.map((doubt) => (
                <p key={doubt} className="warn-words">
                  {doubt}
                </p>
              ))}
            </div>
            <div className="acts-line">
              <Button disabled={answer.isPending} onClick={() => answer.mutate({ confirm: [one.uuid], leaveOut: [] })}>
                Confirm
              </Button>
              <Button variant="text" disabled={answer.isPending} onClick={() => answer.mutate({ confirm: [], leaveOut: [one.uuid] })}>
                Leave out
              </Button>
            </div>
          </li>
        ))}
      </ul>
      <p className="quiet">{many(home.waiting.length - plain.length, 'question')} to look at.</p>
    </section>
  );
}

function Numbers({ of }: { of: Waits }) {
  if (of.numbers.length === 0) return <span className="quiet">done, no number</span>;
  return (
    <>
      {of.numbers.map(({ side, value, unit, best, step }) => (
        <span key={side} className="home-number">
          <span className="num">{mark(value, step)}</span> {unit}
          {side !== 'both' && `, ${sideWords(side)}`} {best !== null && <span className="quiet">best {mark(best, step)}</span>}
        </span>
      ))}
    </>
  );
}
