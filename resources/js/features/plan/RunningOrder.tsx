import { Button } from '../../shared/ui/Button';
import { useState, type ReactNode } from 'react';
import type { Drill, PlanBlock, Session } from '../../shared/api/schemas';
import { clock, clockTime } from '../../shared/lib/format';
import { useFootWording } from '../../shared/ui/FootWords';
import { AddBlock } from './AddBlock';
import { doseWords } from '../../shared/lib/doseWords';
import { Cuts } from './Cuts';
import { moved } from '../../shared/lib/draft';
import type { PlanTools } from './usePlan';
import { Warnings } from './Warnings';

interface RunningOrderProps {
  tools: PlanTools;
  /** Undefined while it is on its way. */
  book: Drill[] | undefined;
  noBook: ReactNode;
  selectedId: string | undefined;
  onSelect: (blockId: string) => void;
  /** What was let stand when the plan was last kept. */
  kept: Session['overrides'];
  /** The block that is selected, shown where it stands; nothing where it is shown beside the order. */
  opened: ReactNode;
}

/** What a block in the order is known by on the page. */
export const blockAnchor = (blockId: string): string => `block-${blockId}`;

const isFirstOfRound = (blocks: PlanBlock[], at: number) => blocks[at]?.together !== blocks[at - 1]?.together;

/** The blocks in order; Alt with an arrow key moves the one in focus. */
export function RunningOrder({ tools, book, noBook, selectedId, onSelect, kept, opened }: RunningOrderProps) {
  const { plan, evaluation } = tools;
  const wording = useFootWording();
  const [spoken, setSpoken] = useState('');
  const move = (block: PlanBlock, by: -1 | 1) => {
    const blocks = moved(plan.blocks, block.id, by);
    if (blocks === plan.blocks) return;
    tools.change({ blocks });
    setSpoken(`${block.title} is now number ${blocks.findIndex((one) => one.id === block.id) + 1} of ${blocks.length}.`);
  };
  return (
    <>
      <p className="sr" role="status">
        {spoken}
      </p>
      {evaluation && <Warnings tools={tools} blockId={null} warnings={evaluation.warnings} kept={kept} onSay={setSpoken} />}
      <ol className="order">
        {plan.blocks.map((block, i) => {
          const worked = evaluation?.blocks.find((one) => one.id === block.id);
          const isSelected = block.id === selectedId;
          return (
            <li key={block.id} id={blockAnchor(block.id)}>
              <button
                type="button"
                className="slip"
                aria-expanded={isSelected}
                onClick={() => onSelect(block.id)}
                onKeyDown={(event) => {
                  if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
                  event.preventDefault();
                  move(block, event.key === 'ArrowUp' ? -1 : 1);
                }}
              >
                <span className="num">{worked ? clockTime(plan.startsAt, worked.startSeconds) : '–'}</span>
                <span>
                  <strong>{block.title}</strong>
                  {block.together && <span className="quiet">{isFirstOfRound(plan.blocks, i) ? 'Stations at the same time: ' : 'At the same time: '}</span>}
                  <span className="quiet">{block.dose ? doseWords(block.dose, wording) : `${block.minutes ?? 0} min`}</span>
                </span>
                <span className="num">{worked ? clock(worked.meanSeconds) : '–'}</span>
              </button>
              {worked && <Warnings tools={tools} blockId={block.id} warnings={worked.warnings} kept={kept} onSay={setSpoken} />}
              {isSelected && (
                <div className="acts-line" style={{ padding: '0 0.9rem 0.6rem 1.6rem', background: 'var(--card)' }}>
                  <Button variant="text" disabled={i === 0} onClick={() => move(block, -1)} aria-label={`Earlier: ${block.title}`}>
                    Earlier
                  </Button>
                  <Button variant="text" disabled={i === plan.blocks.length - 1} onClick={() => move(block, 1)} aria-label={`Later: ${block.title}`}>
                    Later
                  </Button>
                  <Button
                    variant="text"
                    aria-label={`Take out: ${block.title}`}
                    onClick={() => {
                      tools.change({ blocks: plan.blocks.filter((one) => one.id !== block.id) });
                      setSpoken(`${block.title} is taken out.`);
                    }}
                  >
                    Take out
                  </Button>
                </div>
              )}
              {isSelected && opened && <div className="opened stack">{opened}</div>}
            </li>
          );
        })}
      </ol>
      {evaluation && <Cuts tools={tools} cuts={evaluation.cuts} stillOverSeconds={evaluation.stillOverSeconds} onCut={setSpoken} />}
      <div className="side">
        <AddBlock
          book={book}
          noBook={noBook}
          onAdd={(block) => {
            tools.change({ blocks: [...plan.blocks, block] });
            onSelect(block.id);
          }}
        />
      </div>
    </>
  );
}
