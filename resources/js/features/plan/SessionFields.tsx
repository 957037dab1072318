import { Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import type { PlanTools } from './usePlan';

/** Name, place, start and slot. */
export function SessionFields({ tools }: { tools: PlanTools }) {
  const { plan, change, faultAt } = tools;
  return (
    <details className="side">
      <summary>Name, place and time</summary>
      <div className="fields" style={{ paddingTop: '0.6rem' }}>
        <div className="wide">
          <Field label="Called" value={plan.title} onValue={(title) => change({ title })} fault={faultAt('title')} />
        </div>
        <div className="wide">
          <Field label="Place" value={plan.place} onValue={(place) => change({ place })} fault={faultAt('place')} />
        </div>
        <Field label="Start" type="datetime-local" value={plan.startsAt} onValue={(startsAt) => startsAt && change({ startsAt })} fault={faultAt('startsAt')} />
        <NumberField
          label="Slot, minutes"
          value={plan.slotMinutes}
          onNumber={(slotMinutes) => slotMinutes !== null && change({ slotMinutes })}
          fault={faultAt('slotMinutes')}
        />
      </div>
    </details>
  );
}
