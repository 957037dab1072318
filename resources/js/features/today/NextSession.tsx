import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useNavigate } from 'react-router';
import { squadQueries } from '../../shared/api/queries';
import type { Today } from '../../shared/api/schemas';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { givePlan } from './givePlan';

/** "Plan" and "Run" in the bar lead to the next session. */
function Next({ to }: { to: 'plan' | 'run' }) {
  const { squadId } = useSquadId();
  const today = useQuery(squadQueries.today(squadId));
  if (today.isPending) return <Loading what="the next session" />;
  if (today.isError)
    return (
      <div className="page">
        <Failed fault={today.error} onRetry={() => void today.refetch()} />
      </div>
    );
  if (!today.data.next)
    return (
      <div className="page stack">
        <h1>No session ahead</h1>
        <p>
          <Link to="/today">Add one on Today</Link>, then it can be planned and run.
        </p>
      </div>
    );
  return to === 'run' ? <ToRun sessionId={today.data.next.id} /> : <ToPlan session={today.data.next} asOfMs={today.dataUpdatedAt} />;
}

function ToPlan({ session, asOfMs }: { session: NonNullable<Today['next']>; asOfMs: number }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  useEffect(() => {
    givePlan(client, session, asOfMs);
    void navigate(`/plan/${session.id}`, { replace: true });
  }, [client, navigate, session, asOfMs]);
  return <Loading what="the plan" />;
}

/** A run has an entry of its own: the browser goes there. */
function ToRun({ sessionId }: { sessionId: number }) {
  useEffect(() => window.location.replace(`/run/${sessionId}`), [sessionId]);
  return <Loading what="the run" />;
}

export const NextPlan = () => <Next to="plan" />;
export const NextRun = () => <Next to="run" />;
