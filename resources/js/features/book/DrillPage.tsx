import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { bookQueries } from '../../shared/api/bookQueries';
import type { DrillPageData } from '../../shared/api/bookSchemas';
import { ApiError } from '../../shared/api/client';
import { doseWords } from '../../shared/lib/doseWords';
import { familyWords } from '../../shared/lib/format';
import { DrillParts } from '../../shared/ui/DrillParts';
import { useFootWording } from '../../shared/ui/FootWords';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { StitchLegend, StitchLine } from '../../shared/ui/Stitches';
import { groundWords } from '../../shared/lib/walk';
import { WalkedDrawing } from '../../shared/ui/WalkedDrawing';
import { DrillActs } from './DrillActs';
import { DrillLadder } from './DrillLadder';
import { DrillTarget } from './DrillTarget';
import { ScoreSheet } from './ScoreSheet';

export function DrillPage() {
  const { slug = '' } = useParams();
  const { squadId } = useSquadId();
  const page = useQuery(bookQueries.drill(squadId, slug));
  if (page.isPending) return <Loading what="the drill" />;
  if (page.isError && page.error instanceof ApiError && page.error.kind === 'not-found')
    return (
      <div className="page stack">
        <h1>Not in the book</h1>
        <p>
          This drill is not in the book any more. <Link to="/book/drills">All drills</Link>
        </p>
      </div>
    );
  if (page.isError)
    return (
      <div className="page">
        <Failed fault={page.error} onRetry={() => void page.refetch()} />
      </div>
    );
  return <Shown page={page.data} />;
}

function Shown({ page }: { page: DrillPageData }) {
  const { drill } = page;
  const { drawing } = drill;
  return (
    <>
      <div className="head">
        <h1>{drill.name}</h1>
        <p className="quiet">
          {familyWords(drill.family)}. {drill.summary}
        </p>
        <DrillActs page={page} />
      </div>
      <div className="page two" style={{ paddingTop: 0 }}>
        <div className="stack">
          <figure className="drawing paper" style={{ margin: 0 }}>
            <WalkedDrawing drawing={drawing} title={drill.name} />
            <figcaption className="quiet">
              {groundWords(drawing)}
              {drawing.runPath.length > 1 && ' The dotted way is the worker’s own.'}
            </figcaption>
          </figure>
          <DrillParts drill={drill} />
          <section className="tight">
            <h2>{drawing.balls.length > 0 ? 'Touches' : 'Steps, without a ball'}</h2>
            {drill.parts.length === 0 && <StitchLine contacts={drill.contacts} times={2} label="" />}
            <StitchLegend />
            <p className="quiet">
              <code>{drill.script}</code>
            </p>
          </section>
          {drill.penalties.length > 0 && <ScoreSheet drill={drill} />}
          <DrillTarget key={drill.slug} page={page} />
          {drill.note && <p className="quiet">{drill.note}</p>}
        </div>
        <Words drill={drill} />
      </div>
    </>
  );
}

function Words({ drill }: { drill: DrillPageData['drill'] }) {
  const wording = useFootWording();
  const { organisation, scoring } = drill;
  return (
    <div className="stack">
      <Lines title="Dose" lines={[drill.dose ? doseWords(drill.dose, wording) : 'None yet: say how much when you plan it.']} />
      <Lines title="A station" lines={[drill.drawing.kit.join(', '), ...organisation.people]} />
      <Lines title="Rules" lines={drill.asks} />
      {scoring && (
        <Lines
          title={`What counts, in ${scoring.unit === 's' ? 'seconds' : scoring.unit}`}
          lines={[
            `From ${scoring.starts} to ${scoring.stops}.`,
            scoring.countsOnlyIf || 'Every rep.',
            scoring.voids && `Void: ${scoring.voids}`,
            scoring.fault,
          ]}
        />
      )}
      <Lines title="Say" lines={drill.points} />
      {drill.questions.map((question) => (
        <Lines key={question.ask} title={`Ask: ${question.ask}`} lines={question.hopedFor} />
      ))}
      {drill.judgesQuality && <Lines title="Move on when" lines={['Accurate, right pace and clean contact are all there.']} />}
      {drill.faults.map((one) => (
        <Lines key={one.fault} title={one.fault} lines={[one.fix]} />
      ))}
      {organisation.card && (
        <Lines
          title="For the server"
          lines={[
            organisation.card.give,
            organisation.card.call && `Call: ${organisation.card.call}`,
            organisation.card.count && `Count: ${organisation.card.count}`,
            organisation.card.stop,
          ]}
        />
      )}
      <section className="tight">
        {drill.cautions.map((caution) => (
          <p key={caution} className="warn">
            {caution}
          </p>
        ))}
      </section>
      <DrillLadder slug={drill.slug} />
      {drill.needs.length > 0 && (
        <section className="tight">
          <h2>Should be there first</h2>
          {drill.needs.map((move) => (
            <p key={move.slug}>
              <Link to={`/book/${move.slug}`}>{move.name}</Link>
            </p>
          ))}
        </section>
      )}
      <Lines title="In place of" lines={drill.standIns.map((one) => `${one.for}: ${one.use}`)} />
      <Lines
        title={`From ${drill.fromAge}`}
        lines={drill.levels.map((level) => `${level.ageGroup}: dose × ${level.dose}, distance × ${level.distance}, target × ${level.target}`)}
      />
      <p className="no-print">
        <Link to="/book/drills">All drills</Link>
      </p>
    </div>
  );
}

/** A heading and a sentence a line; nothing when there is nothing to say. */
function Lines({ title, lines }: { title: string; lines: string[] }) {
  const said = lines.filter((line) => line !== '');
  if (said.length === 0) return null;
  return (
    <section className="tight">
      <h2>{title}</h2>
      {said.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </section>
  );
}
