import { AnchorButton, Button } from '../../shared/ui/Button';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { sessionQuery, squadQueries } from '../../shared/api/queries';
import type { Drill, Evaluation, Session } from '../../shared/api/schemas';
import { clockTime, day } from '../../shared/lib/format';
import { Ribbon } from '../../shared/ui/Ribbon';
import { UprightRibbon } from '../../shared/ui/UprightRibbon';
import { useIsNarrow } from '../../shared/ui/useIsNarrow';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { Actual } from './Actual';
import { BlockDetails } from './BlockDetails';
import { BlockEditor } from './BlockEditor';
import { Circumstances } from './Circumstances';
import { DeleteSession } from './DeleteSession';
import { Finish } from './Finish';
import { PlanActs } from './PlanActs';
import { LastRecap, OwnRecap } from './Recaps';
import { blockAnchor, RunningOrder } from './RunningOrder';
import { roundTitles } from './roundTitles';
import { Remarks } from '../../shared/ui/Remarks';
import { mends } from '../../shared/lib/draft';
import { SeatsView } from './SeatsView';
import { SessionFields } from './SessionFields';
import { StalePlan } from './StalePlan';
import { usePlan, usePreviewAhead } from './usePlan';
import { useRibbonActs } from './useRibbonActs';
import { WhoComes } from './WhoComes';

export function PlanPage() {
  const sessionId = Number(useParams().sessionId);
  const { squadId } = useSquadId();
  const session = useQuery(sessionQuery(sessionId));
  const drills = useQuery(squadQueries.drills(squadId));
  usePreviewAhead(session.data);
  if (session.isError && !session.data)
    return (
      <div className="page">
        <Failed fault={session.error} onRetry={() => void session.refetch()} />
      </div>
    );
  if (!session.data) return <Loading what="the plan" />;
  const noBook = drills.isError ? <Failed fault={drills.error} onRetry={() => void drills.refetch()} /> : <Loading what="the book" />;
  return <Plan key={sessionId} session={session.data} book={drills.data} noBook={noBook} />;
}

/** Width in pixels up to which the style sheet puts the order, the block and its figures one below the other. */
const ONE_COLUMN = 1100;

/** The book is the heaviest of what a plan needs, so the plan is shown before it is here. */
function Plan({ session, book, noBook }: { session: Session; book: Drill[] | undefined; noBook: ReactNode }) {
  const drills = [...(book ?? []), ...session.olderDrills];
  const { squad } = useSquadId();
  const tools = usePlan(session);
  const { plan, evaluation } = tools;
  const isNarrow = useIsNarrow();
  const isOneColumn = useIsNarrow(ONE_COLUMN);
  const [chosenId, setChosenId] = useState<string | undefined>(undefined);
  // In one column a block opens where it stands once it is pressed, and closes again; beside the order one is always shown.
  const selected = plan.blocks.find((block) => block.id === chosenId) ?? (isOneColumn ? undefined : plan.blocks[0]);
  const choose = (id: string) => setChosenId(isOneColumn && id === chosenId ? undefined : id);
  const show = (id: string) => {
    setChosenId(id);
    // Once it is open.
    if (isOneColumn) requestAnimationFrame(() => document.getElementById(blockAnchor(id))?.scrollIntoView());
  };
  const drill = drills.find((one) => one.versionId === selected?.drillVersionId);
  const index = plan.blocks.findIndex((block) => block.id === selected?.id);
  const before = plan.blocks.slice(0, Math.max(0, index)).findLast((block) => block.kind === 'drill' || block.kind === 'game');
  const drillBefore = drills.find((one) => one.versionId === before?.drillVersionId);
  const worked = evaluation?.blocks.find((block) => block.id === selected?.id);
  const titles = Object.fromEntries(plan.blocks.map((block) => [block.id, block.title]));
  const { acts, spoken } = useRibbonActs(tools, setChosenId);
  const isMissing = !book && selected !== undefined && selected.drillVersionId !== null && !drill;
  const editor = isMissing
    ? noBook
    : selected && <BlockEditor key={`${selected.id} ${tools.round}`} tools={tools} block={selected} index={index} drill={drill} worked={worked} />;
  const details = worked && !isMissing && (
    <BlockDetails
      worked={worked}
      drill={drill}
      before={drillBefore}
      players={session.players}
      squadId={session.squadId}
      draft={tools.settled}
      titles={titles}
    />
  );
  const seats = selected && (
    <SeatsView blockId={selected.id} title={selected.title} players={session.players} squadId={session.squadId} draft={tools.settled} />
  );
  const mayPlan = squad !== undefined && squad.role !== 'assistant';
  return (
    <>
      <div className="head">
        <h1>{plan.title || 'Untitled session'}</h1>
        <p className="quiet">
          {day(plan.startsAt)} {plan.startsAt.slice(11)} to {clockTime(plan.startsAt, plan.slotMinutes * 60)} · {plan.comingPlayerIds.length} of{' '}
          {session.players.length} coming
        </p>
        <div className="acts">
          <PlanActs tools={tools} squadId={session.squadId} sessionId={session.id} mayPlan={mayPlan} />
          {!mayPlan && <span className="quiet">Only the coach keeps changes.</span>}
          {tools.isDirty && mayPlan && (
            <Button variant="contained" onClick={tools.keep} disabled={tools.isKeeping}>
              {tools.isKeeping ? 'Keeping …' : 'Keep changes'}
            </Button>
          )}
          <AnchorButton href={`/run/${session.id}`} variant={tools.isDirty ? 'outlined' : 'contained'} disabled={tools.isDirty}>
            {tools.isDirty ? 'Keep first, then run' : 'Run'}
          </AnchorButton>
        </div>
      </div>
      {tools.stale && <StalePlan mine={plan} other={tools.stale} onTakeOther={tools.takeOther} onKeepMine={tools.keepMine} />}
      {tools.fault && (
        <div className="page" style={{ paddingTop: 0, paddingBottom: '0.8rem' }}>
          <p className="notice" role="alert">
            {tools.fault.fields.length > 0
              ? `${tools.fault.fields.map((field) => field.message).join(' ')} The totals below are from before.`
              : tools.fault.message}
          </p>
        </div>
      )}
      <p className="sr" role="status">
        {spoken}
      </p>
      {isNarrow ? (
        evaluation && (
          <div className={`page${tools.isComputing ? ' pending' : ''}`} role="region" aria-label="Time ribbon">
            <UprightRibbon
              evaluation={evaluation}
              titles={titles}
              startsAt={plan.startsAt}
              slotMinutes={plan.slotMinutes}
              selectedId={selected?.id}
              onSelect={show}
            />
          </div>
        )
      ) : (
        <div className={`ribbon${tools.isComputing ? ' pending' : ''}`} tabIndex={0} role="region" aria-label="Time ribbon, scrolls sideways">
          {evaluation && (
            <Ribbon evaluation={evaluation} titles={titles} startsAt={plan.startsAt} slotMinutes={plan.slotMinutes} selectedId={selected?.id} acts={acts} />
          )}
        </div>
      )}
      {!isOneColumn && seats}
      <div className="plan">
        <section aria-label="Running order">
          {session.lastRecap && <LastRecap last={session.lastRecap} />}
          <RunningOrder
            tools={tools}
            book={book && drills}
            noBook={noBook}
            selectedId={selected?.id}
            onSelect={choose}
            kept={session.overrides}
            opened={
              isOneColumn && (
                <>
                  {editor}
                  {seats}
                  {details}
                </>
              )
            }
          />
          <WhoComes tools={tools} players={session.players} evaluation={evaluation} />
          <Circumstances tools={tools} />
          <SessionFields tools={tools} />
          {evaluation && (
            <div className="side">
              <Remarks
                remarks={newRemarks(evaluation)}
                onShow={show}
                pressFor={({ rule, blockId }) => {
                  const press = mends(tools.plan.blocks, rule, blockId);
                  return press && { words: press.words, press: () => tools.press({ blocks: press.blocks }) };
                }}
              />
            </div>
          )}
          {session.isRun && <Actual sessionId={session.id} titles={roundTitles(session.blocks)} />}
          {session.isRun && <OwnRecap session={session} />}
          {mayPlan && <DeleteSession sessionId={session.id} squadId={session.squadId} version={tools.version} title={plan.title || 'this session'} />}
        </section>
        {(!isOneColumn || plan.blocks.length === 0) && (
          <>
            <section className="card" aria-label="Block">
              {editor ?? <p>Nothing planned yet. Add a drill{isOneColumn ? '' : ' on the left'}, and the clock starts to count.</p>}
            </section>
            <section className="side" aria-label="How it works out">
              {details}
            </section>
          </>
        )}
      </div>
      {evaluation && <Finish evaluation={evaluation} startsAt={plan.startsAt} slotMinutes={plan.slotMinutes} isComputing={tools.isComputing} />}
    </>
  );
}

/** What stands as a warning at its block already is not said twice. */
const newRemarks = (evaluation: Evaluation) => {
  const said = new Set(evaluation.blocks.flatMap((block) => block.warnings.map(({ sentence }) => sentence)));
  return evaluation.remarks.filter(({ sentence }) => !said.has(sentence));
};
