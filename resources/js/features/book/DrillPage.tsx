import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { squadQueries } from '../../shared/api/queries';
import type { Drill } from '../../shared/api/schemas';
import { doseWords } from '../../shared/lib/doseWords';
import { familyWords } from '../../shared/lib/format';
import { PlanDrawing } from '../../shared/ui/PlanDrawing';
import { useFootWording, useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { StitchLine } from '../../shared/ui/Stitches';

export function DrillPage() {
  const { slug } = useParams();
  const { squadId } = useSquadId();
  const drills = useQuery(squadQueries.drills(squadId));
  if (drills.isPending) return <Loading what="the drill" />;
  if (drills.isError)
    return (
      <div className="page">
        <Failed fault={drills.error} onRetry={() => void drills.refetch()} />
      </div>
    );
  const drill = drills.data.find((one) => one.slug === slug);
  if (!drill)
    return (
      <div className="page stack">
        <h1>Not in the book</h1>
        <p>
          This drill is not in the book any more. <Link to="/book/drills">All drills</Link>
        </p>
      </div>
    );
  return <Shown drill={drill} />;
}

function Shown({ drill }: { drill: Drill }) {
  const wording = useFootWording();
  const { drawing, organisation } = drill;
  return (
    <>
      <div className="head">
        <h1>{drill.name}</h1>
        <p className="quiet">
          {familyWords(drill.family)}. {drill.summary}
        </p>
      </div>
      <div className="page two" style={{ paddingTop: 0 }}>
        <div className="stack">
          <figure className="drawing paper" style={{ margin: 0 }}>
            <PlanDrawing drawing={drawing} title={drill.name} />
            <figcaption className="quiet">
              One station takes {drawing.spaceText} with room round it
              {drawing.pathLength ? `; the ball travels ${drawing.pathLength.text} a rep.` : '.'}
              {drawing.runPath.length > 1 && ' The dotted way is the worker’s own.'}
            </figcaption>
          </figure>
          <section className="tight">
            <h2>Touches</h2>
            <StitchLine contacts={drill.contacts} times={2} label="" />
            <p className="quiet">
              <code>{drill.script}</code>
            </p>
          </section>
        </div>
        <div className="stack">
          <section className="tight">
            <h2>Dose</h2>
            <p>{doseWords(drill.dose, wording)}</p>
          </section>
          <section className="tight">
            <h2>A station</h2>
            <p>{drawing.kit.join(', ')}</p>
            <p className="quiet">
              {organisation.workers} {organisation.workers === 1 ? 'works' : 'work'}
              {organisation.playerServers > 0 && `, ${organisation.playerServers} serves and swaps`}
            </p>
          </section>
          <section className="tight">
            <h2>Say</h2>
            {drill.points.map((point) => (
              <p key={point}>{point}</p>
            ))}
          </section>
          {drill.faults.map((one) => (
            <section key={one.fault} className="tight">
              <h2>{one.fault}</h2>
              <p>{one.fix}</p>
            </section>
          ))}
          {drill.scoring && (
            <section className="tight">
              <h2>What counts, in {drill.scoring.unit === 's' ? 'seconds' : drill.scoring.unit}</h2>
              <p>{drill.scoring.countsOnlyIf || 'Every rep.'}</p>
              {drill.scoring.fault && drill.scoring.fault !== 'none' && <p>{drill.scoring.fault}</p>}
            </section>
          )}
          <section className="tight">
            {drill.cautions.map((caution) => (
              <p key={caution} className="warn">
                {caution}
              </p>
            ))}
          </section>
          <p>
            <Link to="/book/drills">All drills</Link>
          </p>
        </div>
      </div>
    </>
  );
}
