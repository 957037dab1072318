import { useRef, useState } from 'react';
import type { RibbonActs } from '../../shared/ui/RibbonBlock';
import { moved, movedTo, sizeOf, sized, stretched } from '../../shared/lib/draft';
import type { PlanTools } from './usePlan';

/** Moving and stretching blocks on the ribbon, with what is said of it. */
export function useRibbonActs(tools: PlanTools, onSelect: (blockId: string) => void): { acts: RibbonActs; spoken: string } {
  const [spoken, setSpoken] = useState('');
  const atFirst = useRef<number | undefined>(undefined);
  const { blocks } = tools.plan;
  const say = (after: typeof blocks, id: string) => {
    const at = after.findIndex((block) => block.id === id);
    setSpoken(`${after[at]?.title ?? ''} is now number ${at + 1} of ${after.length}.`);
  };
  const reorder = (after: typeof blocks, id: string) => {
    if (after === blocks) return;
    tools.press({ blocks: after });
    say(after, id);
  };
  const resize = (id: string, to: (block: (typeof blocks)[number]) => (typeof blocks)[number]) => {
    const block = blocks.find((one) => one.id === id);
    if (!block) return;
    const after = to(block);
    const size = sizeOf(after);
    if (size === sizeOf(block)) return;
    tools.press({ blocks: blocks.map((one) => (one.id === id ? after : one)) });
    setSpoken(`${block.title}: ${size}.`);
  };
  return {
    spoken,
    acts: {
      onSelect,
      onMove: (id, to) => reorder(movedTo(blocks, id, to), id),
      onStep: (id, by) => reorder(moved(blocks, id, by), id),
      onStretch: (id, share, isFirst) =>
        resize(id, (block) => {
          if (isFirst) atFirst.current = sizeOf(block);
          return atFirst.current === undefined ? block : sized(block, atFirst.current * share);
        }),
      onStretchStep: (id, by) => resize(id, (block) => stretched(block, by)),
    },
  };
}
