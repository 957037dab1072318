import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { isOf } from '../../shared/api/keys';
import { answerAdvice } from '../../shared/api/seasonQueries';
import type { PlayerLadder } from '../../shared/api/seasonSchemas';
import { Button } from '../../shared/ui/Button';

interface LaddersProps {
  ladders: PlayerLadder[];
  playerId: number;
  /** Whether who looks may move the player. */
  mayMove: boolean;
}

/** More decisions than this at a time nobody makes. */
const atOnce = 2;

const words: Record<PlayerLadder['advice'], string> = {
  begin: 'not begun',
  stay: 'stay',
  up: 'move on',
  back: 'ease',
  held: 'held, as you said',
  done: 'the top rung is passed',
};

/** Where the player stands on each ladder that was begun, and what the numbers advise. The coach decides. */
export function Ladders({ ladders, playerId, mayMove }: LaddersProps) {
  if (ladders.length === 0) return null;
  const asking = ladders.filter((one) => one.advice === 'up' || one.advice === 'back');
  const others = ladders.filter((one) => !asking.includes(one));
  const first = asking.slice(0, atOnce);
  const later = asking.slice(atOnce);
  return (
    <section className="tight">
      <h2>Ladders</h2>
      <ul className="rows">
        {first.map((one) => (
          <Advised key={one.slug} one={one} playerId={playerId} mayMove={mayMove} />
        ))}
      </ul>
      {later.length > 0 && (
        <details>
          <summary>{later.length === 1 ? 'One more to decide' : `${later.length} more to decide`}</summary>
          <ul className="rows">
            {later.map((one) => (
              <Advised key={one.slug} one={one} playerId={playerId} mayMove={mayMove} />
            ))}
          </ul>
        </details>
      )}
      <ul className="rows">
        {others.map((one) => (
          <li key={one.slug}>
            {one.ladder}: <Link to={`/book/drills/${one.drill}`}>{one.name}</Link>{' '}
            <span className="quiet">
              {one.rung === null ? '' : `rung ${one.rung + 1} of ${one.rungs}, `}
              {words[one.advice]}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Advised({ one, playerId, mayMove }: { one: PlayerLadder; playerId: number; mayMove: boolean }) {
  const queryClient = useQueryClient();
  const answer = useMutation({
    mutationFn: (said: 'yes' | 'no') => answerAdvice(playerId, one.slug, { answer: said, why: one.why }),
    onSuccess: () => queryClient.invalidateQueries({ predicate: isOf('player', 'squad') }),
  });
  const [yes, no] = one.advice === 'up' ? ['Move on', 'Not yet'] : ['Ease', 'Stay'];
  return (
    <li className="tight">
      <span>
        {one.ladder}: {words[one.advice]} to{' '}
        <strong>
          <Link to={`/book/drills/${one.drill}`}>{one.name}</Link>
        </strong>
        {one.harderBy.length > 0 && <> ({one.harderBy.join(', ')})</>}
        <br />
        <span className="quiet">{one.why}</span>
      </span>
      {mayMove && (
        <div className="acts-line">
          <Button onClick={() => answer.mutate('yes')} disabled={answer.isPending} aria-label={`${yes}: ${one.ladder}`}>
            {yes}
          </Button>
          <button type="button" className="link" onClick={() => answer.mutate('no')} disabled={answer.isPending} aria-label={`${no}: ${one.ladder}`}>
            {no}
          </button>
        </div>
      )}
      {answer.isError && (
        <p className="notice" role="alert">
          {answer.error.message}
        </p>
      )}
    </li>
  );
}
