import { useId } from 'react';
import type { BestCheck } from '../../kernel/bestCheck';
import { mark } from '../../shared/lib/format';
import type { Row } from './useRoll';

interface RollRowProps {
  row: Row;
  isHere: boolean;
  autoFocus: boolean;
  onText: (text: string) => void;
  onFocus: () => void;
  onLeave: () => void;
  onNext: () => void;
  onMove: (by: -1 | 1) => void;
}

const signs: Record<BestCheck, [sign: string, words: string]> = {
  first: ['•', 'first number'],
  record: ['▲', 'own record'],
  level: ['=', 'level with the record'],
  below: ['', ''],
};

/** Void is typed by its first letter. */
const allowed = (text: string): string => (/v/i.test(text) ? 'void' : text.replace(/[^\d.,+]/g, ''));

/** One player's line in the roll call. The on-screen keys type into it, so the system keyboard stays away. */
export function RollRow({ row, isHere, autoFocus, onText, onFocus, onLeave, onNext, onMove }: RollRowProps) {
  const id = useId();
  const [sign, words] = row.verdict ? signs[row.verdict] : ['', ''];
  const { text, fault } = row;
  const reason = text.startsWith('void ') ? text.slice(5) : '';
  const said = fault || reason || words;
  return (
    <li className={isHere ? 'here' : undefined}>
      <label htmlFor={id}>{row.name}</label>
      <span className="num" style={{ fontSize: '1.35rem' }}>
        <span className="sr">to beat </span>
        {row.toBeat === undefined ? '–' : mark(row.toBeat, row.line.step)}
      </span>
      <span style={{ display: 'flex', alignItems: 'center' }}>
        <input
          id={id}
          inputMode="none"
          autoComplete="off"
          autoFocus={autoFocus}
          value={reason ? 'void' : text}
          aria-describedby={said ? `${id}-said` : undefined}
          aria-invalid={fault !== ''}
          onChange={(event) => onText(allowed(event.target.value))}
          onFocus={(event) => {
            event.target.select();
            onFocus();
          }}
          onBlur={onLeave}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault();
              onNext();
            }
            if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
              event.preventDefault();
              onMove(event.key === 'ArrowUp' ? -1 : 1);
            }
          }}
        />
        <span aria-hidden style={{ width: '1.4rem' }}>
          {sign}
        </span>
      </span>
      {said && (
        <span id={`${id}-said`} className={fault ? 'said warn' : reason ? 'said' : 'sr'} role={fault ? 'alert' : undefined}>
          {said}
        </span>
      )}
    </li>
  );
}
