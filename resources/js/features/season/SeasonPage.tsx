import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import '../../shared/theme/season.css';
import { seasonQuery } from '../../shared/api/seasonQueries';
import type { SeasonPage as SeasonData } from '../../shared/api/seasonSchemas';
import { many, mark } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { How } from '../../shared/ui/How';
import { SeasonChoice } from '../../shared/ui/SeasonChoice';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { EndSeason } from './EndSeason';
import { FamilyBands } from './FamilyBands';
import { WhatIf } from './WhatIf';
import { planFrom } from './planFrom';

/** Weeks by families by feet, and what the next fortnight needs. */
export function SeasonPage() {
  const { squadId, squad } = useSquadId();
  const [asked, setAsked] = useSearchParams();
  const endedId = asked.get('season') === null ? undefined : Number(asked.get('season'));
  const season = useQuery(seasonQuery(squadId, endedId));
  if (season.isPending) return <Loading what="the season" />;
  if (season.isError)
    return (
      <div className="page">
        <Failed fault={season.error} onRetry={() => void season.refetch()} />
      </div>
    );
  const { data } = season;
  const mayPlan = squad !== undefined && squad.role !== 'assistant';
  return (
    <>
      <div className="head">
        <h1>{endedId === undefined ? 'The season so far' : data.season.name}</h1>
        <p className="quiet">
          {many(data.weeks.length, 'week')}, {many(data.sessions, 'session')}. One player&rsquo;s touches, on average of those who came: right above the seam,
          left below.
        </p>
        <div className="acts">
          <SeasonChoice
            ended={data.endedSeasons}
            endedId={endedId}
            onChoose={(id) => setAsked(id === undefined ? {} : { season: String(id) }, { replace: true })}
          />
        </div>
      </div>
      <div className="page season-two" style={{ paddingTop: 0 }}>
        <FamilyBands season={data} />
        <div className="stack">
          {endedId === undefined && <Needs season={data} mayPlan={mayPlan} squadId={squadId} />}
          <Load load={data.load} />
          <Planned times={data.times} overruns={data.overruns} timesEvidence={data.timesEvidence} overrunsEvidence={data.overrunsEvidence} />
          {mayPlan && <EndSeason squadId={squadId} season={data.season} ended={data.endedSeasons} />}
        </div>
      </div>
    </>
  );
}

function Needs({ season, mayPlan, squadId }: { season: SeasonData; mayPlan: boolean; squadId: number }) {
  const [isWondering, setWondering] = useState(false);
  const { needs, nextSessionId } = season;
  const first = needs[0];
  return (
    <section className="tight" aria-label="What the next fortnight needs">
      <h2>What the next fortnight needs</h2>
      <div className="acts-line">
        {mayPlan && first && nextSessionId !== null && (
          <LinkButton variant="contained" to={planFrom(nextSessionId, needs) ?? `/plan/${nextSessionId}/proposals`}>
            Plan from this
          </LinkButton>
        )}
        <Button onClick={() => setWondering(!isWondering)} aria-expanded={isWondering}>
          What if …
        </Button>
      </div>
      {isWondering && <WhatIf squadId={squadId} />}
      {needs.length === 0 && <p className="quiet">Nothing presses. Before the first session there is nothing to go by.</p>}
      <ul className="rows">
        {needs.map((need) => (
          <li key={need.about} className="tight">
            <span>
              <strong>{need.about}</strong>
              <br />
              <span className="quiet">{need.says}</span>
            </span>
            <div className="acts-line">
              <How evidence={need.evidence} of={need.about} />
              {mayPlan && nextSessionId !== null && planFrom(nextSessionId, [need]) !== null && (
                <LinkButton variant="text" to={planFrom(nextSessionId, [need]) ?? ''} aria-label={`Plan this: ${need.about}`}>
                  Plan this
                </LinkButton>
              )}
            </div>
          </li>
        ))}
      </ul>
      {mayPlan && nextSessionId === null && <p className="quiet">No session is planned. Add one under Today, then plan it from this.</p>}
    </section>
  );
}

function Load({ load }: Pick<SeasonData, 'load'>) {
  return (
    <section className="tight">
      <h2>Load</h2>
      {load.touches === null ? (
        <p className="quiet">Nothing is said until there are four weeks to hold the last one against.</p>
      ) : (
        <p>
          The last seven days had <span className="num">{load.touches}</span> times the touches of the four weeks before.{' '}
          <span className={load.touches > load.cautionOver ? 'warn-words' : 'quiet'}>Caution over {load.cautionOver}.</span>
        </p>
      )}
      {load.strikes !== null && (
        <p>
          Strikes: <span className="num">{load.strikes}</span> times.{' '}
          {load.strikes > load.cautionOver && <span className="warn-words">Technique, not power, on the other leg above all.</span>}
        </p>
      )}
      <How evidence={load.evidence} of="load" />
    </section>
  );
}

const parts: Record<SeasonData['times'][number]['part'], string> = { 'set-up': 'Laying out', explain: 'Explaining', change: 'Changing over' };

type PlannedProps = Pick<SeasonData, 'times' | 'overruns' | 'timesEvidence' | 'overrunsEvidence'>;

function Planned({ times, overruns, timesEvidence, overrunsEvidence }: PlannedProps) {
  const known = times.filter(({ blocks }) => blocks > 0);
  return (
    <section className="tight">
      <h2>Planned and done</h2>
      {known.length === 0 && overruns.length === 0 && <p className="quiet">No run has been timed yet.</p>}
      {known.length > 0 && (
        <p>
          {known.map(({ part, factor, blocks }, i) => (
            <span key={part}>
              {i > 0 && ', '}
              {i === 0 ? parts[part] : parts[part].toLowerCase()} takes you <span className="num">{factor}</span> times the plan{' '}
              <span className="quiet">({blocks} times)</span>
            </span>
          ))}
          .
        </p>
      )}
      {known.length > 0 && <How evidence={timesEvidence} of="your own times" />}
      <ul className="rows">
        {overruns.map(({ drill, name, over, of, minutes }) => (
          <li key={drill}>
            {name}{' '}
            <span className="quiet">{`took longer ${over} of ${of} times, ${minutes >= 0 ? '+' : '−'}${mark(Math.abs(minutes), 0.1)} min on average`}</span>
          </li>
        ))}
      </ul>
      {overruns.length > 0 && <How evidence={overrunsEvidence} of="what took longer" />}
    </section>
  );
}
