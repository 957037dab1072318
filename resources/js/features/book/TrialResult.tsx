import type { DrillTrial } from '../../shared/api/bookSchemas';
import { clock } from '../../shared/lib/format';
import { groundWords } from '../../shared/lib/walk';
import { PlanDrawing } from '../../shared/ui/PlanDrawing';
import { StitchLine } from '../../shared/ui/Stitches';
import { pathWords } from './fields';

interface TrialResultProps {
  trial: DrillTrial;
  name: string;
  /** The figures are of the moment before. */
  isPending: boolean;
  isChange: boolean;
}

/** What the drill in hand comes to, worked out by the server at every change. */
export function TrialResult({ trial, name, isPending, isChange }: TrialResultProps) {
  const { drill, worked, line } = trial;
  const labels = Object.fromEntries(trial.parameters.map((one) => [`layout.${one.name}`, one.label]));
  if (!drill)
    return (
      <div className="notice" role="status">
        <p>Not a whole drill yet:</p>
        <ul>
          {trial.faults.map((fault) => (
            <li key={`${fault.path} ${fault.message}`}>
              <span className="quiet">{pathWords(fault.path, labels)}:</span> {fault.message}
            </li>
          ))}
        </ul>
      </div>
    );
  return (
    <div className={`stack${isPending ? ' pending' : ''}`} aria-live="polite">
      <figure className="drawing paper" style={{ margin: 0 }}>
        <PlanDrawing drawing={drill.drawing} title={name} />
        <figcaption className="quiet">{groundWords(drill.drawing)}</figcaption>
      </figure>
      <StitchLine contacts={drill.contacts.slice(0, 24)} label={`Touches of one rep, right foot leading: ${drill.script}`} />
      {line && (
        <section className={line.startsNew ? 'note tight' : 'tight'}>
          <h2>{line.startsNew ? 'This starts a new record line' : 'Its numbers go on where they were'}</h2>
          {line.reasons.map((reason) => (
            <p key={reason}>{reason}</p>
          ))}
          <p className="quiet">
            {line.startsNew
              ? isChange
                ? 'Numbers so far stay where they are, beside the new ones.'
                : 'The old line stays with the drill it was copied from.'
              : 'The task is the same, so records compare.'}
          </p>
        </section>
      )}
      {!line && <p className="quiet">Nothing is counted, so there is no record line.</p>}
      {worked ? (
        <section className="tight">
          <h2>For your {worked.players === 1 ? 'player' : `${worked.players} players`}</h2>
          <p>
            <span className="num">{clock(worked.block.meanSeconds)}</span> with set-up and explaining, {worked.block.stations}{' '}
            {worked.block.stations === 1 ? 'station' : 'stations'}, {worked.block.turns} {worked.block.turns === 1 ? 'turn' : 'turns'}.
          </p>
          <p>
            A player: <span className="left">left</span> <span className="num left">{worked.block.touches.left}</span>, <span className="right">right</span>{' '}
            <span className="num right">{worked.block.touches.right}</span>
            {worked.block.touches.other > 0 && (
              <>
                , foot unknown <span className="num">{worked.block.touches.other}</span>
              </>
            )}{' '}
            touches, {drill.touchesPerRep} a rep.
          </p>
          <p>Kit for one station: {drill.drawing.kit.join(', ')}.</p>
          <p>Written down: {countedWords(worked.block)}.</p>
          {worked.stationsFit !== null && (
            <p>
              At least {worked.stationsFit} {worked.stationsFit === 1 ? 'station fits' : 'stations fit'} your ground.
            </p>
          )}
          {worked.block.warnings.map((warning) => (
            <p key={warning.sentence} className="warn">
              {warning.sentence}
            </p>
          ))}
          <details>
            <summary>How do you know?</summary>
            {worked.block.how.map((sentence) => (
              <p key={sentence} className="quiet">
                {sentence}
              </p>
            ))}
          </details>
        </section>
      ) : (
        <p className="quiet">It comes with no dose and asks for one when it is planned.</p>
      )}
    </div>
  );
}

/** Which number is asked for. */
const countedWords = ({ counts, mayCount }: NonNullable<DrillTrial['worked']>['block']): string =>
  mayCount.find((one) => one.kind === counts)?.words ?? 'nothing of the drill as a whole';
