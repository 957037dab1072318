import type { Dose } from '../api/schemas';
import { doseOfKind, doseSideOptions } from '../lib/doseWords';
import { Choice } from './Field';
import { NumberField } from './NumberField';
import { useFootWording } from './SquadChoice';

const setWords: Partial<Record<Dose['kind'], string>> = { race: 'Goes', streak: 'Tries', tries: 'Goes' };

type Tempo = 'learn' | 'steady' | 'match';

interface DoseFieldsProps {
  dose: Dose;
  /** Left out where the tempo is not chosen here. */
  tempo?: { value: Tempo; onTempo: (tempo: Tempo) => void };
  onChange: (dose: Dose) => void;
  faultAt: (field: string) => string | undefined;
}

/** A dose of any school: its kind first, then what that kind asks for. */
export function DoseFields({ dose, tempo, onChange, faultAt }: DoseFieldsProps) {
  const wording = useFootWording();
  const number = (label: string, field: string, value: number) => (
    <NumberField
      key={`${dose.kind}-${field}`}
      label={label}
      value={value}
      fault={faultAt(`dose.${field}`)}
      onNumber={(next) => next !== null && onChange({ ...dose, [field]: next })}
    />
  );
  const yes = (label: string, field: string, value: number, [no, yesWords]: [string, string]) => (
    <Choice
      label={label}
      value={String(value)}
      options={[
        ['0', no],
        ['1', yesWords],
      ]}
      fault={faultAt(`dose.${field}`)}
      onValue={(next) => onChange({ ...dose, [field]: Number(next) })}
    />
  );
  if (dose.kind === 'circuit')
    return (
      <>
        {number('Rounds', 'rounds', dose.rounds)}
        {number('Rest between, s', 'restSeconds', dose.restSeconds)}
      </>
    );
  return (
    <>
      <Choice
        label="How much is it?"
        value={dose.kind}
        options={[
          ['timed', 'by the clock'],
          ['reps', 'a number of reps'],
          ['lengths', 'lengths of the layout'],
          ['quota', 'good ones only'],
          ['collective', 'a running total'],
          ['streak', 'best run without a drop'],
          ['race', 'against the watch'],
          ['tries', 'tries at a target'],
          ['free', 'free time'],
        ]}
        onValue={(kind) => onChange(doseOfKind(kind, dose.sides))}
      />
      <Choice
        label="Feet"
        value={dose.sides}
        options={doseSideOptions(wording)}
        onValue={(sides) => onChange({ ...dose, sides })}
        fault={faultAt('dose.sides')}
      />
      {tempo && (
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
      {dose.kind === 'timed' && number('Work, s', 'workSeconds', dose.workSeconds)}
      {dose.kind === 'reps' && number('Reps', 'reps', dose.reps)}
      {dose.kind === 'lengths' && number('Lengths', 'lengths', dose.lengths)}
      {dose.kind === 'lengths' && yes('Each length', 'andBack', dose.andBack, ['one way', 'there and back'])}
      {dose.kind === 'quota' && number('Good ones', 'good', dose.good)}
      {dose.kind === 'collective' && number('In all', 'total', dose.total)}
      {dose.kind === 'collective' && yes('What counts', 'onlyGood', dose.onlyGood, ['every one', 'good ones only'])}
      {dose.kind === 'streak' && number('Up to', 'goal', dose.goal)}
      {dose.kind === 'race' && number('Times', 'reps', dose.reps)}
      {dose.kind === 'tries' && number('Balls', 'balls', dose.balls)}
      {dose.kind === 'tries' && yes('A go ends', 'untilHit', dose.untilHit, ['with the last ball', 'with the first hit'])}
      {dose.kind === 'free' && number('Minutes', 'minutes', dose.minutes)}
      {dose.kind !== 'quota' && dose.kind !== 'free' && number(setWords[dose.kind] ?? 'Sets', 'sets', dose.sets)}
      {dose.kind !== 'free' && number('Rest, s', 'restSeconds', dose.restSeconds)}
    </>
  );
}
