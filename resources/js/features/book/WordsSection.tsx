import { Button } from '../../shared/ui/Button';
import { Field } from '../../shared/ui/Field';
import type { SectionProps } from './sectionProps';
import { listAt, textAt } from './fields';

/** What a coach says and looks for. Mending these changes no record. */
export function WordsSection({ fields, faultAt, onChange }: SectionProps) {
  const lines = (name: string, label: string, fault = faultAt(name)) => (
    <Field
      label={label}
      lines={2}
      value={listAt(fields, [name]).join('\n')}
      fault={fault}
      // Empty lines stay while typing: the server drops none of the rest.
      onValue={(text) => onChange([name], text === '' ? [] : text.split('\n'))}
    />
  );
  return (
    <section className="stack">
      <h2>Words</h2>
      {lines('points', 'Coaching points, two or three, one a line')}
      <Pairs name="faults" first="fault" second="fix" title="Common faults" labels={['If', 'then']} {...{ fields, faultAt, onChange }} />
      {lines('cautions', 'Cautions, one a line')}
      <Pairs name="standIns" first="for" second="use" title="In place of" labels={['In place of', 'use']} {...{ fields, faultAt, onChange }} />
      {lines('words', 'Other words it is found by, one a line')}
    </section>
  );
}

interface PairsProps extends Omit<SectionProps, 'choices'> {
  name: string;
  first: string;
  second: string;
  title: string;
  labels: [string, string];
}

function Pairs({ name, first, second, title, labels, fields, faultAt, onChange }: PairsProps) {
  const pairs = listAt(fields, [name]);
  return (
    <div className="tight">
      <h3>{title}</h3>
      {faultAt(name) && <p className="fault">{faultAt(name)}</p>}
      {pairs.map((_, i) => (
        <div key={`${pairs.length} ${i}`} className="pair">
          <Field
            label={labels[0]}
            value={textAt(fields, [name, i, first])}
            fault={faultAt(`${name}.${i}.${first}`)}
            onValue={(text) => onChange([name, i, first], text)}
          />
          <Field
            label={labels[1]}
            value={textAt(fields, [name, i, second])}
            fault={faultAt(`${name}.${i}.${second}`)}
            onValue={(text) => onChange([name, i, second], text)}
          />
          <Button variant="text" onClick={() => onChange([name, i], undefined)} aria-label={`Take out ${textAt(fields, [name, i, first]) || title}`}>
            Take out
          </Button>
        </div>
      ))}
      <p>
        <Button variant="text" onClick={() => onChange([name, pairs.length], { [first]: '', [second]: '' })}>
          Add one
        </Button>
      </p>
    </div>
  );
}
