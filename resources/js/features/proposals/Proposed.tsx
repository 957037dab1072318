import { Button } from '../../shared/ui/Button';
import { useId } from 'react';
import type { ProposedBlock, Proposals } from '../../shared/api/bookSchemas';
import { clock, clockTime } from '../../shared/lib/format';
import { doseWords } from '../../shared/lib/doseWords';
import { Remarks } from '../../shared/ui/Remarks';
import { useFootWording } from '../../shared/ui/FootWords';

interface ProposedProps {
  proposal: Proposals['proposals'][number];
  number: number;
  startsAt: string;
  slotMinutes: number;
  onTake: (blocks: ProposedBlock[], slotMinutes: number) => void;
  onLock: (slug: string) => void;
  onBan: (slug: string) => void;
  locks: string[];
  bans: string[];
}

/** One proposed session: what, when, how much, and why each block is there. */
export function Proposed({ proposal, number, startsAt, slotMinutes, onTake, onLock, onBan, locks, bans }: ProposedProps) {
  const id = useId();
  const { evaluation } = proposal;
  return (
    <section className="card proposed" aria-labelledby={id}>
      <div className="spread">
        <h2 id={id}>Session {number}</h2>
        <Button onClick={() => onTake(proposal.blocks, slotMinutes)} aria-label={`Take session ${number}`}>
          Take this one
        </Button>
      </div>
      <p className="quiet">
        Done by <span className="num">{clockTime(startsAt, evaluation.fiveInTenSeconds)}</span> half the time,{' '}
        <span className="num">{clockTime(startsAt, evaluation.eightInTenSeconds)}</span> eight in ten. <span className="left">left</span>{' '}
        <span className="num left">{evaluation.touches.left}</span>, <span className="right">right</span>{' '}
        <span className="num right">{evaluation.touches.right}</span> touches a player.
      </p>
      <ol className="rows">
        {proposal.blocks.map((block) => (
          <Block
            key={block.id}
            block={block}
            at={clockTime(startsAt, evaluation.blocks.find((one) => one.id === block.id)?.startSeconds ?? 0)}
            length={clock(evaluation.blocks.find((one) => one.id === block.id)?.meanSeconds ?? 0)}
            isLocked={block.drill !== null && locks.includes(block.drill)}
            isBanned={block.drill !== null && bans.includes(block.drill)}
            onLock={onLock}
            onBan={onBan}
          />
        ))}
      </ol>
      <Remarks isNested remarks={evaluation.remarks} />
      {proposal.notes.map((note) => (
        <p key={note} className="quiet">
          {note}
        </p>
      ))}
    </section>
  );
}

interface BlockProps {
  block: ProposedBlock;
  at: string;
  length: string;
  isLocked: boolean;
  isBanned: boolean;
  onLock: (slug: string) => void;
  onBan: (slug: string) => void;
}

function Block({ block, at, length, isLocked, isBanned, onLock, onBan }: BlockProps) {
  const wording = useFootWording();
  const { drill } = block;
  return (
    <li className="tight">
      <div className="spread">
        <span>
          <span className="num">{at}</span> <strong>{block.title}</strong>
        </span>
        <span className="num">{length}</span>
      </div>
      <p className="quiet">
        {block.phase && `${block.phase}: `}
        {block.dose ? doseWords(block.dose, wording) : `${block.minutes ?? 0} min`}
      </p>
      {block.reasons.length > 0 && (
        <details>
          <summary>{block.reasons[0]?.words}</summary>
          <ul className="tight">
            {block.reasons.map((reason) => (
              <li key={reason.term} className="spread">
                <span>{reason.words}</span>
                <span className="num">
                  {reason.points > 0 ? '+' : ''}
                  {reason.points.toFixed(1)}
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
      {drill && (
        <p>
          {isLocked ? (
            <span className="quiet">Stays the next time you ask. </span>
          ) : (
            <button type="button" className="link" onClick={() => onLock(drill)} aria-label={`Must be in: ${block.title}`}>
              Must be in
            </button>
          )}{' '}
          {isBanned ? (
            <span className="quiet">Left out the next time you ask.</span>
          ) : (
            <button type="button" className="link" onClick={() => onBan(drill)} aria-label={`Leave out: ${block.title}`}>
              Leave out
            </button>
          )}
        </p>
      )}
    </li>
  );
}
