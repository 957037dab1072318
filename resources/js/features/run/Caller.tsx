import { Button } from '../../shared/ui/Button';
import { useEffect, useRef, useState } from 'react';
import { countdown } from '../../shared/lib/format';
import type { RunPack } from '../../shared/api/schemas';
import { MarkerShape } from '../../shared/ui/PlanDrawing';
import { answered, answers, called, calledAgain, callWords, dueAt, newSet, noCalls, paces, type Answer, type CallLog, type Pace } from './calling';
import { speak } from '../../shared/clock/signals';
import type { Clock } from './useClock';
import type { RunBlock } from './words';

interface CallerProps {
  pack: RunPack;
  block: RunBlock;
  clock: Clock;
  hasVoice: boolean;
  onClose: () => void;
}

const paceWords: Record<Pace, string> = { 1.25: 'slower', 1: 'as planned', 0.8: 'quicker' };

/** Calls for the coach, who looks at feet meanwhile: spoken, large, marked by a tap. The clock of the set drives it. */
export function Caller({ pack, block, clock, hasVoice, onClose }: CallerProps) {
  const { reading, calls: logs, keepCalls, press } = clock;
  const log = logs[block.id] ?? noCalls;
  const [pace, setPace] = useState<Pace>(1);
  const segment = pack.segments[reading.index];
  const isWork = segment?.blockId === block.id && segment.kind === 'work';
  const set = isWork ? segment.id : '';
  const seconds = reading.elapsedMs / 1000;
  const due = dueAt(block.calls, log, pace);
  const before = useRef({ set, seconds });
  useEffect(() => {
    if (!isWork || reading.state !== 'running') return;
    // Another set, or the same once more.
    const isNew = before.current.set !== set || seconds < before.current.seconds - 1;
    before.current = { set, seconds };
    if (isNew && log.made.length > 0) {
      keepCalls(block.id, newSet(log));
      return;
    }
    if (due === undefined || seconds < due) return;
    keepCalls(block.id, called(log));
    const call = block.calls[log.next];
    if (call && hasVoice) speak(callWords(call, block.callKind, pack.players));
  }, [isWork, reading.state, set, seconds, due, log, block, hasVoice, pack.players, keepCalls]);

  const last = log.made.at(-1);
  const call = last && block.calls[last.call];
  const mark = (next: CallLog) => keepCalls(block.id, next);
  const answer = (what: Answer) => (
    <Button
      className="half"
      disabled={!last}
      aria-pressed={last?.answer === what}
      variant={last?.answer === what ? 'contained' : 'outlined'}
      onClick={() => mark(answered(log, what))}
    >
      {what === 'hit' ? 'Hit' : 'Slow'}
    </Button>
  );
  return (
    <>
      <div className="spread">
        <h1>Calling: {block.title}</h1>
        <span className="num" style={{ fontSize: '1.9rem' }} role="timer">
          {countdown(reading.remainingMs)}
        </span>
      </div>
      <div className="called" role="status">
        {call ? (
          <>
            <CalledShapes block={block} places={call.places} />
            <span className="num">{callWords(call, block.callKind, pack.players)}</span>
            {call.number !== null && <span>The board shows {call.number}.</span>}
            {call.asks && <span>{call.asks}</span>}
          </>
        ) : (
          <span className="quiet">{isWork ? 'The first call comes.' : 'Calls come while the set runs.'}</span>
        )}
      </div>
      <p>{answers(log)}</p>
      <div className="grow" />
      <div className="thumb">
        {answer('hit')}
        {answer('slow')}
        <fieldset className="presses whole">
          <legend className="sr">How quick the calls come</legend>
          {paces.map((one) => (
            <label key={one}>
              <input type="radio" name="pace" checked={pace === one} onChange={() => setPace(one)} />
              {paceWords[one]}
            </label>
          ))}
        </fieldset>
        <Button
          className="third"
          disabled={!call}
          onClick={() => {
            mark(calledAgain(log));
            if (call && hasVoice) speak(callWords(call, block.callKind, pack.players));
          }}
        >
          Again
        </Button>
        {reading.state === 'running' ? (
          <Button className="third" onClick={() => press('freeze')}>
            Freeze
          </Button>
        ) : (
          <Button className="third" disabled={reading.state === 'ready' || reading.state === 'over'} onClick={() => press('resume')}>
            Go on
          </Button>
        )}
        <Button className="third" onClick={onClose}>
          Clock
        </Button>
      </div>
    </>
  );
}

/** A colour is never told by paint alone: its marker's shape and its number stand beside the word. */
function CalledShapes({ block, places }: { block: RunBlock; places: string[] }) {
  const { markers = [], labels = [] } = block.drill?.drawing ?? {};
  if (block.callKind !== 'colour') return null;
  return (
    <span className="called-shapes">
      {places.map((place, i) => {
        const marker = markers.find((one) => one.colour === place);
        const label = labels.find((one) => marker && one.xMetres === marker.xMetres && one.yMetres === marker.yMetres && /^\d+$/.test(one.text));
        return (
          <span key={i}>
            {marker && (
              <svg width="44" height="44" viewBox="-12 -12 24 24" aria-hidden>
                <MarkerShape shape={marker.shape} />
              </svg>
            )}
            {label?.text}
          </span>
        );
      })}
    </span>
  );
}

/** The number behind the player, on a second phone: the same sequence without a word between the two. */
export function Board({ block, onClose }: { block: RunBlock; onClose: () => void }) {
  const [at, setAt] = useState<number | undefined>(undefined);
  const [began, setBegan] = useState(0);
  useEffect(() => {
    if (at === undefined) return undefined;
    const [now, next] = [block.calls[at], block.calls[at + 1]];
    if (!now || !next) return undefined;
    const wait = began + (next.atSeconds - (block.calls[0]?.atSeconds ?? 0)) * 1000 - performance.now();
    const timer = window.setTimeout(() => setAt(at + 1), Math.max(0, wait));
    return () => window.clearTimeout(timer);
  }, [at, began, block.calls]);
  const step = (by: -1 | 1) => {
    const to = Math.min(block.calls.length - 1, Math.max(0, (at ?? 0) + by));
    setBegan(performance.now() - ((block.calls[to]?.atSeconds ?? 0) - (block.calls[0]?.atSeconds ?? 0)) * 1000);
    setAt(to);
  };
  return (
    <>
      <h1>Board: {block.title}</h1>
      <p>{at === undefined ? 'Press with the first call; the numbers change with the calls from then on.' : `Call ${at + 1} of ${block.calls.length}`}</p>
      <p className={block.calls[at ?? 0]?.number === null ? 'board-word num' : 'board-number num'} role="status">
        {at === undefined ? '–' : (block.calls[at]?.number ?? block.calls[at]?.places.join(' '))}
      </p>
      <div className="grow" />
      <div className="thumb">
        {at === undefined ? (
          <Button
            className="main"
            variant="contained"
            onClick={() => {
              setBegan(performance.now());
              setAt(0);
            }}
          >
            First call
          </Button>
        ) : (
          <>
            <Button className="half" onClick={() => step(-1)}>
              One back
            </Button>
            <Button className="half" onClick={() => step(1)}>
              One on
            </Button>
          </>
        )}
        <Button className="whole" onClick={onClose}>
          To the clock
        </Button>
      </div>
    </>
  );
}
