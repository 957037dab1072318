import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, Navigate } from 'react-router';
import { squadQueries } from '../../shared/api/queries';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';

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
  return to === 'run' ? <ToRun sessionId={today.data.next.id} /> : <Navigate to={`/plan/${today.data.next.id}`} replace />;
}

/** A run has an entry of its own: the browser goes there. */
function ToRun({ sessionId }: { sessionId: number }) {
  useEffect(() => window.location.replace(`/run/${sessionId}`), [sessionId]);
  return <Loading what="the run" />;
}

export const NextPlan = () => <Next to="plan" />;
export const NextRun = () => <Next to="run" />;
