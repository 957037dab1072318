import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import type { DrillSummary } from '../../shared/api/bookSchemas';
import { squadQueries } from '../../shared/api/queries';
import type { Drawing } from '../../shared/api/schemas';
import { doseWords } from '../../shared/lib/doseWords';
import { familyWords } from '../../shared/lib/format';
import { Field } from '../../shared/ui/Field';
import { useFootWording } from '../../shared/ui/FootWords';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { PlanThumb } from '../../shared/ui/PlanThumb';
import { StitchLegend, StitchLine } from '../../shared/ui/Stitches';
import { BookNav } from './BookNav';
import { DrillWishes } from './DrillWishes';
import { ImportDrills } from './ImportDrills';
import { useNamed } from './useNamed';

/** The drills of the book and of one's own, found by words and by what there is today. */
export function DrillsPage() {
  const { squad, squadId } = useSquadId();
  const [params, setParams] = useSearchParams();
  const wishes = Object.fromEntries([...params].map(([name, value]): [string, string] => [name, value.trim()]).filter(([, value]) => value !== ''));
  const { find: asked = '', ...there } = wishes;
  const fitting = useQuery(bookQueries.drills(squadId, there));
  const { found, fault } = useNamed('drill', fitting.data, asked);
  const wish = (name: string, value: string) =>
    setParams(
      (before) => {
        if (value === '') before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  return (
    <>
      <div className="head">
        <h1>Book of drills</h1>
        <p className="quiet">Each with its layout to scale, its touches, its dose and what counts.</p>
        <BookNav />
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        <div className="narrow">
          <Field
            label="Find a drill: wall, chest, zigzag, laces …"
            type="search"
            value={params.get('find') ?? ''}
            maxLength={120}
            onValue={(text) => wish('find', text)}
          />
        </div>
        <DrillWishes wishes={wishes} onWish={wish} onClear={() => setParams({}, { replace: true })} />
        {fitting.isPending && <Loading what="the book" />}
        {fitting.isError && <Failed fault={fitting.error} onRetry={() => void fitting.refetch()} />}
        {fault && (
          <p className="warn" role="status">
            {fault}
          </p>
        )}
        {found && <Found drills={found} />}
        {squad && squad.role !== 'assistant' && (
          <p>
            <Link to="/book/drills/warm-up-circuit-three/copy?fresh=circuit">Make a circuit of your own</Link>
          </p>
        )}
        {squad && squad.role !== 'assistant' && <ImportDrills squadId={squadId} />}
      </div>
    </>
  );
}

const peopleWords = { alone: 'alone', pair: 'in pairs', group: 'in a group' };

function Found({ drills }: { drills: DrillSummary[] }) {
  const wording = useFootWording();
  const { squadId } = useSquadId();
  // Drawings come after the words: whoever knows the name is gone before.
  const whole = useQuery(squadQueries.drills(squadId));
  const drawings = new Map((whole.data ?? []).map((one): [string, Drawing] => [one.slug, one.drawing]));
  if (drills.length === 0)
    return <p role="status">No drill fits all of this. Leave a wish out, or try a surface, such as sole, or what you have, such as wall.</p>;
  const families = [...new Set(drills.map((drill) => drill.family))];
  return (
    <>
      <p className="quiet" role="status">
        {drills.length} {drills.length === 1 ? 'drill' : 'drills'}
      </p>
      <StitchLegend />
      {families.map((family) => (
        <section key={family} className="tight">
          <h2>{familyWords(family)}</h2>
          <ul className="moves">
            {drills
              .filter((drill) => drill.family === family)
              .map((drill) => (
                <li key={drill.slug}>
                  <Link to={`/book/drills/${drill.slug}`}>{drill.name}</Link>
                  <span className="spread">
                    <StitchLine contacts={drill.contacts.slice(0, 8)} label="" />
                    <Thumb drawing={drawings.get(drill.slug)} />
                  </span>
                  <span>{drill.summary}</span>
                  <span className="quiet">
                    {[
                      drill.isOwn && 'your own',
                      drill.dose ? doseWords(drill.dose, wording) : 'no dose yet',
                      peopleWords[drill.people],
                      `from ${drill.fromAge}`,
                    ]
                      .filter(Boolean)
                      .join(' · ')}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </>
  );
}

function Thumb({ drawing }: { drawing: Drawing | undefined }) {
  return drawing ? <PlanThumb drawing={drawing} /> : null;
}
