import { Button } from '../../shared/ui/Button';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { scoreOf } from '../../shared/api/bookQueries';
import { faultsOf } from '../../shared/api/faults';
import type { Drill } from '../../shared/api/schemas';
import { FormFault } from '../../shared/ui/FormFault';
import { NumberField } from '../../shared/ui/NumberField';
import { useSquadId } from '../../shared/ui/SquadChoice';

/** The time and the penalties of one run, and the score they make, line by line. */
export function ScoreSheet({ drill }: { drill: Drill }) {
  const { squadId } = useSquadId();
  const [seconds, setSeconds] = useState<number | null>(null);
  const [counts, setCounts] = useState<Record<string, number>>({});
  const score = useMutation({ mutationFn: () => scoreOf(squadId, drill.slug, seconds ?? 0, counts) });
  const { at, form } = faultsOf(score.error);
  return (
    <section className="tight no-print">
      <h2>Work out a score</h2>
      <form
        noValidate
        className="stack"
        onSubmit={(event) => {
          event.preventDefault();
          score.mutate();
        }}
      >
        <div className="fields wide-labels">
          <NumberField label="Time, s" value={seconds} onNumber={setSeconds} mayBeEmpty fault={at('seconds')} />
          {drill.penalties.map((penalty) => (
            <NumberField
              key={penalty.slug}
              label={`${penalty.words} (${penalty.seconds > 0 ? '+' : ''}${penalty.seconds} s)`}
              value={null}
              mayBeEmpty
              placeholder="0"
              fault={at(`counts.${penalty.slug}`)}
              onNumber={(count) => setCounts((before) => ({ ...before, [penalty.slug]: count ?? 0 }))}
            />
          ))}
        </div>
        <p>
          <Button type="submit" disabled={score.isPending}>
            Work it out
          </Button>
        </p>
      </form>
      <FormFault sentence={form} />
      {score.data && (
        <div role="status">
          <p>
            <span className="num" style={{ fontSize: '1.6rem' }}>
              {score.data.seconds}
            </span>{' '}
            points: {score.data.timeSeconds} s and {score.data.penaltySeconds} s of penalties.
          </p>
          {score.data.lines.map((line) => (
            <p key={line} className="quiet">
              {line}
            </p>
          ))}
        </div>
      )}
    </section>
  );
}
