import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { previewQuery, type PlanDraft } from '../../shared/api/queries';
import type { BlockEvaluation, Drill, Player } from '../../shared/api/schemas';
import { RoundMap } from '../../shared/ui/RoundMap';
import { ResetPicture } from '../../shared/ui/ResetPicture';
import { clock } from '../../shared/lib/format';
import { ageWords, dutyWords, groupWords } from '../../shared/lib/groups';
import { LastTime } from './LastTime';
import { useFootWording } from '../../shared/ui/FootWords';
import { SharesTable } from './WhoComes';

const parts: Record<string, string> = {
  setUp: 'Set-up',
  explain: 'Explaining',
  work: 'Work and rest',
  changeOver: 'Changing over',
  write: 'Writing down',
  other: 'As planned',
};

/** How the block's time and touches come about, and what to say. */
interface BlockDetailsProps {
  worked: BlockEvaluation;
  drill: Drill | undefined;
  /** The drill whose markers still stand, if any. */
  before: Drill | undefined;
  players: Player[];
  squadId: number;
  draft: PlanDraft;
  /** Block id → title. */
  titles: Record<string, string>;
}

export function BlockDetails({ worked, drill, before, players, squadId, draft, titles }: BlockDetailsProps) {
  const groups = groupWords(worked, players);
  const duties = dutyWords(worked, players);
  const wording = useFootWording();
  const together = (groups.length > 0 || duties.length > 0) && (
    <section className="tight">
      <h2>Who with whom</h2>
      {groups.map((group) => (
        <p key={group}>{group}</p>
      ))}
      {duties.map((duty) => (
        <p key={duty}>{duty}</p>
      ))}
    </section>
  );
  return (
    <div className="stack">
      <section className="tight">
        <h2>Where the time goes</h2>
        <ul className="rows">
          {Object.entries(worked.partSeconds)
            .filter(([, seconds]) => seconds > 0)
            .map(([part, seconds]) => (
              <li key={part} className="spread" style={{ padding: '0.15rem 0' }}>
                <span>{parts[part] ?? part}</span>
                <span className="num">{clock(seconds)}</span>
              </li>
            ))}
        </ul>
        {worked.reset?.words && <p className="quiet">{worked.reset.words}</p>}
        <details>
          <summary>How do you know?</summary>
          <ul className="tight quiet">
            {worked.how.map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </details>
      </section>
      {worked.touches.other > 0 && !drill && (
        <section className="tight">
          <h2>With the ball</h2>
          <OfAPlayer touches={worked.touches} />
          <EachPlayer blockId={worked.id} squadId={squadId} draft={draft} players={players} />
        </section>
      )}
      {!drill && together}
      {drill && (
        <>
          <section className="tight">
            <h2>
              {worked.stations} {worked.stations === 1 ? 'station' : 'stations'}, {worked.turns} {worked.turns === 1 ? 'turn' : 'turns'}
            </h2>
            {worked.ages.map((one) => (
              <p key={one.ageGroup}>{ageWords(one, players, wording)}</p>
            ))}
            {worked.reset && <p>Markers: {resetWords(worked.reset)}.</p>}
            {before && drill.drawing.markers.length > 0 && <ResetPicture from={before} to={drill} />}
            <p className="quiet">{worked.longestWaitSeconds > 0 ? `Longest wait ${clock(worked.longestWaitSeconds)}.` : 'Nobody waits.'}</p>
            <OfAPlayer touches={worked.touches} />
            <EachPlayer blockId={worked.id} squadId={squadId} draft={draft} players={players} />
          </section>
          {worked.round.length > 0 && (
            <section className="tight">
              <h2>Who is where</h2>
              <RoundMap round={worked.round} players={players} titles={titles} />
            </section>
          )}
          {together}
          <LastTime squadId={squadId} slug={drill.slug} before={draft.startsAt.slice(0, 10)} players={players} />
          {drill.asks.length > 0 && (
            <section className="tight">
              <h2>Rules</h2>
              {drill.asks.map((ask) => (
                <p key={ask}>{ask}</p>
              ))}
            </section>
          )}
          <section className="tight">
            <h2>Say</h2>
            {drill.points.map((point) => (
              <p key={point}>{point}</p>
            ))}
          </section>
          {drill.faults.map((one) => (
            <section key={one.fault} className="tight">
              <h2>{one.fault}</h2>
              <p>{one.fix}</p>
            </section>
          ))}
          {drill.scoring && (
            <section className="tight">
              <h2>What counts</h2>
              <p>{drill.scoring.countsOnlyIf || 'Every rep.'}</p>
              {drill.scoring.fault && <p>{drill.scoring.fault}</p>}
              {drill.scoring.voids && <p>Void: {drill.scoring.voids}</p>}
            </section>
          )}
          <section className="tight">
            {drill.cautions.map((caution) => (
              <p key={caution} className="warn">
                {caution}
              </p>
            ))}
          </section>
        </>
      )}
    </div>
  );
}

/** What to do with the markers on the ground: those that stay are said first. */
function resetWords({ kept, moved, added, lifted }: NonNullable<BlockEvaluation['reset']>): string {
  const parts = [
    [kept, 'stay'],
    [moved, 'move'],
    [added, 'to lay'],
    [lifted, 'to lift'],
  ] as const;
  return parts.flatMap(([count, words]) => (count > 0 ? [`${count} ${words}`] : [])).join(', ') || 'none';
}

/** Asked for when it is opened: for all blocks it would be half of every preview. */
function EachPlayer({ blockId, squadId, draft, players }: { blockId: string; squadId: number; draft: PlanDraft; players: Player[] }) {
  const [isOpen, setOpen] = useState(false);
  const answer = useQuery({ ...previewQuery(squadId, draft, blockId), enabled: isOpen, retry: false, placeholderData: (before) => before });
  const shares = answer.data?.blocks.find((block) => block.id === blockId)?.players ?? [];
  return (
    <details onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Each player in this block</summary>
      {answer.isError && <p className="quiet">This could not be read: {answer.error.message}</p>}
      {shares.length > 0 && (
        <div className="scroll" tabIndex={0} role="region" aria-label="Each player in this block, scrolls sideways">
          <SharesTable players={players} shares={shares} />
        </div>
      )}
    </details>
  );
}

/** What one player touches, on average over those coming. */
function OfAPlayer({ touches }: Pick<BlockEvaluation, 'touches'>) {
  // Of a game nobody knows with which foot.
  if (touches.left + touches.right === 0)
    return (
      <p>
        A player: <span className="num">{touches.other}</span> touches, foot unknown
      </p>
    );
  return (
    <p>
      A player: <span className="left">left</span> <span className="num left">{touches.left}</span>, <span className="right">right</span>{' '}
      <span className="num right">{touches.right}</span>
      {touches.other > 0 && (
        <>
          , foot unknown or other <span className="num">{touches.other}</span>
        </>
      )}{' '}
      touches
    </p>
  );
}
