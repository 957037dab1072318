import { Button } from '../../shared/ui/Button';

interface KeypadProps {
  /** Whether numbers have a decimal point (times). */
  withPoint: boolean;
  /** Whether the number is written in two halves. */
  inHalves: boolean;
  onKey: (key: string) => void;
  onNext: () => void;
}

/** Big keys for a wet thumb. They never take the focus, so the name in hand stays in hand. */
export function Keypad({ withPoint, inHalves, onKey, onNext }: KeypadProps) {
  const key = (value: string, label = value, words?: string) => (
    <Button
      key={value}
      tabIndex={-1}
      onPointerDown={(event) => event.preventDefault()}
      onMouseDown={(event) => event.preventDefault()}
      onClick={() => onKey(value)}
      aria-label={words ?? label}
    >
      {label}
    </Button>
  );
  return (
    <div className="keys" role="group" aria-label="Keys">
      {['1', '2', '3'].map((digit) => key(digit))}
      {key('back', '⌫', 'Delete')}
      {['4', '5', '6'].map((digit) => key(digit))}
      {key('void', 'void')}
      {['7', '8', '9'].map((digit) => key(digit))}
      {withPoint || inHalves ? (withPoint ? key('.', '.', 'Point') : key('+', '+', 'and in the second half')) : key('0')}
      {(withPoint || inHalves) && key('0')}
      <Button
        tabIndex={-1}
        variant="contained"
        style={{ gridColumn: withPoint || inHalves ? 'span 3' : '1 / -1' }}
        onMouseDown={(event) => event.preventDefault()}
        onPointerDown={(event) => event.preventDefault()}
        onClick={onNext}
      >
        next
      </Button>
    </div>
  );
}
