import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import type { Move } from '../../shared/api/bookSchemas';
import { familyWords } from '../../shared/lib/format';
import { Choice } from '../../shared/ui/Field';
import { Failed, Loading } from '../../shared/ui/States';
import { StepStrip } from './StepStrip';

/** One move, foot by foot, with what to say and what comes before and after it. */
export function MovePage() {
  const { slug = '' } = useParams();
  const move = useQuery(bookQueries.move(slug));
  const [leading, setLeading] = useState('R');
  if (move.isPending) return <Loading what="the move" />;
  if (move.isError)
    return (
      <div className="page">
        <Failed fault={move.error} onRetry={() => void move.refetch()} />
      </div>
    );
  const { data } = move;
  return (
    <>
      <div className="head">
        <h1>{data.name}</h1>
        <p className="quiet">
          {familyWords(data.family)},{' '}
          {data.touchesPerRep === 0 ? 'no touch of the ball' : `${data.touchesPerRep} ${data.touchesPerRep === 1 ? 'touch' : 'touches'} a rep`}
          {data.words.length > 0 && `. Also called ${data.words.join(', ')}`}.
        </p>
        <div className="acts">
          <Choice
            label="Led by the"
            value={leading}
            options={[
              ['R', 'right foot'],
              ['L', 'left foot'],
            ]}
            onValue={setLeading}
          />
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        <StepStrip steps={leading === 'R' ? data.stepsRight : data.stepsLeft} />
        <div className="two">
          <div className="stack">
            <section className="tight">
              <h2>Say</h2>
              <p>{data.cue}</p>
            </section>
            {data.faults.map((one) => (
              <section key={one.fault} className="tight">
                <h2>{one.fault}</h2>
                <p>{one.fix}</p>
              </section>
            ))}
            <section className="tight">
              <h2>Written</h2>
              <p>
                <code>{data.script}</code>
              </p>
              <p className="quiet">
                led by the other foot <code>{data.mirror}</code>
              </p>
            </section>
          </div>
          <Neighbours move={data} />
        </div>
      </div>
    </>
  );
}

function Neighbours({ move }: { move: Move }) {
  return (
    <div className="stack">
      <Refs title="Easier" moves={move.easier} none="Nothing easier: begin here." />
      <Refs title="Harder" moves={move.harder} none="Nothing harder in the book." />
      <Refs title="Should be there first" moves={move.before} none="Needs nothing before it." />
      <p>
        <Link to="/book">All moves</Link>
      </p>
    </div>
  );
}

function Refs({ title, moves, none }: { title: string; moves: Move['easier']; none: string }) {
  return (
    <section className="tight">
      <h2>{title}</h2>
      {moves.length === 0 && <p className="quiet">{none}</p>}
      <ul>
        {moves.map((one) => (
          <li key={one.slug}>
            <Link to={`/book/${one.slug}`}>{one.name}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
