import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import type { Session, Warning } from '../../shared/api/schemas';
import { day } from '../../shared/lib/format';
import { Field } from '../../shared/ui/Field';
import { cured } from '../../shared/lib/draft';
import type { PlanTools } from './usePlan';

interface WarningsProps {
  tools: PlanTools;
  /** Null for the session as a whole. */
  blockId: string | null;
  warnings: Warning[];
  kept: Session['overrides'];
  onSay: (sentence: string) => void;
}

/** Each warning where it arises, with its cure to press; what is barred may stand only with a reason, which is kept. */
export function Warnings({ tools, blockId, warnings, kept, onSay }: WarningsProps) {
  const { plan } = tools;
  const cure = (one: NonNullable<Warning['cure']>) => {
    tools.press(one.kind === 'helper' ? { helpers: plan.helpers + 1 } : { blocks: cured(plan.blocks, blockId ?? '', one) });
    onSay(`${one.words}: done.`);
  };
  return warnings.map((warning) => (
    <div key={warning.sentence} className="warn under-slip">
      {warning.sentence}{' '}
      {warning.cure && (
        <button type="button" className="link" onClick={() => warning.cure && cure(warning.cure)}>
          {warning.cure.words}
        </button>
      )}
      {warning.isBarred && <Override tools={tools} blockId={blockId} warning={warning} kept={kept} />}
    </div>
  ));
}

interface OverrideProps {
  tools: PlanTools;
  blockId: string | null;
  warning: Warning;
  kept: Session['overrides'];
}

function Override({ tools, blockId, warning, kept }: OverrideProps) {
  const { overrides } = tools.plan;
  const [why, setWhy] = useState<string | undefined>(undefined);
  const isIt = (one: { blockId: string | null; code: string }) => one.blockId === blockId && one.code === warning.code;
  const stands = overrides.find(isIt);
  const by = kept.find((one) => isIt(one) && one.reason === stands?.reason);
  const put = (reason: string | undefined) => {
    tools.press({ overrides: [...overrides.filter((one) => !isIt(one)), ...(reason ? [{ blockId, code: warning.code, reason }] : [])] });
    setWhy(undefined);
  };
  if (stands)
    return (
      <p>
        It stands: {stands.reason}
        {by && ` (${by.by ?? 'somebody'}, ${day(`${by.on}T00:00`)})`}{' '}
        <button type="button" className="link" onClick={() => put(undefined)}>
          Take the reason back
        </button>
      </p>
    );
  if (why === undefined)
    return (
      <>
        {' '}
        <button type="button" className="link" onClick={() => setWhy('')}>
          Let it stand …
        </button>
      </>
    );
  return (
    <div className="tight">
      <Field label="Why it stands; kept with your name" value={why} onValue={setWhy} maxLength={300} autoFocus />
      <div className="acts-line">
        <Button disabled={why.trim() === ''} onClick={() => put(why.trim())}>
          Let it stand
        </Button>
        <Button variant="text" onClick={() => setWhy(undefined)}>
          Not after all
        </Button>
      </div>
    </div>
  );
}
