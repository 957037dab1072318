import type { Dose } from '../api/schemas';
import { type DeclaredField, doseKindOptions, doseOfKind, doseSideOptions, doseValue, fieldsOf, withDoseValue } from '../lib/doseWords';
import { Choice } from './Field';
import { NumberField } from './NumberField';
import { useFootWording } from './SquadChoice';

type Tempo = 'learn' | 'steady' | 'match';

interface DoseFieldsProps {
  dose: Dose;
  /** Left out where the tempo is not chosen here. */
  tempo?: { value: Tempo; onTempo: (tempo: Tempo) => void };
  onChange: (dose: Dose) => void;
  faultAt: (field: string) => string | undefined;
}

/** A dose of any school: its kind first, the feet, then what that kind asks for. */
export function DoseFields({ dose, tempo, onChange, faultAt }: DoseFieldsProps) {
  const asked = (ofFeet: boolean) =>
    fieldsOf(dose)
      .filter((field) => (field.type === 'sides') === ofFeet)
      .map((field) => <OneField key={`${dose.kind}-${field.name}`} field={field} dose={dose} onChange={onChange} fault={faultAt(`dose.${field.name}`)} />);
  return (
    <>
      {dose.kind !== 'circuit' && (
        <Choice label="How much is it?" value={dose.kind} options={doseKindOptions} onValue={(kind) => onChange(doseOfKind(kind, dose.sides))} />
      )}
      {asked(true)}
      {tempo && dose.kind !== 'circuit' && (
        <Choice
          label="Tempo"
          value={tempo.value}
          options={[
            ['learn', 'learn'],
            ['steady', 'steady'],
            ['match', 'match'],
          ]}
          onValue={(next) => tempo.onTempo(next as Tempo)}
        />
      )}
      {asked(false)}
    </>
  );
}

interface OneFieldProps {
  field: DeclaredField;
  dose: Dose;
  onChange: (dose: Dose) => void;
  fault: string | undefined;
}

function OneField({ field, dose, onChange, fault }: OneFieldProps) {
  const wording = useFootWording();
  const value = doseValue(dose, field.name);
  const keep = (next: number | string) => onChange(withDoseValue(dose, field.name, next));
  // Tempos of single lengths come with a drill and are kept as they are.
  if (field.type === 'tempos') return null;
  if (field.type === 'sides') return <Choice label={field.label} value={String(value)} options={doseSideOptions(wording)} onValue={keep} fault={fault} />;
  if (field.words) {
    const options = field.words.map((words, i): [string, string] => [String(i), words]);
    return <Choice label={field.label} value={String(value)} options={options} onValue={(next) => keep(Number(next))} fault={fault} />;
  }
  return <NumberField label={field.label} value={Number(value)} fault={fault} onNumber={(next) => next !== null && keep(next)} />;
}
