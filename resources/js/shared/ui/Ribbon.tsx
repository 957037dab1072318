import { useRef } from 'react';
import type { BlockEvaluation, Evaluation } from '../api/schemas';
import { clock, clockTime } from '../lib/format';
import { RibbonBlock, RibbonGrip, type RibbonActs } from './RibbonBlock';
import { Pieces, mostTouches, seam } from './RibbonPieces';

const width = 1180;
/** Below the lower of the two rows of labels. */
const underLabels = 34;
const letter = 7.2;

interface RibbonProps {
  evaluation: Evaluation;
  titles: Record<string, string>;
  startsAt: string;
  slotMinutes: number;
  selectedId?: string | undefined;
  /** What may be done to its blocks; a picture without. */
  acts?: RibbonActs | undefined;
}

/** A session as one seam to scale: work in stitches, rest in gaps, set-up dotted, talk a bar, and where it is likely to end. */
export function Ribbon({ evaluation, titles, startsAt, slotMinutes, selectedId, acts }: RibbonProps) {
  const svg = useRef<SVGSVGElement>(null);
  const across = (event: { clientX: number }) => {
    const box = svg.current?.getBoundingClientRect();
    return box ? ((event.clientX - box.left) / box.width) * width : 0;
  };
  const selected = evaluation.blocks.find((block) => block.id === selectedId);
  const slot = slotMinutes * 60;
  const end = Math.max(slot, evaluation.eightInTenSeconds, evaluation.meanSeconds) * 1.02;
  const x = (seconds: number) => (seconds / end) * (width - 8) + 4;
  const most = mostTouches(evaluation.blocks);
  const fiveAt = x(evaluation.fiveInTenSeconds);
  const eightAt = x(evaluation.eightInTenSeconds);
  // The label of the block before reaches over this one's beginning.
  const isUnderLabel = (i: number) => {
    const before = evaluation.blocks[i - 1];
    const here = evaluation.blocks[i];
    return before !== undefined && here !== undefined && (titles[before.id] ?? '').length * letter > x(here.startSeconds) - x(before.startSeconds) - 3;
  };
  return (
    <svg ref={svg} viewBox={`0 0 ${width} 186`} role={acts ? 'group' : 'img'} aria-label={words(evaluation, titles, startsAt)}>
      <line x1={0} x2={width} y1={seam} y2={seam} stroke="var(--quiet)" strokeDasharray="1 4" />
      {evaluation.blocks.map((block, i) => {
        const title = titles[block.id] ?? '';
        const isSelected = block.id === selectedId;
        const drawn = (
          <Stretch
            block={block}
            title={title}
            x={x}
            most={most}
            isHigh={i % 2 === 1}
            lineFrom={i % 2 === 1 && isUnderLabel(i) ? underLabels : undefined}
            labelEnd={x(evaluation.blocks[i + 2]?.startSeconds ?? end)}
            isSelected={isSelected}
          />
        );
        if (!acts) return <g key={block.id}>{drawn}</g>;
        return (
          <RibbonBlock
            key={block.id}
            id={block.id}
            label={`${title}, ${clockTime(startsAt, block.startSeconds)}, ${clock(block.meanSeconds)} long`}
            index={i}
            isSelected={isSelected}
            otherMiddles={evaluation.blocks.filter((one) => one.id !== block.id).map((one) => x(one.startSeconds + one.meanSeconds / 2))}
            across={across}
            acts={acts}
          >
            {drawn}
          </RibbonBlock>
        );
      })}
      {acts && selected && (
        <RibbonGrip
          key={selected.id}
          id={selected.id}
          from={x(selected.startSeconds)}
          to={x(selected.startSeconds + selected.meanSeconds)}
          across={across}
          acts={acts}
        />
      )}
      <Scale startsAt={startsAt} end={end} x={x} />
      <line x1={x(slot)} x2={x(slot)} y1={34} y2={150} stroke="var(--ink)" strokeWidth="2" />
      <path d={`M${fiveAt - 6} 138h12l-6 11z`} fill="var(--ink)" />
      <path d={`M${eightAt - 6} 138h12l-6 11z`} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      <text x={fiveAt - 9} y={147} textAnchor="end" fontSize="13" fill="var(--ink)">
        5 in 10
      </text>
      <text
        x={Math.min(eightAt + 9, width - 2)}
        y={eightAt > width - 60 ? 132 : 147}
        textAnchor={eightAt > width - 60 ? 'end' : 'start'}
        fontSize="13"
        fill="var(--ink)"
      >
        8 in 10
      </text>
    </svg>
  );
}

interface StretchProps {
  block: BlockEvaluation;
  title: string;
  x: (seconds: number) => number;
  most: number;
  isHigh: boolean;
  /** Where the next label of the same height begins. */
  labelEnd: number;
  /** Where its line begins, so that it crosses no other's label; at its own label where that is left out. */
  lineFrom: number | undefined;
  isSelected: boolean;
}

function Stretch({ block, title, x, most, isHigh, labelEnd, lineFrom, isSelected }: StretchProps) {
  const from = x(block.startSeconds);
  const to = x(block.startSeconds + block.meanSeconds);
  const room = Math.max(3, Math.floor((labelEnd - from - 8) / letter));
  return (
    <g>
      {isSelected && <rect x={from} y={36} width={to - from} height={100} fill="var(--card)" stroke="var(--now)" strokeWidth="3" />}
      <rect x={from} y={20} width={to - from} height={116} fill="transparent" />
      <line x1={from} x2={from} y1={lineFrom ?? (isHigh ? 12 : 28)} y2={seam} stroke="var(--line)" />
      <text x={from + 3} y={isHigh ? 12 : 28} fontSize="13" fontWeight={isSelected ? 700 : 400} fill="var(--ink)">
        {title.length > room ? `${title.slice(0, room - 1)}…` : title}
      </text>
      <Pieces block={block} x={x} most={most} />
    </g>
  );
}

function Scale({ startsAt, end, x }: { startsAt: string; end: number; x: (seconds: number) => number }) {
  const ticks = Array.from({ length: Math.floor(end / 300) + 1 }, (_, i) => i * 300);
  return (
    <g>
      {ticks.map((seconds) => (
        <g key={seconds}>
          <line x1={x(seconds)} x2={x(seconds)} y1={150} y2={seconds % 900 === 0 ? 160 : 155} stroke="var(--quiet)" />
          {seconds % 900 === 0 && (
            <text x={x(seconds)} y={176} fontSize="13" textAnchor={seconds === 0 ? 'start' : 'middle'} fill="var(--quiet)">
              {clockTime(startsAt, seconds)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

function words(evaluation: Evaluation, titles: Record<string, string>, startsAt: string): string {
  const blocks = evaluation.blocks.map((block) => `${clockTime(startsAt, block.startSeconds)} ${titles[block.id] ?? ''}, ${clock(block.meanSeconds)}`);
  return `Time ribbon. ${blocks.join('. ')}.`;
}
