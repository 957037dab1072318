import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import '../../shared/theme/season.css';
import { faultsOf } from '../../shared/api/faults';
import { keepRoutine, routineQuery, type RoutineWishes } from '../../shared/api/homeQueries';
import { isOf } from '../../shared/api/keys';
import { squadQueries } from '../../shared/api/queries';
import { day } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { Week } from './Week';

type Name = keyof RoutineWishes;
const yesNo: [string, string][] = [
  ['no', 'no'],
  ['yes', 'yes'],
];
const counted = (from: number, to: number, what: string): [string, string][] =>
  Array.from({ length: to - from + 1 }, (_, i) => [String(from + i), `${from + i} ${what}`]);
const choices: { name: Name; label: string; options: [string, string][] }[] = [
  { name: 'minutes', label: 'Minutes a day', options: counted(10, 20, 'min') },
  {
    name: 'days',
    label: 'Days a week',
    options: counted(1, 7, 'days').map(([value, words]) => [value, value === '1' ? '1 day' : words]),
  },
  {
    name: 'space',
    label: 'Room',
    options: [
      ['hallway', 'a hallway, 1.2 by 4 m'],
      ['small-square', '2 by 2 m'],
      ['square', '5 by 5 m'],
      ['lane', 'a lane, 10 yd'],
    ],
  },
  { name: 'wall', label: 'A wall', options: yesNo },
  { name: 'helper', label: 'A server', options: yesNo },
  { name: 'quiet', label: 'Must be quiet', options: yesNo },
  {
    name: 'school',
    label: 'What for',
    options: [
      ['both-feet', 'both feet the same'],
      ['other-foot-day', 'a day for the other foot'],
      ['records', 'numbers to beat'],
      ['good-ones', 'only good ones count'],
    ],
  },
];

/** A week at home for one player, to print: what is needed, out of what fits the place. */
export function HomePage() {
  const playerId = Number(useParams().playerId);
  const [params, setParams] = useSearchParams();
  const asked = Object.fromEntries(choices.flatMap(({ name }) => (params.has(name) ? [[name, params.get(name) ?? '']] : []))) as Partial<Record<Name, string>>;
  const routine = useQuery(routineQuery(playerId, asked));
  const { squads, squadId } = useSquadId();
  const drills = useQuery(squadQueries.drills(routine.data?.squadId ?? squadId));
  const queryClient = useQueryClient();
  const keep = useMutation({
    mutationFn: (wishes: RoutineWishes) => keepRoutine(playerId, wishes),
    onSuccess: () => queryClient.invalidateQueries({ predicate: isOf('player') }),
  });
  if (routine.isPending || drills.isPending) return <Loading what="the week" />;
  const failed = [routine, drills].find((one) => one.isError && !one.data);
  if (failed)
    return (
      <div className="page">
        <Failed fault={failed.error} onRetry={() => void Promise.all([routine.refetch(), drills.refetch()])} />
      </div>
    );
  if (!routine.data || !drills.data) return null;
  const { data } = routine;
  const faults = faultsOf(routine.error);
  const role = squads.find((one) => one.id === data.squadId)?.role;
  return (
    <>
      <div className="head">
        <h1>{data.playerName}, at home</h1>
        <p className="quiet no-print">
          Chosen by what {data.playerName} needs and what fits the place.
          {data.keptOn && ` Kept ${day(data.keptOn)}: most of it stays from week to week.`}
        </p>
        <div className="acts no-print">
          <Link className="button text" to={`/player/${playerId}`}>
            Back to {data.playerName}
          </Link>
          {role !== 'assistant' && (
            <Button onClick={() => keep.mutate(data.wishes)} disabled={keep.isPending || data.days.length === 0}>
              Keep this week
            </Button>
          )}
          <Button variant="contained" onClick={() => window.print()} disabled={data.days.length === 0}>
            Print
          </Button>
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        <form className="fields wide-labels no-print" aria-label="The place">
          {choices.map(({ name, label, options }) => (
            <Choice
              key={name}
              label={label}
              value={String(data.wishes[name])}
              options={options}
              fault={faults.at(name)}
              onValue={(value) => setParams({ ...asked, [name]: value }, { replace: true })}
            />
          ))}
        </form>
        {faults.form && <p className="notice">{faults.form}</p>}
        {keep.isError && (
          <p className="notice" role="alert">
            {keep.error.message}
          </p>
        )}
        {data.refusal !== '' && <p className="warn">{data.refusal}</p>}
        {data.days.length > 0 && <Week days={data.days} drills={drills.data} name={data.playerName} />}
      </div>
    </>
  );
}
