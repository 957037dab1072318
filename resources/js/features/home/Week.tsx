import type { RoutineDay } from '../../shared/api/routineSchemas';
import type { Drill } from '../../shared/api/schemas';
import { doseWords } from '../../shared/lib/doseWords';
import { dayLength, mark } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { PlanThumb } from '../../shared/ui/PlanThumb';
import { StitchLine } from '../../shared/ui/Stitches';
import { useFootWording } from '../../shared/ui/FootWords';
import { daysAlike } from './daysAlike';

interface WeekProps {
  days: RoutineDay[];
  drills: Drill[];
  onTakeOut: ((slug: string) => void) | undefined;
}

/** What is proposed, and why. */
export function Week({ days, drills, onTakeOut }: WeekProps) {
  const wording = useFootWording();
  return (
    <div className="stack">
      {daysAlike(days).map(({ numbers, day }) => (
        <section key={numbers.join(' ')} className="tight">
          <div className="spread">
            <h2>
              {day.isOtherFoot ? `The ${wording} foot only` : 'Both feet'}: {numbers.length === 1 ? 'day' : 'days'} {numbers.join(', ')}
            </h2>
            <span className="quiet">A day {dayLength(day.minutes)}</span>
          </div>
          <ol className="rows">
            {day.items.map((item, i) => (
              <Item key={item.drill} item={item} number={i + 1} drill={drills.find((one) => one.slug === item.drill)} onTakeOut={onTakeOut} />
            ))}
          </ol>
        </section>
      ))}
    </div>
  );
}

interface ItemProps {
  item: RoutineDay['items'][number];
  number: number;
  drill: Drill | undefined;
  onTakeOut: ((slug: string) => void) | undefined;
}

function Item({ item, number, drill, onTakeOut }: ItemProps) {
  const wording = useFootWording();
  return (
    <li className="home-item">
      {drill && <PlanThumb drawing={drill.drawing} />}
      <div className="tight">
        <p>
          <strong>
            {number} {item.name}
          </strong>{' '}
          <span className="quiet">about {mark(item.minutes, 0.1)} min</span>
        </p>
        <p>
          {doseWords(item.dose, wording)}
          {item.links !== null && `, the first ${item.links} links`}
        </p>
        {drill && drill.contacts.length > 0 && <StitchLine contacts={drill.contacts.slice(0, 12)} label={`${item.name}, touch by touch`} scale={0.8} />}
        <p className="quiet">Why: {item.reasons.join('; ')}.</p>
      </div>
      <div className="tight">
        {item.target && (
          <p>
            to beat <span className="num">{item.target}</span>
          </p>
        )}
        {onTakeOut && (
          <Button variant="text" onClick={() => onTakeOut(item.drill)} aria-label={`Take ${item.name} out`}>
            Take out
          </Button>
        )}
      </div>
    </li>
  );
}
