import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Recap, RunPack } from '../../shared/api/schemas';
import { flushMarks, notedRecap, noteRecap, type Entry } from '../../shared/lib/outbox';
import { questionsOf } from '../../shared/lib/recap';
import { Questions, RecapFields } from '../../shared/ui/RecapFields';
import { useFootWording } from '../../shared/ui/SquadChoice';
import { entryKey } from './rollCalls';
import { segmentWords } from './words';

interface OverProps {
  pack: RunPack;
  entries: Record<string, Entry>;
  onRollCall: (at: number) => void;
  onFinish: () => Promise<void>;
}

/** The end: what is still owed, what they said, and closing. */
export function Over({ pack, entries, onRollCall, onFinish }: OverProps) {
  const wording = useFootWording();
  const [isFinished, setFinished] = useState(false);
  const owing = pack.segments.flatMap((segment, at) => {
    const owed = segment.asks.filter((ask) => !entries[entryKey(pack, at, ask)]).length;
    return owed > 0 && owed < segment.asks.length ? [{ at, owed, segment }] : [];
  });
  return (
    <>
      <h1>That was the session</h1>
      <p>{Object.keys(entries).length} numbers written down.</p>
      {owing.map(({ at, owed, segment }) => (
        <p key={at}>
          {pack.blocks.find((block) => block.id === segment.blockId)?.title}, {segmentWords(segment, wording).toLowerCase()}, set {segment.set}: {owed} still
          owed.{' '}
          <button type="button" className="link" onClick={() => onRollCall(at)}>
            Write them down
          </button>
        </p>
      ))}
      <RecapOf pack={pack} />
      <div className="grow" />
      {isFinished ? (
        <div className="stack" role="status">
          <p>The session is closed. What is not sent yet goes out by itself.</p>
          <Button component={Link} to="/today" variant="contained">
            To Today
          </Button>
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
    queryKey: ['noted-recap', sessionId],
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
