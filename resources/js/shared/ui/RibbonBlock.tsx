import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';

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

interface RibbonBlockProps {
  id: string;
  /** Spoken name: what it is, when, how long. */
  label: string;
  index: number;
  isSelected: boolean;
  from: number;
  to: number;
  /** Middles of the other blocks, in their order. */
  otherMiddles: number[];
  /** From the pointer to the ribbon's own scale. */
  across: (event: PointerEvent) => number;
  acts: RibbonActs;
  children: ReactNode;
}

const slack = 8;
const grip = 10;

/** A block that can be taken hold of: pull it to another place, or its end to another length. Keys do the same. */
export function RibbonBlock({ id, label, index, isSelected, from, to, otherMiddles, across, acts, children }: RibbonBlockProps) {
  const pull = useRef<{ what: 'move' | 'stretch'; startX: number; from: number; length: number; isUnderWay: boolean } | undefined>(undefined);
  const take = (event: PointerEvent<SVGElement>, what: 'move' | 'stretch') => {
    // A finger scrolls the ribbon; the running order below moves blocks by press.
    if (event.pointerType === 'touch' || event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    pull.current = { what, startX: across(event), from, length: Math.max(1, to - from), isUnderWay: false };
  };
  const drag = (event: PointerEvent<SVGElement>) => {
    const held = pull.current;
    if (!held) return;
    const x = across(event);
    if (!held.isUnderWay && Math.abs(x - held.startX) < slack) return;
    const isFirst = !held.isUnderWay;
    held.isUnderWay = true;
    if (held.what === 'stretch') acts.onStretch(id, Math.max(0.05, (x - held.from) / held.length), isFirst);
    else {
      const place = otherMiddles.filter((middle) => middle < x).length;
      if (place !== index) acts.onMove(id, place);
    }
  };
  const release = () => {
    const held = pull.current;
    pull.current = undefined;
    if (held && !held.isUnderWay) acts.onSelect(id);
  };
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
      onPointerDown={(event) => take(event, 'move')}
      onPointerMove={drag}
      onPointerUp={release}
      onPointerCancel={release}
      onClick={(event) => event.detail !== 0 && acts.onSelect(id)}
      onKeyDown={handleKey}
    >
      {children}
      {isSelected && (
        <g className="ribbon-grip" onPointerDown={(event) => take(event, 'stretch')} onPointerMove={drag} onPointerUp={release} onPointerCancel={release}>
          <rect x={to - grip} y={36} width={grip * 2} height={100} fill="transparent" />
          <line x1={to} x2={to} y1={62} y2={110} stroke="var(--ink)" strokeWidth="4" />
        </g>
      )}
    </g>
  );
}
