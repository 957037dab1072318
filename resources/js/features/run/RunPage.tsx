import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Press } from '../../kernel/segmentClock';
import type { RunPack } from '../../shared/api/schemas';
import type { Entry } from '../../shared/lib/outbox';
import { askToPersist } from '../../shared/lib/openable';
import { HeldLine } from '../../shared/ui/HeldLine';
import { Failed, Loading } from '../../shared/ui/States';
import { useThemeChoice } from '../../shared/ui/ThemeChoice';
import { ClockView } from './ClockView';
import { RollCall } from './RollCall';
import { SentLine } from './SentLine';
import { useBeepOnChange, useWakeLock } from './signals';
import { useClock, useEntries, useRunState } from './useRun';

export function RunPage() {
  const sessionId = Number(useParams().sessionId);
  const { setAtPitch } = useThemeChoice();
  useEffect(askToPersist, []);
  useEffect(() => {
    setAtPitch(true);
    return () => setAtPitch(false);
  }, [setAtPitch]);
  const { pack, presses, links, entries, isPending, fault, retry } = useRunState(sessionId);
  if (pack && entries) return <Run key={sessionId} pack={pack} firstPresses={presses} firstLinks={links} firstEntries={entries} />;
  if (isPending) return <Loading what="the run" />;
  return (
    <div className="page stack">
      <Failed fault={fault} onRetry={retry} />
      <p>
        <Link to={`/plan/${sessionId}`}>Back to the plan</Link>
      </p>
    </div>
  );
}

interface RunProps {
  pack: RunPack;
  firstPresses: Press[];
  firstLinks: Record<string, number>;
  firstEntries: Entry[];
}

function Run({ pack, firstPresses, firstLinks, firstEntries }: RunProps) {
  const { reading, press, finish, links, pressLinks } = useClock(pack, firstPresses, firstLinks);
  const { entries, enter } = useEntries(pack, firstEntries);
  const [rollAt, setRollAt] = useState<number | undefined>(undefined);
  useWakeLock();
  useBeepOnChange(reading.index, reading.state === 'running');
  const blockId = pack.segments[Math.min(reading.index, pack.segments.length - 1)]?.blockId;
  const number = pack.blocks.findIndex((block) => block.id === blockId) + 1;
  return (
    <div className="run">
      <div className="top">
        <strong>
          Block {number} of {pack.blocks.length}
        </strong>
        <HeldLine />
        <SentLine hasNumbers={Object.keys(entries).length > 0} />
        <Link to={`/plan/${pack.session.id}`}>Leave</Link>
      </div>
      {rollAt === undefined ? (
        <ClockView pack={pack} reading={reading} press={press} links={links} onLinks={pressLinks} entries={entries} onRollCall={setRollAt} onFinish={finish} />
      ) : (
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
            if (pack.segments[reading.index]?.kind === 'write') press('next');
          }}
          reading={reading}
        />
      )}
    </div>
  );
}
