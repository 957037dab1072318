import type { Evaluation } from '../../shared/api/schemas';
import { clockTime } from '../../shared/lib/format';

interface FinishProps {
  evaluation: Evaluation;
  startsAt: string;
  slotMinutes: number;
  isComputing: boolean;
}

/** The line at the bottom: when it ends, whether it fits, and the touches of each foot. */
export function Finish({ evaluation, startsAt, slotMinutes, isComputing }: FinishProps) {
  const percent = Math.round(evaluation.chanceInSlot * 100);
  return (
    <div className={`foot${isComputing ? ' pending' : ''}`} role="status" aria-label="Totals">
      <span>
        Done by <span className="num">{clockTime(startsAt, evaluation.fiveInTenSeconds)}</span> half the time,{' '}
        <span className="num">{clockTime(startsAt, evaluation.eightInTenSeconds)}</span> eight in ten
      </span>
      <span className={percent < 50 ? 'warn' : undefined}>
        {percent > 99 ? 'over 99' : percent < 1 ? 'under 1' : percent}% to end in the {slotMinutes} minutes
      </span>
      <span className="totals">
        <span className="left">left</span> <span className="num left">{evaluation.touches.left}</span> &ensp;<span className="right">right</span>{' '}
        <span className="num right">{evaluation.touches.right}</span> touches a player, estimated
      </span>
    </div>
  );
}
