import { useEffect, useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';

/** What may be done to a block on the ribbon; each is told as the pointer moves, so that totals follow it. */
export interface RibbonActs {
  onSelect: (blockId: string) => void;
  /** To another place of the order, 0 first. */
  onMove: (blockId: string, to: number) => void;
  /** By one place. */
  onStep: (blockId: string, by: -1 | 1) => void;
  /** To so many times the length it had when the pulling began. */
  onStretch: (blockId: string, share: number, isFirst: boolean) => void;
  /** By one set, or half a minute. */
  onStretchStep: (blockId: string, by: -1 | 1) => void;
}

const slack = 8;
const grip = 10;

/**
 * Follows the pointer from where it went down until it is let go, on the ribbon's own scale. The window is listened to and not
 * the block: a block that changes its place is moved in the document, and would lose the pointer.
 */
function usePull(across: (event: { clientX: number }) => number, onPull: (x: number, isFirst: boolean) => void, onPress?: () => void) {
  const latest = useRef({ across, onPull, onPress });
  useEffect(() => {
    latest.current = { across, onPull, onPress };
  });
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  return (event: PointerEvent<SVGElement>) => {
    // A finger scrolls the ribbon; the running order below moves blocks by press.
    if (event.pointerType === 'touch' || event.button !== 0) return;
    event.stopPropagation();
    const startX = across(event);
    let isUnderWay = false;
    const follow = (moved: globalThis.PointerEvent) => {
      const x = latest.current.across(moved);
      if (!isUnderWay && Math.abs(x - startX) < slack) return;
      latest.current.onPull(x, !isUnderWay);
      isUnderWay = true;
    };
    const release = () => {
      stop.current();
      if (!isUnderWay) latest.current.onPress?.();
    };
    stop.current = () => {
      removeEventListener('pointermove', follow);
      removeEventListener('pointerup', release);
      removeEventListener('pointercancel', stop.current);
    };
    addEventListener('pointermove', follow);
    addEventListener('pointerup', release);
    addEventListener('pointercancel', stop.current);
  };
}

interface RibbonBlockProps {
  id: string;
  /** Spoken name: what it is, when, how long. */
  label: string;
  index: number;
  isSelected: boolean;
  /** Middles of the other blocks, in their order. */
  otherMiddles: number[];
  /** From the pointer to the ribbon's own scale. */
  across: (event: { clientX: number }) => number;
  acts: RibbonActs;
  children: ReactNode;
}

/** A block that can be taken hold of and pulled to another place. Keys do the same. */
export function RibbonBlock({ id, label, index, isSelected, otherMiddles, across, acts, children }: RibbonBlockProps) {
  const take = usePull(
    across,
    (x) => {
      const place = otherMiddles.filter((middle) => middle < x).length;
      if (place !== index) acts.onMove(id, place);
    },
    () => acts.onSelect(id),
  );
  const handleKey = (event: KeyboardEvent) => {
    const by = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : undefined;
    if (event.key === 'Enter' || event.key === ' ') acts.onSelect(id);
    else if (by && event.altKey) acts.onStep(id, by);
    else if (by && event.shiftKey) acts.onStretchStep(id, by);
    else return;
    event.preventDefault();
  };
  return (
    <g
      className="ribbon-block"
      role="button"
      tabIndex={0}
      aria-label={label}
      aria-pressed={isSelected}
      aria-keyshortcuts="Enter Alt+ArrowLeft Alt+ArrowRight Shift+ArrowLeft Shift+ArrowRight"
      onPointerDown={take}
      onClick={() => acts.onSelect(id)}
      onKeyDown={handleKey}
    >
      {children}
    </g>
  );
}

interface RibbonGripProps {
  id: string;
  from: number;
  to: number;
  across: (event: { clientX: number }) => number;
  acts: RibbonActs;
}

/** The end of the selected block, to be pulled longer or shorter; drawn over its neighbour. */
export function RibbonGrip({ id, from, to, across, acts }: RibbonGripProps) {
  const start = useRef({ from, length: 1 });
  const take = usePull(across, (x, isFirst) => acts.onStretch(id, Math.max(0.05, (x - start.current.from) / start.current.length), isFirst));
  return (
    <g
      className="ribbon-grip"
      onPointerDown={(event) => {
        start.current = { from, length: Math.max(1, to - from) };
        take(event);
      }}
    >
      <rect x={to - grip} y={36} width={grip * 2} height={100} fill="transparent" />
      <line x1={to} x2={to} y1={62} y2={110} stroke="var(--ink)" strokeWidth="4" />
    </g>
  );
}
