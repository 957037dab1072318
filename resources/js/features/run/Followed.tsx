import { useEffect, useState } from 'react';
import type { RunPack, RunPosition } from '../../shared/api/schemas';
import { countdown } from '../../shared/lib/format';
import type { Entry } from '../../shared/lib/outbox';
import { Button } from '../../shared/ui/Button';
import { useFootWording } from '../../shared/ui/FootWords';
import { entryKey, rollCallFor } from './rollCalls';
import { Spell } from './Spell';
import { segmentWords } from '../../shared/clock/segmentWords';

interface FollowedProps {
  pack: RunPack;
  /** As it was answered, and when, by this device's own count of milliseconds. */
  position: RunPosition | null;
  heardAtMs: number;
  entries: Record<string, Entry>;
  onRollCall: (at: number) => void;
  /** Of the stretch that goes on there; -1 where this device does not know it. */
  onConduct: (at: number) => void;
  onLeave: () => void;
}

/** A run that another device conducts: its clock, what goes on, and the numbers to be written down here. */
export function Followed({ pack, position, heardAtMs, entries, onRollCall, onConduct, onLeave }: FollowedProps) {
  const nowMs = useNow();
  const wording = useFootWording();
  const at = pack.segments.findIndex((one) => one.id === position?.segmentId);
  const segment = pack.segments[at];
  const rollAt = segment ? rollCallFor(pack, at) : undefined;
  const owed = rollAt === undefined ? 0 : (pack.segments[rollAt]?.asks.filter((ask) => !entries[entryKey(pack, ask)]).length ?? 0);
  const sinceMs = position?.state === 'running' ? position.agoMs + Math.max(0, nowMs - heardAtMs) : 0;
  return (
    <>
      {position && (
        <span className="num big" role="timer">
          {countdown(position.remainingMs - sinceMs)}
        </span>
      )}
      <h1>
        {!position
          ? 'Nobody conducts any more'
          : position.state === 'over'
            ? 'The run is over'
            : segment
              ? `${segmentWords(segment, wording)}: ${pack.blocks.find((one) => one.id === segment.blockId)?.title ?? ''}`
              : 'Seated anew on the other device'}
      </h1>
      <p role="status">
        {position
          ? `${position.by} conducts${position.state === 'paused' ? '; paused' : position.state === 'frozen' ? '; frozen to coach' : ''}.`
          : 'Go on from here, or wait.'}
        {position && position.state !== 'over' && !segment && ' Who is where stands there; numbers are asked for as they were planned.'}
      </p>
      {segment && <Spell pack={pack} segment={segment} block={pack.blocks.find((one) => one.id === segment.blockId)} links={{}} onLinks={() => undefined} />}
      <div className="grow" />
      <div className="thumb">
        <Button className="half" onClick={onLeave}>
          Stop following
        </Button>
        <Button className="half" disabled={position?.state === 'over'} onClick={() => onConduct(at)}>
          Conduct here
        </Button>
        {rollAt !== undefined && (
          <Button className="main" variant="contained" onClick={() => onRollCall(rollAt)}>
            {owed > 0 ? `Numbers: ${owed} still owed` : 'Numbers: all written'}
          </Button>
        )}
      </div>
    </>
  );
}

/** This device's own count, four times a second. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), 250);
    return () => window.clearInterval(timer);
  }, []);
  return now;
}
