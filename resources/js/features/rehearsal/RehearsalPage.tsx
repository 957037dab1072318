import { Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { runPackQuery } from '../../shared/api/runQueries';
import type { RunPack, Segment } from '../../shared/api/schemas';
import { clock } from '../../shared/lib/format';
import { ShareBars } from '../../shared/ui/ShareBars';
import { Failed, Loading } from '../../shared/ui/States';
import { PlaceView } from './PlaceView';
import { placesAt, sharesUpTo, spellAt, spellsOfPack } from './rehearsal';

const speeds = [10, 30, 60] as const;

/** The run before the session, many times as fast: who moves where, and who stands idle before they do. */
export function RehearsalPage() {
  const sessionId = Number(useParams().sessionId);
  const pack = useQuery({ ...runPackQuery(sessionId), staleTime: 0 });
  if (pack.isPending) return <Loading what="the rehearsal" />;
  if (pack.isError)
    return (
      <div className="page stack">
        <Failed fault={pack.error} onRetry={() => void pack.refetch()} />
        <p>
          <Link to={`/plan/${sessionId}`}>Back to the plan</Link>
        </p>
      </div>
    );
  return <Rehearsal pack={pack.data} />;
}

function Rehearsal({ pack }: { pack: RunPack }) {
  const spells = useMemo(() => spellsOfPack(pack), [pack]);
  const length = spells.at(-1)?.to ?? 0;
  const [seconds, setSeconds] = useState(0);
  const [speed, setSpeed] = useState<(typeof speeds)[number]>(30);
  const [isRunning, setRunning] = useState(false);
  useEffect(() => {
    if (!isRunning) return undefined;
    let last = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      const gone = ((now - last) / 1000) * speed;
      last = now;
      setSeconds((at) => Math.min(length, at + gone));
      frame = requestAnimationFrame(draw);
    });
    return () => cancelAnimationFrame(frame);
  }, [isRunning, speed, length]);
  const isOver = seconds >= length;
  const spell = spellAt(spells, Math.min(seconds, length - 0.001));
  const at = spell ? spells.indexOf(spell) : 0;
  const block = pack.blocks.find((one) => one.id === spell?.segment.blockId);
  const shares = sharesUpTo(
    spells,
    pack.players.map((player) => player.id),
    seconds,
  );
  // While it runs everybody keeps their line.
  if (!isRunning) shares.sort((a, b) => b.waitingSeconds - a.waitingSeconds);
  const goTo = (index: number) => {
    setRunning(false);
    setSeconds(spells[index]?.from ?? length);
  };
  return (
    <>
      <div className="head">
        <h1>Rehearsal: {pack.session.title}</h1>
        <p className="quiet">Times are what is expected; who waits is what the plan says. Nothing is written down.</p>
        <div className="acts">
          <LinkButton to={`/plan/${pack.session.id}`} variant="text">
            Back to the plan
          </LinkButton>
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        <div className="rehearse">
          <span className="num" role="timer" aria-label={`${clock(seconds)} of ${clock(length)}`}>
            {clock(seconds)}
          </span>
          <div className="acts-line">
            <Button
              variant="contained"
              onClick={() => {
                if (isOver) setSeconds(0);
                setRunning(isOver || !isRunning);
              }}
            >
              {isRunning && !isOver ? 'Stop' : isOver ? 'From the start' : 'Let it run'}
            </Button>
            <Button disabled={at <= 0} onClick={() => goTo(at - 1)}>
              Stretch before
            </Button>
            <Button disabled={at >= spells.length - 1} onClick={() => goTo(at + 1)}>
              Stretch after
            </Button>
            <fieldset className="presses">
              <legend className="sr">How fast</legend>
              {speeds.map((one) => (
                <label key={one}>
                  <input type="radio" name="speed" checked={one === speed} onChange={() => setSpeed(one)} />
                  {one} times
                </label>
              ))}
            </fieldset>
          </div>
          <input
            type="range"
            min={0}
            max={Math.floor(length)}
            value={Math.round(seconds)}
            aria-label="Moment of the session"
            aria-valuetext={clock(seconds)}
            onChange={(event) => {
              setRunning(false);
              // The last second is the end.
              setSeconds(Number(event.target.value) >= Math.floor(length) ? length : Number(event.target.value));
            }}
          />
        </div>
        <div className="ground-and-shares">
          {spell && (
            <section className="tight" aria-label="The ground">
              <h2>{[block?.title, ...(block?.kind === 'drill' ? [stretchWords(spell.segment)] : [])].join(': ')}</h2>
              <ul className="places">
                {placesAt(pack, spell)
                  .filter((place) => place.seats.length > 0)
                  .map((place) => (
                    <PlaceView key={place.key} place={place} players={pack.players} seconds={seconds} />
                  ))}
              </ul>
              <p className="quiet">Filled: at the ball. Open: resting. Dotted: serving or counting. Plum and broken: waiting.</p>
            </section>
          )}
          <section className="tight" aria-label="So far">
            <h2>So far{!isRunning && ', who has waited longest first'}</h2>
            <ShareBars shares={shares} players={pack.players} />
          </section>
        </div>
      </div>
    </>
  );
}

const kinds: Record<string, string> = {
  'set-up': 'lay out',
  explain: 'explain and show',
  work: 'work',
  rest: 'rest',
  write: 'write down',
  change: 'change over',
  water: 'water',
  talk: 'talk',
  game: 'game',
};

function stretchWords({ kind, item, set, turn, stations }: Segment): string {
  if (stations.length > 0) return `turn ${turn}`;
  return [item ?? kinds[kind], kind === 'work' && set !== null ? `set ${set}` : ''].filter(Boolean).join(', ');
}
