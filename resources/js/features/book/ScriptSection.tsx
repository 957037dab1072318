import { Button } from '../../shared/ui/Button';
import type { MoveSummary } from '../../shared/api/bookSchemas';
import { countedField, doseSideOptions } from '../../shared/lib/doseWords';
import { Choice, Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { useFootWording } from '../../shared/ui/FootWords';
import { CircuitMoves } from './CircuitMoves';
import type { SectionProps } from './sectionProps';
import { listAt, numberAt, textAt, valueAt } from './fields';

const kinds = { combination: 'Parts', buildUp: 'Links', circuit: 'Items' } as const;
const part = { name: 'One more', script: 'a.in' };
const item = { ...part, secondsPerRep: 1.5, dose: { kind: 'timed', workSeconds: 30, sides: 'both' }, restSeconds: 10 };

/** As much of it as of the item before, so that a circuit of alike items is made by adding alone. */
const itemOf = (move: MoveSummary, before: unknown): Record<string, unknown> => ({
  name: move.name,
  script: move.script,
  secondsPerRep: move.secondsPerRep,
  dose: valueAt(before, ['dose']) ?? item.dose,
  restSeconds: valueAt(before, ['restSeconds']) ?? item.restSeconds,
});

/** What the feet do: one script, or the parts, links or items it is put together from. */
export function ScriptSection({ fields, faultAt, onChange }: SectionProps) {
  const kind = (['combination', 'buildUp', 'circuit'] as const).find((name) => valueAt(fields, [name]) !== undefined);
  return (
    <section className="tight">
      <h2>What the feet do</h2>
      <p className="quiet">
        a is the leading foot, b the other; L and R fix a side. Then a dot and the surface: in, out, sole, lace, toe, heel, thigh. After a slash, where the ball
        goes. (…)x+ is as often as the way allows.
      </p>
      {!kind && (
        <Field
          label="Touch script"
          lines={1}
          value={textAt(fields, ['script'])}
          fault={faultAt('script')}
          maxLength={400}
          onValue={(script) => onChange(['script'], script)}
        />
      )}
      {kind && (
        <>
          <h3>{kinds[kind]}</h3>
          {faultAt('script') && <p className="fault">{faultAt('script')}</p>}
          {faultAt(kind) && <p className="fault">{faultAt(kind)}</p>}
          <ol className="stack">
            {listAt(fields, [kind]).map((_, i, all) => (
              // By place and count, so that taking one away shows the rest anew.
              <li key={`${all.length} ${i}`} className="fields wide-labels">
                <div className="wide">
                  <Field
                    label={`${i + 1}. Called`}
                    value={textAt(fields, [kind, i, 'name'])}
                    fault={faultAt(`${kind}.${i}.name`)}
                    onValue={(name) => onChange([kind, i, 'name'], name)}
                  />
                </div>
                <div className="wide">
                  <Field
                    label="Touch script"
                    value={textAt(fields, [kind, i, 'script'])}
                    fault={faultAt(`${kind}.${i}.script`)}
                    onValue={(script) => onChange([kind, i, 'script'], script)}
                  />
                </div>
                {kind === 'circuit' && <ItemDose index={i} fields={fields} faultAt={faultAt} onChange={onChange} />}
                <Button variant="text" onClick={() => onChange([kind, i], undefined)} aria-label={`Take out ${textAt(fields, [kind, i, 'name'])}`}>
                  Take out
                </Button>
              </li>
            ))}
          </ol>
          {kind === 'circuit' && (
            <CircuitMoves
              onAdd={(move) => {
                const items = listAt(fields, [kind]);
                onChange([kind, items.length], itemOf(move, items.at(-1)));
              }}
            />
          )}
          <p>
            <Button onClick={() => onChange([kind, listAt(fields, [kind]).length], kind === 'circuit' ? item : part)}>
              {kind === 'circuit' ? 'Add one of your own' : 'Add one'}
            </Button>
          </p>
        </>
      )}
    </section>
  );
}

function ItemDose({ index, fields, faultAt, onChange }: Omit<SectionProps, 'choices'> & { index: number }) {
  const at = ['circuit', index];
  const wording = useFootWording();
  const counted = countedField(textAt(fields, [...at, 'dose', 'kind']));
  return (
    <>
      <Choice
        label="Feet"
        value={textAt(fields, [...at, 'dose', 'sides']) || 'both'}
        options={doseSideOptions(wording)}
        fault={faultAt(`circuit.${index}.dose.sides`)}
        onValue={(sides) => onChange([...at, 'dose', 'sides'], sides)}
      />
      {counted && (
        <NumberField
          label={counted.label}
          value={numberAt(fields, [...at, 'dose', counted.name])}
          fault={faultAt(`circuit.${index}.dose.${counted.name}`)}
          onNumber={(value) => onChange([...at, 'dose', counted.name], value ?? undefined)}
        />
      )}
      <NumberField
        label="Seconds a rep"
        value={numberAt(fields, [...at, 'secondsPerRep'])}
        fault={faultAt(`circuit.${index}.secondsPerRep`)}
        onNumber={(value) => onChange([...at, 'secondsPerRep'], value ?? undefined)}
      />
      <NumberField
        label="Rest after, s"
        value={numberAt(fields, [...at, 'restSeconds']) ?? 0}
        fault={faultAt(`circuit.${index}.restSeconds`)}
        onNumber={(value) => onChange([...at, 'restSeconds'], value ?? 0)}
      />
    </>
  );
}
