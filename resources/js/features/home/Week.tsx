import type { RoutineDay } from '../../shared/api/homeQueries';
import type { Drill } from '../../shared/api/schemas';
import { doseWords } from '../../shared/lib/doseWords';
import { mark } from '../../shared/lib/format';
import { PlanThumb } from '../../shared/ui/PlanThumb';
import { StitchLine } from '../../shared/ui/Stitches';
import { useFootWording } from '../../shared/ui/SquadChoice';
import { daysAlike } from './daysAlike';

interface WeekProps {
  days: RoutineDay[];
  drills: Drill[];
  name: string;
}

/** What to do, with a box for each day's number: the same on the screen and on one sheet of paper. */
export function Week({ days, drills, name }: WeekProps) {
  const groups = daysAlike(days);
  const used = drills.filter((drill) => days.some((day) => day.items.some((item) => item.drill === drill.slug)));
  const cautions = [...new Set(used.flatMap(({ cautions: own }) => own))].slice(0, 4);
  return (
    <div className="stack home-week">
      {groups.map(({ numbers, day }) => (
        <section key={numbers.join(' ')} className="tight">
          <div className="spread">
            <h2>
              {day.isOtherFoot ? 'The other foot only' : 'Both feet'}: {numbers.length === 1 ? 'day' : 'days'} {numbers.join(', ')}
            </h2>
            <span className="quiet">{`about ${mark(day.minutes, 0.1)} min a day, with pauses${day.minutes > 10 ? ' and water' : ''}`}</span>
          </div>
          <ol className="rows">
            {day.items.map((item, i) => (
              <Item key={item.drill} item={item} number={i + 1} drill={drills.find((one) => one.slug === item.drill)} days={numbers} />
            ))}
          </ol>
        </section>
      ))}
      <p className="quiet">
        {cautions.join(' ')} Not where cars come or hard edges are. Stop when something hurts, when you feel dizzy or after a knock to the head, and tell a
        grown-up.
      </p>
      <p className="quiet">Write each day&rsquo;s number into its box and bring the sheet along, {name}. A day missed is only a day missed.</p>
    </div>
  );
}

interface ItemProps {
  item: RoutineDay['items'][number];
  number: number;
  drill: Drill | undefined;
  days: number[];
}

function Item({ item, number, drill, days }: ItemProps) {
  const wording = useFootWording();
  const feet = item.dose.kind !== 'free' && 'sides' in item.dose && item.dose.sides === 'each' && drill?.scoring ? ['left', 'right'] : [''];
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
        <p>{doseWords(item.dose, wording)}</p>
        {drill && drill.contacts.length > 0 && <StitchLine contacts={drill.contacts.slice(0, 12)} label={`${item.name}, touch by touch`} scale={0.8} />}
        {drill?.points[0] && <p className="quiet">{drill.points[0]}</p>}
        {drill?.scoring && (
          <p className="quiet">
            Counts: {drill.scoring.unit === 's' ? 'seconds' : drill.scoring.unit}. {drill.scoring.countsOnlyIf}
          </p>
        )}
        {(item.easier ?? item.harder) && (
          <p className="quiet">
            {item.easier && <>Too hard: {item.easier}. </>}
            {item.harder && <>Too easy: {item.harder}.</>}
          </p>
        )}
        <p className="quiet no-print">Why: {item.reasons.join('; ')}.</p>
      </div>
      <div className="home-boxes">
        {item.target && (
          <p>
            to beat <span className="num">{item.target}</span>
          </p>
        )}
        {drill?.scoring &&
          feet.map((foot) => (
            <p key={foot} className="boxes" aria-hidden>
              {foot && <span className="quiet">{foot}</span>}
              {days.map((one) => (
                <span key={one} className="box">
                  {one}
                </span>
              ))}
            </p>
          ))}
      </div>
    </li>
  );
}
