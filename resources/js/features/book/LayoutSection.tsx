import type { DrillTrial } from '../../shared/api/bookSchemas';
import { Choice } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { optionsOf, type SectionProps } from './sectionProps';
import { numberAt, objectAt, textAt, valueAt } from './fields';

const units: [string, string][] = [
  ['m', 'm'],
  ['yd', 'yd'],
  ['ft', 'ft'],
  ['pace', 'paces'],
];

/** The layout and what may be chosen of it; which those are, the server says. */
export function LayoutSection({ fields, choices, parameters, faultAt, onChange }: SectionProps & { parameters: DrillTrial['parameters'] }) {
  const { squad } = useSquadId();
  const kind = textAt(fields, ['layout', 'kind']);
  return (
    <section className="tight">
      <h2>Layout</h2>
      <div className="fields">
        <Choice
          label="Kind"
          value={kind}
          options={optionsOf(choices, 'layout')}
          fault={faultAt('layout.kind')}
          // What both kinds have stays.
          onValue={(next) => onChange(['layout'], { ...objectAt(fields, ['layout']), kind: next })}
        />
        {parameters.map((one) => {
          const path = ['layout', one.name];
          const fault = faultAt(`layout.${one.name}`);
          if (one.type === 'flag')
            return (
              <Choice
                key={`${kind} ${one.name}`}
                label={one.label}
                value={valueAt(fields, path) === false ? 'no' : 'yes'}
                options={[
                  ['yes', 'yes'],
                  ['no', 'no'],
                ]}
                fault={fault}
                onValue={(next) => onChange(path, next === 'yes')}
              />
            );
          if (one.type === 'whole')
            return (
              <NumberField
                key={`${kind} ${one.name}`}
                label={one.label}
                value={numberAt(fields, path)}
                fault={fault}
                onNumber={(value) => onChange(path, value ?? undefined)}
              />
            );
          const unit = textAt(fields, [...path, 'unit']) || (squad?.lengthUnit ?? 'm');
          return (
            <div key={`${kind} ${one.name}`} className="length">
              <NumberField
                label={one.label}
                value={numberAt(fields, [...path, 'value'])}
                fault={fault}
                onNumber={(value) => onChange(path, { value: value ?? 0, unit })}
              />
              <Choice
                label="in"
                value={unit}
                options={units}
                onValue={(next) => onChange(path, { value: numberAt(fields, [...path, 'value']) ?? 0, unit: next })}
              />
            </div>
          );
        })}
      </div>
    </section>
  );
}
