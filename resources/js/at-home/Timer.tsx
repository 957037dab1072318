import { useState } from 'react';
import type { AtHome, HomeDay } from '../shared/api/homeSchemas';
import { spentMs } from '../kernel/segmentClock';
import { readySound, useCues, useSignals, useWakeLock } from '../shared/clock/signals';
import { cuesAhead } from '../shared/clock/cues';
import { cueWords, segmentWords } from '../shared/clock/segmentWords';
import { doseWords } from '../shared/lib/doseWords';
import { clock, countdown } from '../shared/lib/format';
import { Button } from '../shared/ui/Button';
import { Explained } from './Explained';
import { stretches, type Stretch } from './stretches';
import { timerOf, useTimer } from './useTimer';
import { WriteDown } from './WriteDown';

interface TimerProps {
  page: AtHome;
  day: HomeDay;
  today: string;
  onEnd: () => void;
}

/** Goes through the day by itself, as far as a clock can: what is done until it is done waits for a press. */
export function Timer({ page, day, today, onEnd }: TimerProps) {
  const [goesOn, setGoesOn] = useState(true);
  const segments = stretches(day, goesOn);
  const timer = useTimer(segments, timerOf(page, day.number));
  const { reading, presses, runMs } = timer;
  const [signals, setSignals] = useSignals();
  const wording = page.footWording;
  const nameOf = (one: Stretch) => day.items.find((item) => item.drill === one.blockId)?.name ?? '';
  const wordsOf = (last: Stretch | undefined, next: Stretch) => (next.kind === 'explain' ? `Next: ${nameOf(next)}` : cueWords(last, next, wording));
  useCues(cuesAhead(segments, reading, runMs, wording, 'That was it. Well done.', wordsOf), runMs, signals);
  useWakeLock();
  const segment = segments[reading.index];
  const item = day.items.find((one) => one.drill === segment?.blockId);
  const drill = page.drills.find((one) => one.slug === segment?.blockId);
  const spent = spentMs(segments, presses, runMs);
  const before = segment ? segments.slice(0, reading.index).findLast((one) => one.blockId !== segment.blockId) : segments.at(-1);
  const itemBefore = day.items.find((one) => one.drill === before?.blockId);
  const isPause = !segment || segment.kind === 'explain' || segment.kind === 'water';
  const finished = segment?.kind === 'water' ? item : itemBefore;
  const end = () => {
    timer.forget();
    onEnd();
  };
  if (reading.state === 'ready')
    return (
      <section className="home-timer tight" aria-label="Timer">
        <h2>{item?.name}</h2>
        {item && <p>{doseWords(item.dose, wording)}</p>}
        {drill && <Explained drill={drill} />}
        <Button
          variant="contained"
          className="big"
          onClick={() => {
            readySound();
            timer.press('start');
          }}
        >
          Go
        </Button>
        <Button variant="text" onClick={end}>
          Back to the list
        </Button>
      </section>
    );
  return (
    <section className="home-timer tight" aria-label="Timer">
      <p className="quiet">
        {segment ? `${day.items.findIndex((one) => one.drill === segment.blockId) + 1} of ${day.items.length}` : 'All done'}
        {segment?.set != null && segment.kind === 'work' && `, set ${segment.set}`}
      </p>
      <h2>{segment ? (segment.kind === 'explain' ? `Next: ${nameOf(segment)}` : nameOf(segment)) : `That was day ${day.number}. Well done, ${page.name}.`}</h2>
      {segment && (
        <>
          <p className="home-what">{segment.kind === 'explain' ? 'Read, get ready' : segmentWords(segment, wording)}</p>
          <p className="clock" role="timer" aria-live="off">
            {segment.endsByClock ? countdown(reading.remainingMs) : clock(reading.elapsedMs / 1000)}
          </p>
          {!segment.endsByClock && segment.kind === 'work' && <p className="quiet">about {clock(segment.seconds)}; press when it is done</p>}
          <div className="home-keys">
            <Button onClick={() => timer.press('back')}>Back</Button>
            {reading.state === 'paused' ? (
              <Button onClick={() => timer.press('resume')}>Go on</Button>
            ) : (
              <Button onClick={() => timer.press('pause')}>Pause</Button>
            )}
            <Button variant="contained" onClick={() => timer.press('next')}>
              {segment.endsByClock || isPause ? 'Next' : 'Done'}
            </Button>
          </div>
          {item && segment.kind !== 'water' && <p>{doseWords(item.dose, wording)}</p>}
          {drill && segment.kind === 'explain' && <Explained drill={drill} />}
          {drill?.points[0] && segment.kind === 'work' && <p className="quiet">{drill.points[0]}</p>}
        </>
      )}
      {isPause && finished && (
        <div className="tight">
          <h3>Write down: {finished.name}</h3>
          <WriteDown
            key={finished.drill}
            item={finished}
            wording={wording}
            today={today}
            timed={timedBySide(segments, spent, finished.drill)}
            onWriting={() => reading.state === 'running' && timer.press('pause')}
          />
        </div>
      )}
      <fieldset className="home-signals">
        <legend className="sr">Sound</legend>
        {(['tones', 'voice', 'buzz'] as const).map((name) => (
          <label key={name}>
            <input type="checkbox" checked={signals[name]} onChange={(event) => setSignals({ ...signals, [name]: event.target.checked })} /> {name}
          </label>
        ))}
        <label>
          <input type="checkbox" checked={goesOn} onChange={(event) => setGoesOn(event.target.checked)} /> goes on by itself
        </label>
      </fieldset>
      <Button variant={segment ? 'text' : 'contained'} onClick={end}>
        {segment ? 'Back to the list' : 'To the list'}
      </Button>
    </section>
  );
}

/** The quickest of the sets that no clock ended, by side. */
function timedBySide(segments: Stretch[], spent: number[], drill: string): Record<string, number> {
  const times: Record<string, number> = {};
  segments.forEach((one, i) => {
    const seconds = (spent[i] ?? 0) / 1000;
    const side = one.side ?? 'both';
    if (one.blockId === drill && one.kind === 'work' && !one.endsByClock && seconds >= 1) times[side] = Math.min(times[side] ?? Infinity, seconds);
  });
  return times;
}
