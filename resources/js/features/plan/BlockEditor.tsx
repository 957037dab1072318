import type { Dose, Drill, PlanBlock } from '../../shared/api/schemas';
import { Choice, Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { PlanDrawing } from '../../shared/ui/PlanDrawing';
import { StitchLine } from '../../shared/ui/Stitches';
import { useFootWording } from '../../shared/ui/SquadChoice';
import { doseSideOptions } from '../../shared/lib/doseWords';
import { changed, doseOfKind } from './draft';
import type { PlanTools } from './usePlan';

interface BlockEditorProps {
  tools: PlanTools;
  block: PlanBlock;
  index: number;
  drill: Drill | undefined;
}

/** The selected block: its name, its dose, and the drawing of its layout. */
export function BlockEditor({ tools, block, index, drill }: BlockEditorProps) {
  const change = (part: Partial<PlanBlock>) => tools.change({ blocks: changed(tools.plan.blocks, block.id, part) });
  const faultAt = (field: string) => tools.faultAt(`blocks.${index}.${field}`);
  return (
    <div className="stack">
      <div className="tight">
        <h2>{block.title}</h2>
        {drill && (
          <>
            <p>{drill.summary}</p>
            <StitchLine contacts={drill.contacts} label={`Touches of one rep, right foot leading: ${drill.script}`} />
          </>
        )}
      </div>
      <div className="fields">
        {block.kind !== 'drill' && (
          <>
            <Field label="Called" value={block.title} onValue={(title) => change({ title })} fault={faultAt('title')} />
            <NumberField label="Minutes" value={block.minutes} onNumber={(minutes) => change({ minutes })} fault={faultAt('minutes')} />
          </>
        )}
        {block.dose && (
          <DoseFields
            dose={block.dose}
            tempo={block.tempo ?? 'steady'}
            onChange={(dose) => change({ dose })}
            onTempo={(tempo) => change({ tempo })}
            faultAt={faultAt}
          />
        )}
        {block.kind === 'drill' && (
          <>
            <NumberField
              label="Stations"
              value={block.stations}
              mayBeEmpty
              placeholder="enough"
              onNumber={(stations) => change({ stations })}
              fault={faultAt('stations')}
            />
          </>
        )}
      </div>
      {faultAt('drillVersionId') && <p className="notice">{faultAt('drillVersionId')}</p>}
      {drill && (
        <figure className="drawing" style={{ margin: 0 }}>
          <PlanDrawing drawing={drill.drawing} title={drill.name} />
          <figcaption className="quiet">
            One station takes {drill.drawing.spaceText} with room round it
            {drill.drawing.pathLength ? `; the ball travels ${drill.drawing.pathLength.text} a rep.` : '.'}
          </figcaption>
        </figure>
      )}
    </div>
  );
}

const setWords: Partial<Record<Dose['kind'], string>> = { race: 'Goes', streak: 'Tries', tries: 'Goes' };

type Tempo = NonNullable<PlanBlock['tempo']>;

interface DoseFieldsProps {
  dose: Dose;
  tempo: Tempo;
  onTempo: (tempo: Tempo) => void;
  onChange: (dose: Dose) => void;
  faultAt: (field: string) => string | undefined;
}

function DoseFields({ dose, tempo, onChange, onTempo, faultAt }: DoseFieldsProps) {
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
      <Choice
        label="Tempo"
        value={tempo}
        options={[
          ['learn', 'learn'],
          ['steady', 'steady'],
          ['match', 'match'],
        ]}
        onValue={(next) => onTempo(next as Tempo)}
      />
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
