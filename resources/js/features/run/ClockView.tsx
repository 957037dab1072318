import { Button } from '../../shared/ui/Button';
import type { RunPack } from '../../shared/api/schemas';
import { countdown } from '../../shared/lib/format';
import type { Entry } from '../../shared/lib/outbox';
import { useFootWording } from '../../shared/ui/FootWords';
import { besideLines } from './beside';
import type { Step } from './keptState';
import type { SignalsChoice } from '../../shared/clock/signals';
import { Spell } from './Spell';
import { Thumb } from './Thumb';
import type { Clock } from './useClock';
import { segmentWords } from '../../shared/clock/segmentWords';
import { lengthWords, placeIn, type RunSegment } from './words';

export interface ClockViewProps {
  pack: RunPack;
  clock: Clock;
  signals: SignalsChoice;
  segment: RunSegment;
  entries: Record<string, Entry>;
  /** The clock and its buttons alone, for the first moment. */
  isBrief: boolean;
  onRollCall: (at: number) => void;
  /** What is looked at beside the clock: of a block, or who is here. */
  onAside: (what: 'card' | 'ground' | 'here' | 'names' | 'focus' | 'caller' | 'board', name: string) => void;
}

/** The clock as large as fits, what, who, the rule, what then; and the thumb's buttons at the bottom. */
export function ClockView(props: ClockViewProps) {
  const { pack, clock, segment } = props;
  const { reading } = clock;
  const wording = useFootWording();
  const block = pack.blocks.find((one) => one.id === segment.blockId);
  const next = pack.segments[reading.index + 1];
  const nextBlock = pack.blocks[pack.blocks.findIndex((one) => one.id === segment.blockId) + 1];
  const places = placeIn(pack, segment);
  return (
    <>
      <div className="clockline">
        <span className="num big" role="timer" aria-label={`${countdown(reading.remainingMs)} ${reading.remainingMs < 0 ? 'over' : 'left'}`}>
          {countdown(reading.remainingMs)}
        </span>
        {places.length > 0 && (
          <span className="places">
            {places.map(({ what, at, of }) => (
              <span key={what}>
                {what}
                <br />
                <span className="num">
                  {at} of {of}
                </span>
              </span>
            ))}
          </span>
        )}
      </div>
      <h1>
        {segmentWords(segment, wording)}: {segment.stations.length > 0 ? 'all stations' : block?.title}
      </h1>
      {reading.state === 'paused' && <p className="warn">Paused.</p>}
      {reading.state === 'frozen' && <p className="warn">Frozen to coach. The clock stands still.</p>}
      {reading.isHeld && <p className="warn">Ends on a good one: three more at most, then press next.</p>}
      {block && clock.steps[block.id] && (
        <p>
          <strong>{stepWords[clock.steps[block.id] ?? 'harder']}</strong> {block[clock.steps[block.id] ?? 'harder']?.replace(/\.$/, '')}. Numbers are for the
          drill as it was planned.
        </p>
      )}
      <Doubt doubtMs={clock.doubtMs} settle={clock.settle} />
      {block && block.calls.length > 0 && (
        <div className="acts-line">
          <Button onClick={() => props.onAside('caller', block.id)}>Call for me</Button>
          <Button onClick={() => props.onAside('board', block.id)}>Be the board</Button>
        </div>
      )}
      {!props.isBrief && <Spell pack={pack} segment={segment} block={block} links={clock.links} onLinks={clock.pressLinks} />}
      <BesideNames pack={pack} clock={clock} onOpen={() => props.onAside('names', 'yes')} />
      <div className="then">
        <p>
          <strong>Then</strong> {next ? `${segmentWords(next, wording)}, ${lengthWords(next)}` : 'the end'}
        </p>
        {nextBlock && (
          <p>
            <strong>After</strong> {nextBlock.title}
            {nextBlock.reset?.laid === 'meanwhile' && (
              <>
                ; a helper lays it now.{' '}
                <button type="button" className="link" onClick={() => props.onAside('ground', nextBlock.id)}>
                  Its ground
                </button>
              </>
            )}
          </p>
        )}
      </div>
      <div className="grow" />
      <Thumb {...props} block={block} next={next} />
    </>
  );
}

const mostNamed = 3;

/** What is to be said to whom, in a line; all of it a press away. */
function BesideNames({ pack, clock, onOpen }: { pack: RunPack; clock: Clock; onOpen: () => void }) {
  const lines = besideLines(
    clock.beside,
    pack.players.filter(({ id }) => clock.roster.working.includes(id) || clock.roster.serving.includes(id)),
  );
  if (lines.length === 0) return null;
  const more = lines.length - mostNamed;
  return (
    <p>
      <strong>Remind</strong> {lines.slice(0, mostNamed).join('; ')}{' '}
      <button type="button" className="link" onClick={onOpen}>
        {more > 0 ? `${more} more` : 'Note'}
      </button>
    </p>
  );
}

const stepWords: Record<Step, string> = { harder: 'Harder today', easier: 'Easier today', oneMoreBall: 'One ball more today' };

/** A jump that may have been somebody setting the phone's clock. */
function Doubt({ doubtMs, settle }: Pick<Clock, 'doubtMs' | 'settle'>) {
  if (doubtMs === 0) return null;
  const minutes = Math.round(doubtMs / 60_000);
  return (
    <div className="tight" role="alert">
      <p className="warn">By this phone {minutes} minutes went by while it slept. Did they?</p>
      <div className="acts-line">
        <Button onClick={() => settle(true)}>They did</Button>
        <Button onClick={() => settle(false)}>No, its clock was set</Button>
      </div>
    </div>
  );
}
