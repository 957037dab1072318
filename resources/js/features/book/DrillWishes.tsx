import { useQuery } from '@tanstack/react-query';
import { bookQueries } from '../../shared/api/bookQueries';
import { Choice, Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';

interface DrillWishesProps {
  wishes: Record<string, string>;
  onWish: (name: string, value: string) => void;
  onClear: () => void;
}

const any = (words: string): [string, string] => ['', words];

/** What there is today: every wish leaves out what does not fit it. */
export function DrillWishes({ wishes, onWish, onClear }: DrillWishesProps) {
  const { squad } = useSquadId();
  const choices = useQuery(bookQueries.choices);
  const moves = useQuery(bookQueries.moves);
  const from = (name: string): [string, string][] => (choices.data?.[name] ?? []).map(({ value, words }) => [value, words]);
  const unit = squad?.lengthUnit === 'pace' ? 'paces' : (squad?.lengthUnit ?? 'm');
  const choice = (name: string, label: string, options: [string, string][]) => (
    <Choice label={label} value={wishes[name] ?? ''} options={options} onValue={(value) => onWish(name, value)} />
  );
  const number = (name: string, label: string) => (
    <Field label={label} value={wishes[name] ?? ''} inputMode="decimal" maxLength={6} onValue={(value) => onWish(name, value.replace(',', '.'))} />
  );
  const named = Object.keys(wishes).filter((name) => name !== 'find').length;
  return (
    <details className="wishes" open={named > 0 || undefined}>
      <summary>What you have today{named > 0 && `: ${named} chosen`}</summary>
      <div className="fields wide-labels" style={{ marginTop: '0.7rem' }}>
        {choice('family', 'Family', [any('any'), ...from('family')])}
        {choice('move', 'Move', [any('any'), ...(moves.data ?? []).map(({ slug, name }): [string, string] => [slug, name])])}
        {choice('surface', 'Surface', [any('any'), ...from('surface').filter(([value]) => value !== '?')])}
        {choice('feet', 'Feet', [any('any'), ['one', 'one foot at a time'], ['both', 'both feet']])}
        {choice('people', 'People', [any('any'), ['alone', 'alone'], ['pair', 'two'], ['group', 'a group']])}
        {choice('wall', 'Wall', [any('any'), ['yes', 'at a wall'], ['no', 'no wall']])}
        {choice('kit', 'Beside markers and balls', [
          any('anything'),
          ['none', 'nothing'],
          ['wall', 'a wall'],
          ['goal', 'goals'],
          ['target', 'targets'],
          ['wall,goal,target', 'all three'],
        ])}
        {choice('age', 'Age', [any('any'), ...from('fromAge')])}
        {number('markers', 'Markers')}
        {number('width', `Wide, ${unit}`)}
        {number('depth', `Deep, ${unit}`)}
        {number('minutes', 'Minutes')}
      </div>
      {named > 0 && (
        <p>
          <button type="button" className="link" onClick={onClear}>
            Leave all wishes out
          </button>
        </p>
      )}
    </details>
  );
}
