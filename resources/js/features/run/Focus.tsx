import { useEffect, useRef, useState } from 'react';
import type { Look } from '../../shared/api/runQueries';
import type { RunPack } from '../../shared/api/schemas';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Field';
import { seenWords, weightWords } from './looks';
import { Aside } from './ServerCard';
import type { Clock } from './useClock';
import type { RunBlock } from './words';

/** So long the last ball may be taken back. */
const undoMs = 10_000;

interface FocusProps {
  pack: RunPack;
  block: RunBlock & { drill: NonNullable<RunBlock['drill']> };
  clock: Clock;
  onClose: () => void;
}

/** One player looked at ball by ball, since nobody can judge five things while serving: a first touch, or a pass. */
export function Focus({ pack, block, clock, onClose }: FocusProps) {
  const { looks, look, undoLook, settleLooks, beside } = clock;
  const { drill } = block;
  const [playerId, setPlayerId] = useState(beside.watchedIds.find((id) => pack.players.some((one) => one.id === id)) ?? pack.players[0]?.id ?? 0);
  const [isPass, setPass] = useState(drill.family === 'passing');
  const settle = useRef(settleLooks);
  useEffect(() => {
    settle.current = settleLooks;
  });
  const count = looks.length;
  useEffect(() => {
    const timer = window.setTimeout(() => settle.current(), undoMs);
    return () => window.clearTimeout(timer);
  }, [count]);
  useEffect(() => () => settle.current(), []);
  const judge = (seen: Partial<Look>) => look({ playerId, drillSlug: drill.slug, ...seen });
  return (
    <Aside title={`In focus: ${drill.name}`} onClose={onClose}>
      <Choice
        label="Player"
        value={String(playerId)}
        options={pack.players.map(({ id, name }) => [String(id), name])}
        onValue={(id) => setPlayerId(Number(id))}
      />
      <div className="ways" role="group" aria-label="What is looked at">
        <button type="button" aria-pressed={!isPass} onClick={() => setPass(false)}>
          First touch
        </button>
        <button type="button" aria-pressed={isPass} onClick={() => setPass(true)}>
          Pass
        </button>
      </div>
      {isPass ? <PassTicks onJudge={judge} /> : <TouchWeights onJudge={judge} />}
      <p role="status">{seenWords(looks, playerId, drill.slug) || 'Nothing seen yet.'}</p>
      <div className="acts-line">
        <Button disabled={looks.at(-1)?.isSent !== false} onClick={undoLook}>
          Take the last one back
        </Button>
      </div>
    </Aside>
  );
}

const feet = [
  [true, 'far foot'],
  [false, 'near foot'],
  [null, 'not seen'],
] as const;

/** The weight is the press; which foot took it stays chosen from ball to ball. */
function TouchWeights({ onJudge }: { onJudge: (seen: Partial<Look>) => void }) {
  const [isFarFoot, setFarFoot] = useState<boolean | null>(null);
  return (
    <>
      <div className="ways" role="group" aria-label="Which foot took it">
        {feet.map(([foot, words]) => (
          <button key={words} type="button" aria-pressed={isFarFoot === foot} onClick={() => setFarFoot(foot)}>
            {words}
          </button>
        ))}
      </div>
      <div className="judge" role="group" aria-label="The first touch">
        {(['short', 'right', 'away'] as const).map((weight) => (
          <Button key={weight} onClick={() => onJudge({ weight, isFarFoot })}>
            {weightWords[weight]}
          </Button>
        ))}
      </div>
    </>
  );
}

const ticks = [
  ['isAccurate', 'accurate'],
  ['isRightPace', 'right pace'],
  ['isClean', 'clean'],
] as const;

/** Ticks first, then the press that counts the ball; a good pass is one press. */
function PassTicks({ onJudge }: { onJudge: (seen: Partial<Look>) => void }) {
  const all = { isAccurate: true, isRightPace: true, isClean: true };
  const [seen, setSeen] = useState(all);
  return (
    <>
      <div className="ways" role="group" aria-label="What was good">
        {ticks.map(([tick, words]) => (
          <button key={tick} type="button" aria-pressed={seen[tick]} onClick={() => setSeen({ ...seen, [tick]: !seen[tick] })}>
            {words}
          </button>
        ))}
      </div>
      <div className="judge">
        <Button
          variant="contained"
          onClick={() => {
            onJudge(seen);
            setSeen(all);
          }}
        >
          That was a pass
        </Button>
      </div>
    </>
  );
}
