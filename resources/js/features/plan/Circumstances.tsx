import { NumberField } from '../../shared/ui/NumberField';
import type { PlanTools } from './usePlan';

/** Grown-ups beside the coach, and the heat: a switch for everybody, and the figure for those who measure. */
export function Circumstances({ tools }: { tools: PlanTools }) {
  const { plan, change, faultAt } = tools;
  return (
    <details className="side">
      <summary>
        Helpers and heat: {plan.helpers === 0 ? 'no helper' : plan.helpers === 1 ? 'one helper' : `${plan.helpers} helpers`}
        {!plan.laidBefore && ', nothing laid before'}
        {plan.isHot && ', hot'}
      </summary>
      <div className="fields" style={{ paddingTop: '0.6rem' }}>
        <NumberField
          key={`helpers ${tools.round}`}
          label="Helpers beside you"
          value={plan.helpers}
          onNumber={(helpers) => helpers !== null && change({ helpers })}
          fault={faultAt('helpers')}
        />
        <label className="tick">
          <input type="checkbox" checked={plan.laidBefore} onChange={(event) => change({ laidBefore: event.target.checked })} />
          First layout lies before the start
        </label>
        <label className="tick">
          <input type="checkbox" checked={plan.isHot} onChange={(event) => change({ isHot: event.target.checked })} />
          Hot today
        </label>
        <NumberField
          label="Temperature, °C"
          value={plan.temperatureCelsius}
          mayBeEmpty
          onNumber={(temperatureCelsius) => change({ temperatureCelsius })}
          fault={faultAt('temperatureCelsius')}
        />
        <NumberField
          label="Humidity, %"
          value={plan.humidityPercent}
          mayBeEmpty
          onNumber={(humidityPercent) => change({ humidityPercent })}
          fault={faultAt('humidityPercent')}
        />
      </div>
    </details>
  );
}
