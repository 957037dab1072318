import Button from '@mui/material/Button';
import type { ClockReading, Press } from '../../kernel/segmentClock';
import type { RunPack } from '../../shared/api/schemas';
import { countdown } from '../../shared/lib/format';
import type { Entry } from '../../shared/lib/outbox';
import { questionsOf } from '../../shared/lib/recap';
import { Questions } from '../../shared/ui/RecapFields';
import { useFootWording } from '../../shared/ui/SquadChoice';
import { StitchLine } from '../../shared/ui/Stitches';
import { Over } from './Over';
import { beginsAt, entryKey, rollCallFor } from './rollCalls';
import { readySound } from './signals';
import { lengthWords, segmentWords, type RunSegment } from './words';

interface ClockViewProps {
  pack: RunPack;
  reading: ClockReading;
  press: (kind: Press['press'], seconds?: number) => void;
  /** Block id → links of a build-up, where that was changed here. */
  links: Record<string, number>;
  onLinks: (blockId: string, count: number) => void;
  entries: Record<string, Entry>;
  onRollCall: (at: number) => void;
  onFinish: () => Promise<void>;
}

/** What now, what then, who; the clock as large as fits, and the thumb's buttons at the bottom. */
export function ClockView({ pack, reading, press, links, onLinks, entries, onRollCall, onFinish }: ClockViewProps) {
  const wording = useFootWording();
  const segment = pack.segments[reading.index];
  if (!segment) return <Over pack={pack} entries={entries} onRollCall={onRollCall} onFinish={onFinish} />;
  const block = pack.blocks.find((one) => one.id === segment.blockId);
  // In a round every group has a drill of its own.
  const isRound = segment.stations.length > 0;
  const next = pack.segments[reading.index + 1];
  const nextBlock = pack.blocks[pack.blocks.findIndex((one) => one.id === segment.blockId) + 1];
  const sets = pack.segments.filter(
    (one) => one.blockId === segment.blockId && one.kind === 'work' && one.side === segment.side && one.turn === segment.turn,
  ).length;
  return (
    <>
      <div className="clockline">
        <span className="num big" role="timer" aria-label={`${countdown(reading.remainingMs)} ${reading.remainingMs < 0 ? 'over' : 'left'}`}>
          {countdown(reading.remainingMs)}
        </span>
        {segment.set !== null && !isRound && (
          <span>
            <span className="num" style={{ fontSize: '1.9rem' }}>
              set {segment.set}
            </span>
            <br />
            of {sets}
          </span>
        )}
      </div>
      <div className="tight">
        <h1>
          {segmentWords(segment, wording)}: {isRound ? 'all stations' : block?.title}
        </h1>
        {block?.drill && segment.kind === 'work' && !isRound && (
          <StitchLine
            contacts={segment.side === 'L' ? block.drill.contactsLeft : block.drill.contacts}
            times={Math.max(1, Math.floor(10 / Math.max(1, block.drill.contacts.length)))}
            scale={1.7}
            label={`Touches: ${block.drill.script}`}
          />
        )}
        {block?.drill && !isRound && (
          <p>{segment.kind === 'set-up' ? block.drill.summary : block.drill.points[(segment.set ?? 1) % block.drill.points.length]}</p>
        )}
        {block?.drill?.composition === 'build-up' && segment.kind !== 'set-up' && (
          <BuildUp
            parts={block.drill.parts.map((part) => part.name)}
            links={links[block.id] ?? block.links ?? block.drill.parts.length}
            onLinks={(count) => onLinks(block.id, count)}
          />
        )}
        {segment.kind === 'talk' && (
          <>
            <p>
              <strong>What was today about?</strong>
            </p>
            <Questions questions={questionsOf(pack.blocks.map((one) => one.drill))} />
          </>
        )}
        {reading.state === 'paused' && <p className="warn">Paused.</p>}
      </div>
      <div className="box">
        <p>
          <strong>Then</strong> {next ? `${segmentWords(next, wording)}, ${lengthWords(next)}` : 'the end'}
        </p>
        {nextBlock && (
          <p>
            <strong>After</strong> {nextBlock.title}
          </p>
        )}
      </div>
      <Working pack={pack} segment={segment} />
      <div className="grow" />
      <Thumb pack={pack} reading={reading} segment={segment} press={press} entries={entries} onRollCall={onRollCall} next={next} />
    </>
  );
}

/** The links that are done now, each on top of the one before; one more or fewer is one press. */
function BuildUp({ parts, links, onLinks }: { parts: string[]; links: number; onLinks: (count: number) => void }) {
  return (
    <>
      <p>
        <strong>
          Links 1 to {links} of {parts.length}
        </strong>{' '}
        {parts.slice(0, links).join(', then ')}
      </p>
      <div className="acts-line">
        <Button disabled={links <= 1} onClick={() => onLinks(links - 1)}>
          One link fewer
        </Button>
        <Button disabled={links >= parts.length} onClick={() => onLinks(links + 1)}>
          One link more
        </Button>
      </div>
    </>
  );
}

function Working({ pack, segment }: { pack: RunPack; segment: RunSegment }) {
  const nameOf = (id: number) => pack.players.find((player) => player.id === id)?.name ?? '';
  // In a round everybody works, each group at a station of its own.
  if (segment.stations.length > 0)
    return (
      <ul className="rows" aria-label="Who is where">
        {segment.stations
          .filter((station) => station.playerIds.length > 0)
          .map((station) => (
            <li key={station.blockId}>
              <strong>{pack.blocks.find((block) => block.id === station.blockId)?.title}</strong> {station.playerIds.map(nameOf).join(', ')}
            </li>
          ))}
      </ul>
    );
  if (segment.working.length === 0) return null;
  if (segment.working.length === pack.players.length)
    return (
      <p>
        <strong>Working</strong> all {pack.players.length}
      </p>
    );
  const names = pack.players.filter((player) => segment.working.includes(player.id)).map((player) => player.name);
  return (
    <p>
      <strong>Working</strong> {names.join(', ')}
    </p>
  );
}

interface ThumbProps extends Pick<ClockViewProps, 'pack' | 'reading' | 'press' | 'entries' | 'onRollCall'> {
  segment: RunSegment;
  next: RunSegment | undefined;
}

function Thumb({ pack, reading, segment, press, entries, onRollCall, next }: ThumbProps) {
  const wording = useFootWording();
  const rollAt = rollCallFor(pack, reading.index);
  const asking = rollAt === undefined ? undefined : pack.segments[rollAt];
  const owed = rollAt === undefined ? 0 : (asking?.asks.filter((ask) => !entries[entryKey(pack, rollAt, ask)]).length ?? 0);
  const isReady = reading.state === 'ready';
  const isPaused = reading.state === 'paused';
  return (
    <div className="thumb">
      <Button className="third" disabled={isReady} onClick={() => press('back')}>
        Back
      </Button>
      <Button className="third" disabled={isReady} onClick={() => press('extend', 30)}>
        +30 s
      </Button>
      {segment.endsByClock || isPaused ? (
        <Button className="third" disabled={isReady} onClick={() => press('next')}>
          Skip
        </Button>
      ) : (
        <Button className="third" disabled={isReady} onClick={() => press('pause')}>
          Pause
        </Button>
      )}
      {rollAt !== undefined && (
        <Button
          style={{ gridColumn: '1 / -1' }}
          disabled={beginsAt(pack, rollAt) > reading.index}
          onClick={() => onRollCall(rollAt)}
          variant={segment.kind === 'write' && owed > 0 ? 'contained' : 'outlined'}
        >
          {beginsAt(pack, rollAt) > reading.index ? 'Numbers: after the first set' : owed > 0 ? `Numbers: ${owed} still owed` : 'Numbers: all written'}
        </Button>
      )}
      {isReady ? (
        <Button
          className="main"
          variant="contained"
          onClick={() => {
            readySound();
            press('start');
          }}
        >
          Start
        </Button>
      ) : isPaused ? (
        <Button className="main" variant="contained" onClick={() => press('resume')}>
          Go on
        </Button>
      ) : segment.endsByClock ? (
        <Button className="main" variant="contained" onClick={() => press('pause')}>
          Pause
        </Button>
      ) : (
        <Button className="main" variant={segment.kind === 'write' && owed > 0 ? 'outlined' : 'contained'} onClick={() => press('next')}>
          {next ? `Next: ${segmentWords(next, wording).toLowerCase()}` : 'Done'}
        </Button>
      )}
    </div>
  );
}
