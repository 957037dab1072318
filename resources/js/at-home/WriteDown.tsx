import { useId, useState, useSyncExternalStore } from 'react';
import type { Felt, HomeAsk, HomeItem } from '../shared/api/homeSchemas';
import { bestCheck } from '../kernel/bestCheck';
import { isLikelySlip } from '../kernel/slip';
import { lineWords, mark, sideWords, type FootWording } from '../shared/lib/format';
import { Button } from '../shared/ui/Button';
import { readNumber, runsOf } from '../shared/lib/homeNumbers';
import { sendAll } from './sending';
import { entries, keepDraft, keepEntry, keptCode, keptDraft, onEntries } from './store';

interface WriteDownProps {
  item: HomeItem;
  wording: FootWording;
  today: string;
  /** What the timer measured, by side. @default none */
  timed?: Record<string, number>;
  /** Told when somebody begins to write. @default nobody is */
  onWriting?: () => void;
}

const feelings: [Felt, string][] = [
  ['easy', 'easy'],
  ['right', 'just right'],
  ['hard', 'hard'],
];

/** One number a foot, the best of the sets, and how it felt. What is typed stays until it is written down. */
export function WriteDown({ item, wording, today, timed = {}, onWriting }: WriteDownProps) {
  const code = keptCode() ?? '';
  const written = useSyncExternalStore(onEntries, entries).filter((one) => one.code === code && one.drill === item.drill && one.on === today);
  const [isMore, setMore] = useState(false);
  const draft = `${today} ${item.drill}`;
  const [texts, setTexts] = useState(() => keptDraft(draft));
  const [felt, setFelt] = useState<Felt | null>(null);
  const [doubt, setDoubt] = useState('');
  const [said, setSaid] = useState('');
  const read = item.asks.map((ask) => ({ ask, number: readNumber(texts[ask.line.key] ?? '', ask.line) }));
  const faults = read.filter(({ number }) => number !== null && 'fault' in number);
  const numbers = read.flatMap(({ ask, number }) => (number && !('fault' in number) ? [{ lineKey: ask.line.key, ...number, ask }] : []));
  const write = () => {
    if (faults.length > 0) return;
    const odd = numbers.find(({ ask, value }) => isLikelySlip(ask.best, value));
    if (odd && doubt === '') {
      setDoubt(`${odd.value}? The best so far is ${odd.ask.best ?? ''}. Press once more if it is right.`);
      return;
    }
    keepEntry({
      uuid: crypto.randomUUID(),
      code,
      drill: item.drill,
      name: item.name,
      on: today,
      felt,
      numbers: numbers.map(({ lineKey, value, parts }) => ({ lineKey, value, parts })),
      isSent: false,
      refusal: '',
    });
    void sendAll();
    const best = numbers.find(({ ask, value }) => bestCheck(ask.line.better, ask.best, value) === 'record');
    setSaid(best ? `${mark(best.value, best.ask.line.step)} is your best so far!` : 'Written down.');
    setTexts({});
    keepDraft(undefined);
    setFelt(null);
    setDoubt('');
    setMore(false);
  };
  if (written.length > 0 && !isMore)
    return (
      <div className="spread">
        <p role="status">
          ✓ {written.map((one) => one.numbers.map(({ value }) => value).join(' and ') || 'done').join(', then ')}. {said}
        </p>
        <Button variant="text" onClick={() => setMore(true)}>
          Another try
        </Button>
      </div>
    );
  return (
    <form
      className="write-down tight"
      aria-label={`Write down: ${item.name}`}
      noValidate
      onFocus={onWriting}
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      {item.asks.map((ask) => (
        <Ask
          key={ask.line.key}
          ask={ask}
          wording={wording}
          text={texts[ask.line.key] ?? ''}
          timed={timed[ask.line.side]}
          onText={(text) => {
            setSaid('');
            setDoubt('');
            const next = { ...texts, [ask.line.key]: text };
            setTexts(next);
            keepDraft({ of: draft, texts: next });
          }}
        />
      ))}
      <div className="ways" role="group" aria-label="How it felt">
        {feelings.map(([value, words]) => (
          <button key={value} type="button" aria-pressed={felt === value} onClick={() => setFelt(felt === value ? null : value)}>
            {words}
          </button>
        ))}
      </div>
      <Button type="submit" disabled={faults.length > 0}>
        {numbers.length > 0 ? 'Write down' : item.asks.length > 0 ? 'Done, no number' : 'Done'}
      </Button>
      <p role="status" className={doubt ? 'warn-words' : 'quiet'}>
        {doubt || said}
      </p>
    </form>
  );
}

interface AskProps {
  ask: HomeAsk;
  wording: FootWording;
  text: string;
  timed: number | undefined;
  onText: (text: string) => void;
}

function Ask({ ask, wording, text, timed, onText }: AskProps) {
  const id = useId();
  const { line } = ask;
  const read = readNumber(text, line);
  const fault = read && 'fault' in read ? read.fault : '';
  const runs = runsOf(line.kind) && read && !('fault' in read) && read.parts ? `best ${read.value}, ${read.parts.numbers[0] ?? 0} in all` : '';
  const label = [ask.item, sideWords(line.side, wording)].filter(Boolean).join(', ');
  const suggested = timed !== undefined && line.unit === 's' && text === '' ? mark(timed, line.step) : '';
  return (
    <div className="field ask">
      <label htmlFor={id}>
        {label} <span className="quiet">{lineWords(line)}</span>
        {ask.target && (
          <span className="beat">
            {' '}
            to beat <span className="num">{mark(ask.target.value, line.step)}</span>
          </span>
        )}
      </label>
      <input
        id={id}
        value={text}
        inputMode={runsOf(line.kind) ? 'text' : 'decimal'}
        autoComplete="off"
        aria-invalid={fault !== ''}
        aria-describedby={`${id}-more`}
        onChange={(event) => onText(event.target.value)}
      />
      {suggested && <Button onClick={() => onText(suggested)}>The timer says {suggested}</Button>}
      <span id={`${id}-more`} className={fault ? 'fault' : 'quiet'} role={fault ? 'alert' : undefined}>
        {fault || runs || (runsOf(line.kind) && text === '' ? 'After a drop go on: write the runs one after the other, 12 30 7.' : '')}
      </span>
    </div>
  );
}
