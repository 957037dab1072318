import { Choice, Field } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { optionsOf, type SectionProps } from './sectionProps';
import { numberAt, objectAt, textAt, valueAt } from './fields';

/** Who is needed, how the ball comes, and what is asked of the player. */
export function PeopleSection({ fields, choices, faultAt, onChange }: SectionProps) {
  const at = (name: string) => ['organisation', name];
  const servers = numberAt(fields, at('playerServers')) ?? 0;
  const isServed = servers > 0 || valueAt(fields, at('coachServes')) === true;
  const whole = (path: string[], label: string, mayBeEmpty = false) => (
    <NumberField
      label={label}
      value={numberAt(fields, path)}
      mayBeEmpty={mayBeEmpty}
      fault={faultAt(path.join('.')) ?? (path[0] === 'touches' ? faultAt('touches') : undefined)}
      onNumber={(value) => setOrClear(path, value)}
    />
  );
  /** An object left without any field is left out itself. */
  const setOrClear = (path: string[], value: number | null) => {
    const [parent = '', name = ''] = path;
    const others = Object.entries(objectAt(fields, [parent])).filter(([other]) => other !== name);
    if (value === null && others.length === 0) onChange([parent], undefined);
    else onChange(path, value ?? undefined);
  };
  const choice = (path: string[], label: string, name: string, none?: string) => (
    <Choice
      label={label}
      value={textAt(fields, path)}
      options={none === undefined ? optionsOf(choices, name) : [['', none], ...optionsOf(choices, name)]}
      fault={faultAt(path.join('.'))}
      onValue={(value) => onChange(path, value === '' ? undefined : value)}
    />
  );
  const yes = (path: string[], label: string) => (
    <label className="tick">
      <input type="checkbox" checked={valueAt(fields, path) === true} onChange={(event) => onChange(path, event.target.checked ? true : undefined)} /> {label}
    </label>
  );
  const say = (name: string, label: string) => (
    <div className="wide">
      <Field
        label={label}
        value={textAt(fields, ['organisation', 'card', name])}
        fault={faultAt(`organisation.card.${name}`)}
        maxLength={500}
        onValue={(value) => onChange(['organisation', 'card', name], value)}
      />
    </div>
  );
  return (
    <section className="tight">
      <h2>People and rules</h2>
      <div className="fields wide-labels">
        {whole(at('workers'), 'Work')}
        {whole(at('playerServers'), 'Serve and swap')}
        {choice(at('pattern'), 'How', 'pattern', 'as usual')}
        {choice(at('service'), 'The ball comes', 'service')}
        {choice(at('manner'), 'in this way', 'manner', 'no matter')}
        {choice(['sideSetBy'], 'Foot set by', 'sideSetBy', 'the dose')}
        {choice(['ball'], 'Ball', 'ball', 'the usual')}
        {choice(['opposition'], 'In the way', 'opposition', 'nobody')}
        {whole(['touches', 'least'], 'Touches at least', true)}
        {whole(['touches', 'most'], 'at most', true)}
        {whole(['touches', 'whileLearning'], 'while learning', true)}
      </div>
      <div className="who-comes">
        {yes(at('coachServes'), 'A coach or helper feeds')}
        {yes(at('serverMoves'), 'The server moves')}
        {yes(at('needsCounter'), 'Somebody counts')}
        {yes(['judgesQuality'], 'Move on by quality')}
      </div>
      {isServed && (
        <div className="fields wide-labels">
          {faultAt('organisation.card') && <p className="fault wide">{faultAt('organisation.card')}</p>}
          {say('give', 'For the server: how to give it')}
          {say('call', 'what to call')}
          {say('count', 'what to count')}
          {say('stop', 'when to stop')}
        </div>
      )}
    </section>
  );
}
