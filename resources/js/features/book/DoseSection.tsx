import { Button } from '../../shared/ui/Button';
import { dose as doseSchema } from '../../shared/api/schemas';
import { doseOfKind } from '../../shared/lib/doseWords';
import { DoseFields } from '../../shared/ui/DoseFields';
import type { SectionProps } from './sectionProps';
import { valueAt } from './fields';

/** How much of it; a drill may come with none and ask for one when it is planned. */
export function DoseSection({ fields, faultAt, onChange }: SectionProps) {
  const given = valueAt(fields, ['dose']);
  const dose = doseSchema.safeParse(given);
  const begin = () =>
    onChange(['dose'], valueAt(fields, ['circuit']) === undefined ? doseOfKind('timed', 'each') : { kind: 'circuit', rounds: 1, restSeconds: 0 });
  return (
    <section className="tight">
      <h2>Dose</h2>
      {dose.success ? (
        <>
          <div className="fields">
            <DoseFields dose={dose.data} onChange={(next) => onChange(['dose'], next)} faultAt={faultAt} />
          </div>
          {faultAt('dose') && <p className="fault">{faultAt('dose')}</p>}
          <p>
            <Button variant="text" onClick={() => onChange(['dose'], undefined)}>
              Leave it open until it is planned
            </Button>
          </p>
        </>
      ) : (
        <p className="acts-line">
          <span>{given === undefined ? 'Left open until it is planned.' : 'This dose cannot be read here.'}</span>
          <Button onClick={begin}>Say how much</Button>
        </p>
      )}
    </section>
  );
}
