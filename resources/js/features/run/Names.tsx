import { useEffect, useId, useRef, useState } from 'react';
import type { RunPack } from '../../shared/api/schemas';
import { Button } from '../../shared/ui/Button';
import { mostLetters, suggestions, type Beside } from './beside';
import { Aside } from './ServerCard';
import type { Clock } from './useClock';
import type { RunBlock } from './words';

interface NamesProps {
  pack: RunPack;
  block: RunBlock | undefined;
  clock: Clock;
  onClose: () => void;
}

/** One thing to mend beside a name: said, said again, mended; and who is to be looked at, which nobody else is shown. */
export function Names({ pack, block, clock, onClose }: NamesProps) {
  const [spokenTo, setSpokenTo] = useState<number | undefined>(undefined);
  const { beside, note } = clock;
  return (
    <Aside title="To one player" onClose={onClose}>
      <p className="quiet">What is not fixed comes back beside the name next time. Only you see whom you watch.</p>
      <ul className="beside">
        {pack.players.map(({ id, name }) => (
          <li key={id}>
            <Name
              name={name}
              reminder={beside.reminders[id]}
              isWatched={beside.watchedIds.includes(id)}
              isSpokenTo={spokenTo === id}
              onSpeak={() => setSpokenTo(spokenTo === id ? undefined : id)}
              onNote={(kind, words) => {
                note({ playerId: id, kind, words });
                setSpokenTo(undefined);
              }}
              words={suggestions(block?.drill)}
            />
          </li>
        ))}
      </ul>
    </Aside>
  );
}

interface NameProps {
  name: string;
  reminder: Beside['reminders'][number] | undefined;
  isWatched: boolean;
  isSpokenTo: boolean;
  onSpeak: () => void;
  onNote: (kind: 'said' | 'again' | 'fixed' | 'watch' | 'seen', words: string) => void;
  words: string[];
}

function Name({ name, reminder, isWatched, isSpokenTo, onSpeak, onNote, words }: NameProps) {
  return (
    <>
      <p>
        <strong>{name}</strong> {reminder && (reminder.isFixed ? `fixed: ${reminder.words}` : reminder.words)}
        {reminder && !reminder.isFixed && reminder.times > 1 && <span className="quiet"> ({reminder.times} times)</span>}
      </p>
      <div className="presses" role="group" aria-label={name}>
        {reminder && !reminder.isFixed && <Button onClick={() => onNote('fixed', reminder.words)}>Fixed</Button>}
        {reminder && <Button onClick={() => onNote('again', reminder.words)}>{reminder.isFixed ? 'Not yet' : 'Again'}</Button>}
        <Button aria-expanded={isSpokenTo} onClick={onSpeak}>
          Say
        </Button>
        <Button aria-pressed={isWatched} onClick={() => onNote(isWatched ? 'seen' : 'watch', '')}>
          Watch
        </Button>
      </div>
      {isSpokenTo && <Say name={name} words={words} onSay={(said) => onNote('said', said)} />}
    </>
  );
}

/** With a press what the drill knows of its faults, or in own words. */
function Say({ name, words, onSay }: { name: string; words: string[]; onSay: (said: string) => void }) {
  const id = useId();
  const [text, setText] = useState('');
  const [isEmpty, setEmpty] = useState(false);
  const form = useRef<HTMLFormElement>(null);
  // Of somebody at the end of the list it would open out of sight.
  useEffect(() => {
    form.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <form
      ref={form}
      className="say"
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() === '') setEmpty(true);
        else onSay(text.trim());
      }}
    >
      {words.map((one) => (
        <Button key={one} onClick={() => onSay(one)}>
          {one}
        </Button>
      ))}
      <label htmlFor={id}>In your words, to {name}</label>
      <input
        id={id}
        value={text}
        maxLength={mostLetters}
        aria-invalid={isEmpty}
        aria-describedby={isEmpty ? `${id}-said` : undefined}
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit" variant="contained">
        Keep it
      </Button>
      {isEmpty && (
        <p id={`${id}-said`} className="warn" role="alert">
          Say in a few words what {name} is to mend.
        </p>
      )}
    </form>
  );
}
