import { Button } from '../../shared/ui/Button';
import type { Session } from '../../shared/api/schemas';
import { useFootWording } from '../../shared/ui/FootWords';
import { doseWords } from '../../shared/lib/doseWords';
import { type PlanInHand } from '../../shared/lib/planInHand';

interface StalePlanProps {
  mine: PlanInHand;
  other: Session;
  onTakeOther: () => void;
  onKeepMine: () => void;
}

/** Two people or windows changed one plan: both are shown, nothing is thrown away unasked. */
export function StalePlan({ mine, other, onTakeOther, onKeepMine }: StalePlanProps) {
  return (
    <div className="page" role="alert">
      <div className="notice stack">
        <p>This plan was changed in another window or by somebody else. Which one is right?</p>
        <div className="two">
          <Version title="Yours, not kept" plan={mine} />
          <Version title="The other, kept" plan={other} />
        </div>
        <div className="acts-line">
          <Button variant="contained" onClick={onKeepMine}>
            Keep mine over it
          </Button>
          <Button onClick={onTakeOther}>Take the other</Button>
        </div>
      </div>
    </div>
  );
}

function Version({ title, plan }: { title: string; plan: PlanInHand | Session }) {
  const wording = useFootWording();
  return (
    <section className="tight">
      <h2>{title}</h2>
      <p>
        {plan.title}, {plan.slotMinutes} min, {plan.comingPlayerIds.length} coming
      </p>
      <ol className="tight">
        {plan.blocks.map((block) => (
          <li key={block.id}>
            {block.title} <span className="quiet">{block.dose ? doseWords(block.dose, wording) : `${block.minutes} min`}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
