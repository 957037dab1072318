import { AnchorButton, Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { previewQuery, sessionQuery, squadQueries } from '../../shared/api/queries';
import { runPackQuery } from '../../shared/api/runQueries';
import type { BlockEvaluation, Drill, Evaluation, PlanBlock, RunPack, Session } from '../../shared/api/schemas';
import { doseWords } from '../../shared/lib/doseWords';
import { clock, clockTime, day } from '../../shared/lib/format';
import { questionsLine } from '../../shared/lib/recap';
import { PlanDrawing } from '../../shared/ui/PlanDrawing';
import { RoundMap } from '../../shared/ui/RoundMap';
import { useFootWording } from '../../shared/ui/FootWords';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { draftOf, planOf } from '../../shared/lib/planInHand';
import { ageWords, dutyWords, groupWords } from '../../shared/lib/groups';
import { targetsOf } from './targets';

const emptyDraft = { slotMinutes: 60, blocks: [], comingPlayerIds: [], startsAt: '' };

/** The session on paper: what, when, where, with what, what to say, and the numbers to beat. */
export function SheetPage() {
  const sessionId = Number(useParams().sessionId);
  const { squadId, squad } = useSquadId();
  const session = useQuery(sessionQuery(sessionId));
  const drills = useQuery(squadQueries.drills(squadId));
  // Anew each time: paper that is wrong stays wrong.
  const pack = useQuery({ ...runPackQuery(sessionId), staleTime: 0 });
  const worked = useQuery({
    ...previewQuery(session.data?.squadId ?? 0, session.data ? draftOf(planOf(session.data)) : emptyDraft),
    enabled: session.isSuccess,
    retry: false,
  });
  const failed = [session, drills, pack, worked].find((one) => one.isError);
  if (failed)
    return (
      <div className="page stack">
        <Failed fault={failed.error} onRetry={() => void Promise.all([session.refetch(), drills.refetch(), pack.refetch(), worked.refetch()])} />
        <p>
          <Link to={`/plan/${sessionId}`}>Back to the plan</Link>
        </p>
      </div>
    );
  if (!session.data || !drills.data || !pack.data || !worked.data) return <Loading what="the sheet" />;
  const plan = session.data;
  const all = [...drills.data, ...plan.olderDrills];
  const used = plan.blocks.flatMap((block) => all.find((drill) => drill.versionId === block.drillVersionId) ?? []);
  const cautions = [...new Set(used.flatMap((drill) => drill.cautions))];
  return (
    <>
      <div className="head">
        <h1>{plan.title}</h1>
        <p className="quiet">
          {squad?.name}, {day(plan.startsAt)} {plan.startsAt.slice(11)} to {clockTime(plan.startsAt, plan.slotMinutes * 60)}
          {plan.place && `, ${plan.place}`}. Done by {clockTime(plan.startsAt, worked.data.fiveInTenSeconds)} half the time,{' '}
          {clockTime(plan.startsAt, worked.data.eightInTenSeconds)} eight in ten.
        </p>
        <div className="acts no-print">
          <LinkButton to={`/plan/${sessionId}`} variant="text">
            Back to the plan
          </LinkButton>
          <AnchorButton href={`/api/v1/sessions/${sessionId}/calendar`} download={`session-${sessionId}.ics`}>
            For a calendar
          </AnchorButton>
          <Button variant="contained" onClick={() => print()}>
            Print
          </Button>
        </div>
      </div>
      <div className="page stack sheet" style={{ paddingTop: 0 }}>
        <p>
          <strong>{plan.comingPlayerIds.length} coming</strong>{' '}
          {plan.players
            .filter((player) => plan.comingPlayerIds.includes(player.id))
            .map((player) => (player.bib === null ? player.name : `${player.bib} ${player.name}`))
            .join(', ')}
        </p>
        <p>
          <strong>In the bag</strong> {kitWords(worked.data)}
        </p>
        {worked.data.warnings.map((warning) => (
          <p key={warning.sentence} className="warn">
            {warning.sentence}
          </p>
        ))}
        {plan.overrides.map((one) => (
          <p key={one.sentence} className="warn">
            {one.sentence} It stands: {one.reason} ({one.by ?? 'somebody'}, {day(`${one.on}T00:00`)})
          </p>
        ))}
        <ol className="sheet-blocks">
          {plan.blocks.map((block) => (
            <SheetBlock
              key={block.id}
              session={plan}
              block={block}
              drill={all.find((one) => one.versionId === block.drillVersionId)}
              worked={worked.data.blocks.find((one) => one.id === block.id)}
              pack={pack.data}
              questions={questionsLine(used)}
            />
          ))}
        </ol>
        {used
          .filter((drill, i) => drill.organisation.card && used.indexOf(drill) === i)
          .map((drill) => (
            <p key={drill.slug}>
              <strong>For the server of {drill.name}:</strong>{' '}
              {Object.values(drill.organisation.card ?? {})
                .filter(Boolean)
                .join(' ')}
            </p>
          ))}
        <p className="warn">
          {cautions.join(' ')} Two adults, a first-aider and a charged phone there; stop on pain, dizziness or a knock to the head. Thunder: inside for 30
          minutes after the last.
        </p>
      </div>
    </>
  );
}

const things: Record<string, [one: string, many: string]> = {
  ball: ['ball', 'balls'],
  goal: ['small goal', 'small goals'],
  target: ['target', 'targets'],
  wall: ['wall', 'walls'],
};

/** Everything that is on the ground at once, at most. */
function kitWords({ kit }: Evaluation): string {
  const parts = [
    ...Object.entries(kit.markers).map(([colour, count]) => `${count} ${colour} ${count === 1 ? 'marker' : 'markers'}`),
    ...Object.entries(kit.equipment).map(([thing, count]) => `${count} ${things[thing]?.[count === 1 ? 0 : 1] ?? thing}`),
    ...(kit.bibs > 0 ? [`${kit.bibs} bibs`] : []),
  ];
  return parts.join(', ') || 'nothing';
}

interface SheetBlockProps {
  session: Session;
  block: PlanBlock;
  drill: Drill | undefined;
  worked: BlockEvaluation | undefined;
  pack: RunPack;
  questions: string;
}

function SheetBlock({ session, block, drill, worked, pack, questions }: SheetBlockProps) {
  const wording = useFootWording();
  const targets = targetsOf(pack, block.id);
  const groups = worked ? groupWords(worked, session.players) : [];
  const duties = worked ? dutyWords(worked, session.players) : [];
  return (
    <li>
      <div className="spread">
        <h2>
          <span className="num">{clockTime(session.startsAt, worked?.startSeconds ?? 0)}</span> {block.title}
        </h2>
        <span className="num">{worked && clock(worked.meanSeconds)}</span>
      </div>
      {drill && block.dose && (
        <p>
          {doseWords(block.dose, wording)}
          {worked && `; ${worked.stations} ${worked.stations === 1 ? 'station' : 'stations'}, ${worked.turns} ${worked.turns === 1 ? 'turn' : 'turns'}`}. Each
          station: {drill.drawing.kit.join(', ')}. {worked?.reset?.words}
        </p>
      )}
      {worked?.ages.map((one) => (
        <p key={one.ageGroup}>{ageWords(one, session.players, wording)}</p>
      ))}
      {drill && (
        <div className="sheet-drill">
          <div className="drawing">
            <PlanDrawing drawing={drill.drawing} title={drill.name} isSmall />
          </div>
          <div>
            {drill.parts.length > 0 && <p>{drill.parts.map((part, i) => `${i + 1} ${part.name}`).join(' · ')}</p>}
            {drill.points.map((point) => (
              <p key={point}>{point}</p>
            ))}
            {drill.asks.map((ask) => (
              <p key={ask} className="quiet">
                {ask}
              </p>
            ))}
          </div>
        </div>
      )}
      {block.kind === 'talk' && <p>{questions}</p>}
      {worked && worked.round.length > 0 && session.blocks.findIndex((one) => one.together === block.together) === session.blocks.indexOf(block) && (
        <RoundMap round={worked.round} players={session.players} titles={Object.fromEntries(session.blocks.map((one) => [one.id, one.title]))} />
      )}
      {groups.length > 0 && (
        <p>
          <strong>Together</strong> {groups.join(' · ')}
        </p>
      )}
      {duties.length > 0 && <p>{duties.join(' ')}</p>}
      {targets.length > 0 && (
        <p>
          <strong>To beat</strong> {targets.map((one) => `${one.name} ${one.numbers}`).join(' · ')}
        </p>
      )}
    </li>
  );
}
