import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useState } from 'react';
import { positionQuery } from '../../shared/api/runQueries';
import { ApiError } from '../../shared/api/client';
import type { RunPack } from '../../shared/api/schemas';
import type { Entry } from '../../shared/lib/outbox';
import { askToPersist } from '../../shared/lib/openable';
import { announceSignedOut } from '../../shared/lib/signedOut';
import { Button } from '../../shared/ui/Button';
import { HeldLine } from '../../shared/ui/HeldLine';
import { Failed, Loading } from '../../shared/ui/States';
import { FootWords } from '../../shared/ui/FootWords';
import { WaitingList } from '../../shared/ui/WaitingList';
import { Board, Caller } from './Caller';
import { ClockView } from './ClockView';
import { cuesAhead } from '../../shared/clock/cues';
import { Focus } from './Focus';
import { Followed } from './Followed';
import { Ground } from './Ground';
import type { KeptState } from './keptState';
import { Names } from './Names';
import { Over } from './Over';
import { RollCall } from './RollCall';
import { SentLine } from './SentLine';
import { Aside, ServerCard } from './ServerCard';
import { readySound, useCues, useSignals, useWakeLock } from '../../shared/clock/signals';
import { useAsked } from './useAsked';
import { useClock } from './useClock';
import { deviceName, useConduct } from './useConduct';
import { WhoIsHere } from './WhoIsHere';
import { useEntries, useRunState } from './useRun';

export function RunPage({ sessionId }: { sessionId: number }) {
  useEffect(askToPersist, []);
  const { pack, kept, entries, isPending, fault, retry } = useRunState(sessionId);
  const isSignedOut = fault instanceof ApiError && fault.kind === 'signed-out';
  const isBarred = isSignedOut && !pack && !isPending;
  useEffect(() => {
    if (isBarred) announceSignedOut();
  }, [isBarred]);
  if (pack && entries)
    return (
      <FootWords value={pack.footWording}>
        <Run key={sessionId} pack={pack} kept={kept} firstEntries={entries} isSignedOut={isSignedOut} />
      </FootWords>
    );
  if (isPending) return <Loading what="the run" />;
  return (
    <div className="page stack">
      <Failed fault={fault} onRetry={retry} />
      <p>
        <a href={`/plan/${sessionId}`}>Back to the plan</a>
      </p>
    </div>
  );
}

interface RunProps {
  pack: RunPack;
  kept: KeptState;
  firstEntries: Entry[];
  isSignedOut: boolean;
}

function Run({ pack: firstPack, kept, firstEntries, isSignedOut }: RunProps) {
  const clock = useClock(firstPack, kept);
  const { pack, reading, runMs, press } = clock;
  const { entries, enter } = useEntries(pack, firstEntries);
  const [rollAt, setRollAt] = useState<number | undefined>(undefined);
  // In the address, so that a second phone can open it too.
  const [asked, setAsked] = useAsked();
  const card = pack.blocks.find((block) => block.id === asked.get('card'));
  const focus = pack.blocks.find((block) => block.id === asked.get('focus'));
  const ground = pack.blocks.find((block) => block.id === asked.get('ground'));
  const [caller, board] = ['caller', 'board'].map((what) => pack.blocks.find((block) => block.id === asked.get(what) && block.calls.length > 0));
  const { other, takeOver } = useConduct(pack.session.id, pack.segments[reading.index]?.id, reading);
  // Asked for in the address, so that loading the page again follows on.
  const isFollowing = asked.get('follow') === 'yes';
  const isFree = reading.state === 'ready' || isFollowing;
  const followed = useQuery({ ...positionQuery(pack.session.id), enabled: isFree, refetchInterval: isFollowing ? 2_000 : 15_000 });
  const conductor = followed.data && followed.data.device !== deviceName() ? followed.data : null;
  const signals = useSignals();
  useWakeLock();
  // Who follows hears the conductor's cues at the pitch; two phones a second apart would only confuse.
  useCues(isFollowing ? [] : cuesAhead(pack.segments, reading, runMs, pack.footWording), runMs, signals[0]);
  const segment = pack.segments[reading.index];
  // What can be pressed is drawn first, who is where right after.
  const isBrief = useDeferredValue(false, true);
  const number = pack.blocks.findIndex((block) => block.id === segment?.blockId) + 1;
  return (
    // After the page was loaded anew nobody presses Start: whatever is pressed gives the sound back.
    <div className="run" onPointerDown={readySound} onKeyDown={readySound}>
      <div className="top">
        <strong>{number > 0 ? `Block ${number} of ${pack.blocks.length}` : 'The end'}</strong>
        <HeldLine />
        <SentLine hasNumbers={Object.keys(entries).length > 0} isSignedOut={isSignedOut} onWaiting={() => setAsked({ waiting: 'yes' })} />
        <a href={`/plan/${pack.session.id}`}>Leave</a>
      </div>
      {other && !isFollowing && (
        <div className="tight" role="alert">
          <p className="warn">{other.by} conducts this run on another device.</p>
          <div className="acts-line">
            <Button onClick={() => setAsked({ follow: 'yes' })}>Follow it</Button>
            <Button onClick={takeOver}>Conduct here</Button>
          </div>
        </div>
      )}
      {reading.state === 'ready' && !isFollowing && conductor && conductor.state !== 'over' && (
        <p role="status">
          {conductor.by} conducts this run.{' '}
          <button type="button" className="link" onClick={() => setAsked({ follow: 'yes' })}>
            Follow it
          </button>
        </p>
      )}
      {asked.get('waiting') === 'yes' ? (
        <Aside title="What waits here" onClose={() => setAsked({})}>
          <WaitingList />
        </Aside>
      ) : card?.drill?.organisation.card ? (
        <ServerCard title={card.title} card={card.drill.organisation.card} onClose={() => setAsked({})} />
      ) : asked.get('here') === 'yes' ? (
        <WhoIsHere
          pack={pack}
          roster={clock.roster}
          onSeat={(roster, guests) => {
            if (!clock.seatAnew(roster, guests)) return false;
            setAsked({});
            return true;
          }}
          onClose={() => setAsked({})}
        />
      ) : asked.get('names') === 'yes' ? (
        <Names pack={pack} block={pack.blocks.find((block) => block.id === segment?.blockId)} clock={clock} onClose={() => setAsked({})} />
      ) : focus?.drill ? (
        <Focus pack={pack} block={{ ...focus, drill: focus.drill }} clock={clock} onClose={() => setAsked({})} />
      ) : caller ? (
        <Caller pack={pack} block={caller} clock={clock} hasVoice={signals[0].voice} onClose={() => setAsked({})} />
      ) : board ? (
        <Board block={board} onClose={() => setAsked({})} />
      ) : ground ? (
        <Aside title={`The ground: ${ground.title}`} onClose={() => setAsked({})}>
          <Ground pack={pack} block={ground} />
        </Aside>
      ) : rollAt !== undefined ? (
        <RollCall
          key={rollAt}
          pack={pack}
          at={rollAt}
          entries={entries}
          onEnter={enter}
          onSwitch={setRollAt}
          onClose={() => {
            setRollAt(undefined);
            // Closing the roll call of a writing-down pause ends the pause: the next set may begin.
            if (segment?.kind === 'write') press('next');
          }}
          reading={reading}
        />
      ) : isFollowing && followed.data !== undefined ? (
        <Followed
          pack={pack}
          position={conductor}
          heardAtMs={followed.dataUpdatedAt}
          entries={entries}
          onRollCall={setRollAt}
          onConduct={(at) => {
            if (at >= 0) clock.conductFrom(at);
            takeOver();
            setAsked({});
          }}
          onLeave={() => setAsked({})}
        />
      ) : segment ? (
        <ClockView
          pack={pack}
          clock={clock}
          signals={signals}
          segment={segment}
          entries={entries}
          isBrief={isBrief}
          onRollCall={setRollAt}
          onAside={(what, name) => setAsked({ [what]: name })}
        />
      ) : (
        <Over pack={pack} entries={entries} waived={clock.waived} onWaive={clock.waive} onRollCall={setRollAt} onFinish={clock.finish} />
      )}
    </div>
  );
}
