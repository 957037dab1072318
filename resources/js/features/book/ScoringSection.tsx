import { Choice, Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { optionsOf, type SectionProps } from './sectionProps';
import { listAt, numberAt, objectAt, textAt, valueAt } from './fields';

/** How a number comes about. The codes make the record line; the words explain them and may be mended freely. */
export function ScoringSection({ fields, choices, faultAt, onChange }: SectionProps) {
  const isCounted = valueAt(fields, ['scoring']) !== undefined;
  const at = (name: string) => ['scoring', name];
  const choice = (name: string, label: string, from = name, usual = '') => (
    <Choice
      label={label}
      value={textAt(fields, at(name)) || usual}
      options={optionsOf(choices, from)}
      fault={faultAt(`scoring.${name}`)}
      onValue={(value) => onChange(at(name), value)}
    />
  );
  const measures = optionsOf(choices, 'measure').filter(([value]) => value !== 'protocol-score' || textAt(fields, at('kind')) === 'protocol-score');
  return (
    <section className="tight">
      <h2>What counts</h2>
      <div className="fields wide-labels">
        <Choice
          label="Measure"
          value={isCounted ? textAt(fields, at('kind')) : ''}
          options={[['', 'nothing is counted'], ...measures]}
          fault={faultAt('scoring.kind') ?? faultAt('scoring')}
          onValue={(kind) => onChange(['scoring'], kind === '' ? undefined : { starts: 'whistle', stops: 'whistle', ...objectAt(fields, ['scoring']), kind })}
        />
        {isCounted && choice('starts', 'Starts with')}
        {isCounted && choice('stops', 'Ends with')}
        {isCounted && choice('counts', 'One count is', 'counts', 'rep')}
        {isCounted && choice('owed', 'Written down', 'owed', 'best')}
      </div>
      {isCounted && (
        <>
          <Codes name="countsIf" title="Counts only if" {...{ fields, choices, onChange }} />
          <Codes name="voids" title="Void if" {...{ fields, choices, onChange }} />
          <div className="fields wide-labels">
            <Choice
              label="A fault is"
              value={textAt(fields, ['scoring', 'fault', 'what'])}
              options={[['', 'not counted'], ...optionsOf(choices, 'fault')]}
              fault={faultAt('scoring.fault.what')}
              onValue={(what) => onChange(at('fault'), what === '' ? undefined : { costs: 'ignored', ...objectAt(fields, at('fault')), what })}
            />
            {valueAt(fields, at('fault')) !== undefined && (
              <Choice
                label="and costs"
                value={textAt(fields, ['scoring', 'fault', 'costs'])}
                options={optionsOf(choices, 'faultCost')}
                fault={faultAt('scoring.fault.costs')}
                onValue={(costs) => onChange(['scoring', 'fault', 'costs'], costs)}
              />
            )}
            {textAt(fields, ['scoring', 'fault', 'costs']) === 'adds-seconds' && (
              <NumberField
                label="Seconds"
                value={numberAt(fields, ['scoring', 'fault', 'seconds']) ?? 1}
                fault={faultAt('scoring.fault.seconds')}
                onNumber={(value) => onChange(['scoring', 'fault', 'seconds'], value ?? 0)}
              />
            )}
            <div className="wide">
              <Field
                label="In your words"
                value={textAt(fields, at('words'))}
                fault={faultAt('scoring.words')}
                maxLength={500}
                onValue={(words) => onChange(at('words'), words === '' ? undefined : words)}
              />
            </div>
          </div>
        </>
      )}
    </section>
  );
}

function Codes({ name, title, fields, choices, onChange }: Pick<SectionProps, 'fields' | 'choices' | 'onChange'> & { name: string; title: string }) {
  const chosen = listAt(fields, ['scoring', name]);
  return (
    <details>
      <summary>
        {title}
        {chosen.length > 0 && `: ${chosen.length} chosen`}
      </summary>
      <div className="who-comes">
        {(choices[name] ?? []).map(({ value, words }) => (
          <label key={value}>
            <input
              type="checkbox"
              checked={chosen.includes(value)}
              onChange={(event) => onChange(['scoring', name], event.target.checked ? [...chosen, value] : chosen.filter((one) => one !== value))}
            />
            {words.replace(/\.$/, '')}
          </label>
        ))}
      </div>
    </details>
  );
}
