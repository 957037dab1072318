import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import type { ClockReading } from '../../kernel/segmentClock';
import { countdown, lineWords, mark } from '../../shared/lib/format';
import { useFootWording } from '../../shared/ui/FootWords';
import { BallPanel } from './BallPanel';
import { wayWords, waysOf, type Way } from '../../shared/lib/entryText';
import { Keypad } from './Keypad';
import { RollRow } from './RollRow';
import { askingSegments, askName, beginsAt } from './rollCalls';
import { TapPanel } from './TapPanel';
import { useRoll, type Roll, type RollProps, type Row } from './useRoll';
import { WatchPanel } from './WatchPanel';
import { segmentWords } from '../../shared/clock/segmentWords';
import { type RunBlock } from './words';

interface RollCallProps extends RollProps {
  onSwitch: (at: number) => void;
  onClose: () => void;
  reading: ClockReading;
}

/** Everybody's number for one set, typed, tapped or timed; whoever has none yet is in hand. */
export function RollCall({ pack, at, entries, onEnter, onSwitch, onClose, reading }: RollCallProps) {
  const wording = useFootWording();
  const roll = useRoll({ pack, at, entries, onEnter });
  const { rows, here, list, done, write, commit } = roll;
  const [way, setWay] = useState<Way>('keys');
  const segment = pack.segments[at];
  const asking = askingSegments(pack);
  const place = asking.indexOf(at);
  const inHand = rows[here] ?? rows[0];
  const block = pack.blocks.find((one) => one.id === (inHand?.ask.blockId ?? segment?.blockId));
  const ways = waysOf(inHand?.line.kind ?? '');
  const shown = ways.includes(way) ? way : 'keys';
  const other = ways.find((one) => one !== shown);
  const [firstHere] = useState(here);

  return (
    <>
      <div className="spread">
        <h1>{block?.title}</h1>
        <span className="num" style={{ fontSize: '1.9rem' }}>
          {countdown(reading.remainingMs)}
        </span>
      </div>
      <p>
        {segment && segmentWords(segment, wording)}, {beginsAt(pack, at) < at ? 'best of the sets' : `set ${segment?.set ?? 1}`}.{' '}
        {inHand && <strong>{lineWords(inHand.line)}.</strong>} {inHand?.line.rule.countsOnlyIf}
      </p>
      <p className="roll-head quiet" aria-hidden>
        <span>name</span>
        <span>to beat</span>
        <span>now</span>
      </p>
      <ul className="roll" ref={list} aria-label="Roll call">
        {rows.map((row, i) => (
          <RollRow
            key={askName(row.ask)}
            row={row}
            isHere={i === here}
            autoFocus={i === firstHere}
            onText={(text) => {
              roll.typing();
              write(row, text);
            }}
            onFocus={() => roll.come(i)}
            onLeave={() => commit(i)}
            onNext={roll.next}
            onMove={roll.move}
          />
        ))}
      </ul>
      <Greeting rows={rows} />
      <div className="thumb">
        <div style={{ gridColumn: '1 / -1' }}>
          <Panel way={shown} roll={roll} block={block} sessionId={pack.session.id} />
        </div>
        <div className="roll-acts">
          <Button disabled={place <= 0} onClick={() => onSwitch(asking[place - 1] ?? at)} aria-label="Set before">
            ‹ Set
          </Button>
          <Button disabled={place >= asking.length - 1} onClick={() => onSwitch(asking[place + 1] ?? at)} aria-label="Set after">
            Set ›
          </Button>
          {other && <Button onClick={() => setWay(other)}>{wayWords[other]}</Button>}
          <Button ref={done} onClick={() => commit(here) && onClose()}>
            Done
          </Button>
        </div>
      </div>
    </>
  );
}

function Panel({ way, roll, block, sessionId }: { way: Way; roll: Roll; block: RunBlock | undefined; sessionId: number }) {
  const row = roll.rows[roll.here];
  if (!row) return null;
  if (way === 'tap') return <TapPanel roll={roll} sessionId={sessionId} />;
  if (way === 'watch') return <WatchPanel roll={roll} />;
  if (way === 'shots' || way === 'quota')
    return <BallPanel key={askName(row.ask)} roll={roll} isQuota={way === 'quota'} balls={block?.dose?.kind === 'tries' ? block.dose.balls : null} />;
  return (
    <div className="tight">
      {row.text.startsWith('void') && <VoidReasons row={row} onReason={(reason) => roll.key(`void ${reason}`)} />}
      <Keypad withPoint={row.line.step < 1} inHalves={block?.drill?.scoring?.inHalves ?? false} onKey={roll.key} onNext={roll.next} />
    </div>
  );
}

/** Why a try is void; a press, and none is needed. */
function VoidReasons({ row, onReason }: { row: Row; onReason: (reason: string) => void }) {
  const reasons = [...(row.line.rule.voids ?? '').split(/(?<=\.)\s+/).filter(Boolean), 'Not reached.', 'Disturbed.'];
  return (
    <div className="ways" role="group" aria-label="Why it is void">
      {reasons.map((sentence) => {
        const reason = sentence.charAt(0).toLowerCase() + sentence.slice(1).replace(/\.$/, '');
        return (
          <button
            key={reason}
            type="button"
            tabIndex={-1}
            aria-pressed={row.text === `void ${reason}`}
            onPointerDown={(event) => event.preventDefault()}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => onReason(reason)}
          >
            {sentence}
          </button>
        );
      })}
    </div>
  );
}

/** A new best is said, briefly; what looks like a slip of the finger is asked about, and kept. */
function Greeting({ rows }: { rows: Row[] }) {
  const written = rows.filter((row) => !row.wasHad);
  const words = (row: Row) => `${row.name} ${mark(row.value ?? 0, row.line.step)}`;
  const slips = written.filter((row) => row.slipAfter !== undefined);
  const best = written.filter((row) => row.verdict === 'record' && row.slipAfter === undefined).map(words);
  return (
    <>
      <p className="greeting" role="status">
        {best.length > 0 && `Own record: ${best.join(', ')}`}
      </p>
      {slips.length > 0 && (
        <p className="warn" role="status">
          {slips.map((row) => `${words(row)} after ${mark(row.slipAfter ?? 0, row.line.step)}`).join(', ')}: a slip of the finger? It is kept; type over it if
          so.
        </p>
      )}
    </>
  );
}
