import { useDeferredValue, useState, useSyncExternalStore } from 'react';
import type { AtHome, HomeDay, HomeDrill, HomeItem } from '../shared/api/homeSchemas';
import { doseWords } from '../shared/lib/doseWords';
import { dayLength, localNow, mark, type FootWording } from '../shared/lib/format';
import { Button } from '../shared/ui/Button';
import { PlanThumb } from '../shared/ui/PlanThumb';
import { Explained } from './Explained';
import { entries, keptCode, onEntries } from './store';
import { Timer } from './Timer';
import { dayUnderWay } from './useTimer';
import { WriteDown } from './WriteDown';

/** The days of the week; the next one is open. */
export function DayView({ page }: { page: AtHome }) {
  const [number, setNumber] = useState(() => dayUnderWay(page) ?? page.nextDay);
  const [isTimed, setTimed] = useState(() => dayUnderWay(page) !== undefined);
  const all = useSyncExternalStore(onEntries, entries);
  const today = localNow().slice(0, 10);
  const code = keptCode() ?? '';
  const day = page.days.find((one) => one.number === number) ?? page.days[0];
  const isWritten = (item: HomeItem) => all.some((one) => one.code === code && one.drill === item.drill && one.on === today);
  const next = day?.items.find((item) => !isWritten(item));
  // The day and its button stand first; the long card follows. By name: a page fetched anew has other objects, and would close the
  // card for a moment under the hands of whoever writes in it.
  const opened = useDeferredValue(next?.drill, undefined);
  if (!day) return null;
  if (isTimed) return <Timer page={page} day={day} today={today} onEnd={() => setTimed(false)} />;
  return (
    <>
      <Streak {...page.streak} />
      <div className="ways" role="group" aria-label="Day">
        {page.days.map((one) => (
          <button key={one.number} type="button" aria-pressed={one.number === day.number} onClick={() => setNumber(one.number)}>
            Day {one.number}
          </button>
        ))}
      </div>
      <h2>
        {day.isOtherFoot ? `The ${page.footWording} foot only` : 'Both feet'}, {dayLength(day.minutes)}
      </h2>
      <Button variant="contained" className="big" onClick={() => setTimed(true)}>
        Start the timer
      </Button>
      <ol className="rows">
        {day.items.map((item, i) => (
          <ItemCard
            key={item.drill}
            item={item}
            number={i + 1}
            drill={page.drills.find((one) => one.slug === item.drill)}
            wording={page.footWording}
            isWritten={isWritten(item)}
            isNext={item.drill === opened}
            today={today}
          />
        ))}
      </ol>
      {next === undefined && (
        <p role="status" className="done">
          That was day {day.number}. Well done, {page.name}.
        </p>
      )}
    </>
  );
}

/** What hangs together is told; what has come apart is not. */
function Streak({ days, inAll }: AtHome['streak']) {
  if (inAll < 2) return null;
  return (
    <p>
      <strong className="num">{days >= 2 ? days : inAll}</strong> days of practice{' '}
      {days >= 2 ? `that hang together${inAll > days ? `, ${inAll} in all` : ''}` : 'so far'}.
    </p>
  );
}

interface ItemCardProps {
  item: HomeDay['items'][number];
  number: number;
  drill: HomeDrill | undefined;
  wording: FootWording;
  isWritten: boolean;
  isNext: boolean;
  today: string;
}

function ItemCard({ item, number, drill, wording, isWritten, isNext, today }: ItemCardProps) {
  // The next one stands open; what was opened by hand stays so.
  const [isOpen, setOpen] = useState<boolean | undefined>(undefined);
  const hasDrawing = drill !== undefined && drill.drawing.kind !== 'on-the-spot';
  return (
    <li className="home-card" data-done={isWritten ? 'yes' : 'no'}>
      <h3>
        <button type="button" aria-expanded={isOpen ?? isNext} onClick={() => setOpen(!(isOpen ?? isNext))}>
          <span>
            {number} {item.name}
          </span>
          <span className="quiet">{isWritten ? '✓ written down' : `${mark(item.minutes, 0.1)} min`}</span>
        </button>
      </h3>
      {(isOpen ?? isNext) && (
        <>
          <div className="spread">
            <p>
              <strong>{doseWords(item.dose, wording)}</strong>
            </p>
            {hasDrawing && <PlanThumb drawing={drill.drawing} />}
          </div>
          {drill && <Explained drill={drill} />}
          <WriteDown item={item} wording={wording} today={today} />
        </>
      )}
    </li>
  );
}
