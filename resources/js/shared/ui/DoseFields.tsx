import type { Dose } from '../api/schemas';
import { type DeclaredField, doseKindOptions, doseOfKind, doseSideOptions, doseValue, fieldsOf, isYesOrNo, withDoseValue } from '../lib/doseWords';
import { clock } from '../lib/format';
import { Choice } from './Field';
import { NumberField } from './NumberField';
import { useFootWording } from './FootWords';

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
  const keep = (next: number | string | undefined) => onChange(withDoseValue(dose, field.name, next));
  // Tempos of single lengths come with a drill and are kept as they are.
  if (field.type === 'tempos') return null;
  if (field.type === 'sides') return <Choice label={field.label} value={String(value)} options={doseSideOptions(wording)} onValue={keep} fault={fault} />;
  if (field.type === 'limit') return <LimitField label={field.label} seconds={value === undefined ? null : Number(value)} fault={fault} onSeconds={keep} />;
  if (field.words && !isYesOrNo(field.words)) {
    const options = Object.entries(field.words);
    return <Choice label={field.label} value={String(value ?? options[0]?.[0])} options={options} onValue={keep} fault={fault} />;
  }
  if (field.words) {
    const options = field.words.map((words, i): [string, string] => [String(i), words]);
    return <Choice label={field.label} value={String(value)} options={options} onValue={(next) => keep(Number(next))} fault={fault} />;
  }
  return <NumberField label={field.label} value={Number(value)} fault={fault} onNumber={(next) => next !== null && keep(next)} />;
}

const LIMITS = [60, 90, 120, 180, 240, 300, 480, 600];

interface LimitFieldProps {
  label: string;
  /** Null for the usual time, 0 for never. */
  seconds: number | null;
  fault: string | undefined;
  onSeconds: (seconds: number | undefined) => void;
}

/** When a coach stops a go that will not end. */
function LimitField({ label, seconds, fault, onSeconds }: LimitFieldProps) {
  const times = seconds === null || seconds === 0 || LIMITS.includes(seconds) ? LIMITS : [...LIMITS, seconds].sort((a, b) => a - b);
  return (
    <Choice
      label={label}
      value={seconds === null ? 'usual' : String(seconds)}
      options={[['usual', 'at three times the usual'], ['0', 'never'], ...times.map((one): [string, string] => [String(one), `after ${clock(one)}`])]}
      fault={fault}
      onValue={(next) => onSeconds(next === 'usual' ? undefined : Number(next))}
    />
  );
}
