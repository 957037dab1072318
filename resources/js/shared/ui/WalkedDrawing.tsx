import { Button } from './Button';
import { useEffect, useState } from 'react';
import type { Drawing } from '../api/schemas';
import { whereAt, type Walk } from '../lib/walk';
import { PlanDrawing } from './PlanDrawing';

/** A layout that can be walked through at the drill's tempo. Nobody who asks for less motion sees it move: they step through it. */
export function WalkedDrawing({ drawing, title }: { drawing: Drawing; title: string }) {
  const { walk } = drawing;
  const [seconds, setSeconds] = useState<number | null>(null);
  const [isWalking, setWalking] = useState(false);
  useEffect(() => {
    if (!isWalking || !walk) return;
    const began = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      const gone = (now - began) / 1000;
      setSeconds(gone % walk.seconds);
      // Three times through is enough to see it.
      if (gone < 3 * walk.seconds) frame = requestAnimationFrame(draw);
      else {
        setWalking(false);
        setSeconds(null);
      }
    });
    return () => cancelAnimationFrame(frame);
  }, [isWalking, walk]);
  if (!walk) return <PlanDrawing drawing={drawing} title={title} />;
  const isStill = matchMedia('(prefers-reduced-motion: reduce)').matches;
  const step = () => setSeconds((at) => (at === null ? 0 : at + walk.seconds / 8 > walk.seconds ? null : at + walk.seconds / 8));
  const at = (points: Walk['ball'], then: number) => (points.length > 0 ? whereAt(points, then) : null);
  const now = seconds === null ? undefined : { ball: at(walk.ball, seconds), worker: at(walk.worker, seconds) };
  return (
    <>
      <PlanDrawing drawing={drawing} title={title} now={now} />
      <p className="no-print">
        {isStill ? (
          <Button onClick={step}>{seconds === null ? 'Step through it' : 'Next step'}</Button>
        ) : (
          <Button
            onClick={() => {
              setWalking(!isWalking);
              setSeconds(null);
            }}
          >
            {isWalking ? 'Stop' : 'Walk through it'}
          </Button>
        )}
      </p>
    </>
  );
}
