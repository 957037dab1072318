import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { findDrillsQuery } from '../../shared/api/queries';
import type { Drill } from '../../shared/api/schemas';
import { doseWords } from '../../shared/lib/doseWords';
import { familyWords } from '../../shared/lib/format';
import { Field } from '../../shared/ui/Field';
import { useFootWording, useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { StitchLine } from '../../shared/ui/Stitches';
import { BookNav } from './BookNav';

/** The drills of the book, found by surface, family, layout, kit or words. */
export function DrillsPage() {
  const { squadId } = useSquadId();
  const [params, setParams] = useSearchParams();
  const asked = params.get('find') ?? '';
  const found = useQuery(findDrillsQuery(squadId, asked.trim()));
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
            value={asked}
            inputProps={{ maxLength: 120 }}
            onValue={(text) => setParams(text === '' ? {} : { find: text }, { replace: true })}
          />
        </div>
        {found.isPending && <Loading what="the book" />}
        {found.isError && <Failed fault={found.error} onRetry={() => void found.refetch()} />}
        {found.data && <Found drills={found.data} asked={asked.trim()} />}
      </div>
    </>
  );
}

function Found({ drills, asked }: { drills: Drill[]; asked: string }) {
  const wording = useFootWording();
  if (drills.length === 0) return <p role="status">No drill fits “{asked}”. Try a surface, such as sole, or what you have, such as wall.</p>;
  const families = [...new Set(drills.map((drill) => drill.family))];
  return (
    <>
      <p className="quiet" role="status">
        {drills.length} {drills.length === 1 ? 'drill' : 'drills'}
      </p>
      {families.map((family) => (
        <section key={family} className="tight">
          <h2>{familyWords(family)}</h2>
          <ul className="moves">
            {drills
              .filter((drill) => drill.family === family)
              .map((drill) => (
                <li key={drill.slug}>
                  <Link to={`/book/drills/${drill.slug}`}>{drill.name}</Link>
                  <StitchLine contacts={drill.contacts} label="" />
                  <span>{drill.summary}</span>
                  <span className="quiet">{doseWords(drill.dose, wording)}</span>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </>
  );
}
