import type { DrillTrial } from '../../shared/api/bookSchemas';
import { Choice, Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { DoseSection } from './DoseSection';
import { numberAt, textAt, valueAt } from './fields';
import { LayoutSection } from './LayoutSection';
import { PeopleSection } from './PeopleSection';
import { ScoringSection } from './ScoringSection';
import { ScriptSection } from './ScriptSection';
import { optionsOf, type SectionProps } from './sectionProps';
import { WordsSection } from './WordsSection';

/** The fields of a drill in the order a coach thinks: what it is, where, what the feet do, how much, what counts, who, what to say. */
export function DrillSections({ parameters, ...section }: SectionProps & { parameters: DrillTrial['parameters'] }) {
  const { fields, choices, faultAt, onChange } = section;
  const isCircuit = valueAt(fields, ['circuit']) !== undefined;
  const travels = valueAt(fields, ['metresPerSecond']) !== undefined;
  const number = (name: string, label: string, mayBeEmpty = false) => (
    <NumberField
      label={label}
      value={numberAt(fields, [name])}
      mayBeEmpty={mayBeEmpty}
      onNumber={(value) => onChange([name], value ?? undefined)}
      fault={faultAt(name)}
    />
  );
  return (
    <>
      <section className="tight">
        <h2>What it is</h2>
        <div className="fields wide-labels">
          <div className="wide">
            <Field label="Name" value={textAt(fields, ['name'])} fault={faultAt('name')} maxLength={120} onValue={(name) => onChange(['name'], name)} />
          </div>
          <div className="wide">
            <Field
              label="In a sentence"
              value={textAt(fields, ['summary'])}
              fault={faultAt('summary')}
              maxLength={300}
              onValue={(summary) => onChange(['summary'], summary)}
            />
          </div>
          <Choice
            label="Family"
            value={textAt(fields, ['family'])}
            options={optionsOf(choices, 'family')}
            fault={faultAt('family')}
            onValue={(family) => onChange(['family'], family)}
          />
          <Choice
            label="From age"
            value={textAt(fields, ['fromAge'])}
            options={optionsOf(choices, 'fromAge')}
            fault={faultAt('fromAge')}
            onValue={(age) => onChange(['fromAge'], age)}
          />
        </div>
      </section>
      <LayoutSection {...section} parameters={parameters} />
      <ScriptSection {...section} />
      <section className="tight">
        <h2>How fast, how sure</h2>
        <div className="fields wide-labels">
          {!isCircuit && (travels ? number('metresPerSecond', 'Metres a second') : number('secondsPerRep', 'Seconds a rep'))}
          {number('goodChance', 'Good ones, 0 to 1')}
          {number('fetchSeconds', 'To fetch a miss, s')}
        </div>
      </section>
      <DoseSection {...section} />
      <ScoringSection {...section} />
      <PeopleSection {...section} />
      <WordsSection {...section} />
    </>
  );
}
