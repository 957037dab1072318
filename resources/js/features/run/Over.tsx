import { AnchorButton, Button } from '../../shared/ui/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Recap, RunPack } from '../../shared/api/schemas';
import { flushMarks, notedRecap, noteRecap, type Entry } from '../../shared/lib/outbox';
import { many } from '../../shared/lib/format';
import { questionsOf } from '../../shared/lib/recap';
import { Questions, RecapFields } from '../../shared/ui/RecapFields';
import { askName, entryKey } from './rollCalls';
import { keys } from '../../shared/api/keys';

interface OverProps {
  pack: RunPack;
  entries: Record<string, Entry>;
  /** Names of asks that were let go. */
  waived: string[];
  onWaive: (names: string[]) => void;
  onRollCall: (at: number) => void;
  onFinish: () => Promise<void>;
}

/** The end: what is still owed, what they said, and closing. */
export function Over({ pack, entries, waived, onWaive, onRollCall, onFinish }: OverProps) {
  const [isFinished, setFinished] = useState(false);
  const open = pack.blocks.flatMap((block) => {
    const owing = pack.segments.flatMap((segment, at) => segment.asks.filter((ask) => ask.blockId === block.id).map((ask) => ({ ask, at })));
    const left = owing.filter(({ ask }) => !entries[entryKey(pack, ask)] && !waived.includes(askName(ask)));
    return left[0] ? [{ block, at: left[0].at, names: left.map(({ ask }) => askName(ask)) }] : [];
  });
  return (
    <>
      <h1>That was the session</h1>
      <p>
        {many(Object.keys(entries).length, 'number')} written down{waived.length > 0 && `, ${waived.length} let go`}.{' '}
        {open.length === 0 && Object.keys(entries).length > 0 && 'None is owed.'}
      </p>
      {open.length > 0 && (
        <ul className="rows owing" aria-label="Still owed">
          {open.map(({ block, at, names }) => (
            <li key={block.id}>
              <span>
                {block.title}: <strong>{names.length} still owed</strong>
              </span>
              <span className="acts-line">
                <Button onClick={() => onRollCall(at)}>Write down</Button>
                <Button onClick={() => onWaive(names)}>Let go</Button>
              </span>
            </li>
          ))}
        </ul>
      )}
      <RecapOf pack={pack} />
      <div className="grow" />
      {isFinished ? (
        <div className="stack" role="status">
          <p>The session is closed. What is not sent yet goes out by itself.</p>
          <AnchorButton href="/today" variant="contained">
            To Today
          </AnchorButton>
        </div>
      ) : (
        <div className="thumb">
          <Button className="main" variant="contained" onClick={() => void onFinish().then(() => setFinished(true))}>
            Close the session
          </Button>
        </div>
      )}
    </>
  );
}

function RecapOf({ pack }: { pack: RunPack }) {
  const sessionId = pack.session.id;
  const noted = useQuery({
    queryKey: keys.notedRecap(sessionId),
    queryFn: async () => (await notedRecap(sessionId)) ?? pack.recap,
    gcTime: 0,
    staleTime: Infinity,
  });
  const [changed, setChanged] = useState<Recap | undefined>(undefined);
  const value = changed ?? noted.data;
  const questions = questionsOf(pack.blocks.map((block) => block.drill));
  if (!value) return null;
  return (
    <section className="tight" aria-label="Recap">
      <h2>What was today about?</h2>
      <RecapFields
        value={value}
        onChange={(recap) => {
          setChanged(recap);
          void noteRecap(sessionId, recap);
        }}
        onSettled={() => void flushMarks()}
      />
      {questions.length > 0 && (
        <details>
          <summary>{questions.length} more to ask</summary>
          <Questions questions={questions} />
        </details>
      )}
    </section>
  );
}
