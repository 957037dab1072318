import { useId } from 'react';
import type { BestCheck } from '../../kernel/bestCheck';
import { mark } from '../../shared/lib/format';

interface RollRowProps {
  name: string;
  toBeat: number | undefined;
  step: number;
  text: string;
  isHere: boolean;
  verdict: BestCheck | undefined;
  fault: string;
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

/** One player's line in the roll call. The on-screen keys type into it, so the system keyboard stays away. */
export function RollRow({ name, toBeat, step, text, isHere, verdict, fault, autoFocus, onText, onFocus, onLeave, onNext, onMove }: RollRowProps) {
  const id = useId();
  const [sign, words] = verdict ? signs[verdict] : ['', ''];
  return (
    <li className={isHere ? 'here' : undefined}>
      <label htmlFor={id}>{name}</label>
      <span className="num" style={{ fontSize: '1.35rem' }}>
        <span className="sr">to beat </span>
        {toBeat === undefined ? '–' : mark(toBeat, step)}
      </span>
      <span style={{ display: 'flex', alignItems: 'center' }}>
        <input
          id={id}
          inputMode="none"
          autoComplete="off"
          autoFocus={autoFocus}
          value={text}
          aria-describedby={fault || words ? `${id}-said` : undefined}
          aria-invalid={fault !== ''}
          onChange={(event) => onText(event.target.value.replace(/[^\d.,void]/g, ''))}
          onFocus={onFocus}
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
      {(fault || words) && (
        <span id={`${id}-said`} className={fault ? 'said warn' : words ? 'sr' : 'said'} role={fault ? 'alert' : undefined}>
          {fault || words}
        </span>
      )}
    </li>
  );
}
