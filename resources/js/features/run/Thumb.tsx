import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import { useFootWording } from '../../shared/ui/FootWords';
import type { ClockViewProps } from './ClockView';
import { beginsAt, entryKey, rollCallFor } from './rollCalls';
import { readySound, type Signals } from '../../shared/clock/signals';
import { segmentWords } from '../../shared/clock/segmentWords';
import { workBefore, type RunBlock, type RunSegment } from './words';

interface ThumbProps extends ClockViewProps {
  block: RunBlock | undefined;
  next: RunSegment | undefined;
}

/** What is pressed at the pitch: the likeliest at the very bottom, the seldom behind "More". */
export function Thumb(props: ThumbProps) {
  const { pack, clock, segment, entries, onRollCall, next } = props;
  const { reading, press } = clock;
  const [isMore, setMore] = useState(false);
  const wording = useFootWording();
  const rollAt = rollCallFor(pack, reading.index);
  const owed = rollAt === undefined ? 0 : (pack.segments[rollAt]?.asks.filter((ask) => !entries[entryKey(pack, ask)]).length ?? 0);
  const isReady = reading.state === 'ready';
  const isStill = reading.state === 'paused' || reading.state === 'frozen';
  const isByClock = segment.endsByClock && !reading.isHeld;
  const isWriting = segment.kind === 'write' && owed > 0;
  return (
    <div className="thumb">
      {isMore && <More {...props} onLess={() => setMore(false)} />}
      <Button className="third" disabled={isReady} onClick={() => press('back')}>
        Back
      </Button>
      {isByClock || isStill ? (
        <Button className="third" disabled={isReady} onClick={() => press('next')}>
          Skip
        </Button>
      ) : (
        <Button className="third" disabled={isReady} onClick={() => press('pause')}>
          Pause
        </Button>
      )}
      <Button className="third" aria-expanded={isMore} onClick={() => setMore(!isMore)}>
        {isMore ? 'Less' : 'More'}
      </Button>
      {rollAt !== undefined && (
        <Button
          style={{ gridColumn: '1 / -1' }}
          disabled={beginsAt(pack, rollAt) > reading.index}
          onClick={() => onRollCall(rollAt)}
          variant={isWriting ? 'contained' : 'outlined'}
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
      ) : isStill ? (
        <Button
          className="main"
          variant="contained"
          onClick={() => {
            readySound();
            press('resume');
          }}
        >
          Go on
        </Button>
      ) : isByClock ? (
        <>
          <Button className="main half" onClick={() => press('freeze')}>
            Freeze
          </Button>
          <Button className="main half" variant="contained" onClick={() => press('pause')}>
            Pause
          </Button>
        </>
      ) : (
        <Button className="main" variant={isWriting ? 'outlined' : 'contained'} onClick={() => press('next')}>
          {next ? `Next: ${segmentWords(next, wording).toLowerCase()}` : 'Done'}
        </Button>
      )}
    </div>
  );
}

const signalWords: [keyof Signals, string][] = [
  ['tones', 'Tones'],
  ['voice', 'Voice'],
  ['buzz', 'Buzz'],
];

function More({ pack, clock, signals: [signals, setSignals], segment, block, onAside, onLess }: ThumbProps & { onLess: () => void }) {
  const { reading, press } = clock;
  const isReady = reading.state === 'ready';
  const set = workBefore(pack, reading.index);
  const then = (act: () => void) => () => {
    act();
    onLess();
  };
  return (
    <>
      <Button className="half" disabled={isReady} onClick={() => press('extend', { seconds: 30 })}>
        +30 s
      </Button>
      <Button className="half" disabled={isReady || set === undefined} onClick={then(() => set !== undefined && press('go', { index: set }))}>
        Set again
      </Button>
      <Button className="half" disabled={isReady || segment.kind !== 'work' || !segment.endsByClock || reading.isHeld} onClick={then(() => press('hold'))}>
        End on a good one
      </Button>
      <Button className="half" disabled={!block?.drill} onClick={() => block && onAside('ground', block.id)}>
        The ground
      </Button>
      {block?.oneMoreBall && (
        <Button className="whole" aria-pressed={clock.steps[block.id] === 'oneMoreBall'} onClick={then(() => clock.step(block.id, 'oneMoreBall'))}>
          One ball more
        </Button>
      )}
      {(['easier', 'harder'] as const).map(
        (way) =>
          block?.[way] && (
            <Button
              key={way}
              className={block.easier && block.harder ? 'half' : 'whole'}
              aria-pressed={clock.steps[block.id] === way}
              onClick={then(() => clock.step(block.id, way))}
            >
              {way === 'easier' ? 'Easier' : 'Harder'}
            </Button>
          ),
      )}
      <Button className="half" onClick={() => onAside('here', 'yes')}>
        Who is here
      </Button>
      <Button className="half" onClick={() => onAside('names', 'yes')}>
        To one player
      </Button>
      {block?.drill && (
        <Button className={block.drill.organisation.card ? 'half' : 'whole'} onClick={() => onAside('focus', block.id)}>
          One in focus
        </Button>
      )}
      {block?.drill?.organisation.card && (
        <Button className="half" onClick={() => onAside('card', block.id)}>
          The server's card
        </Button>
      )}
      <fieldset className="presses" style={{ gridColumn: '1 / -1' }}>
        <legend className="sr">What you hear and feel</legend>
        {signalWords.map(([name, words]) => (
          <label key={name}>
            <input type="checkbox" checked={signals[name]} onChange={(event) => setSignals({ ...signals, [name]: event.target.checked })} />
            {words}
          </label>
        ))}
      </fieldset>
    </>
  );
}
