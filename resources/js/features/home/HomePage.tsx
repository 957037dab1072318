import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import '../../shared/theme/season.css';
import { faultsOf } from '../../shared/api/faults';
import { keepRoutine, routineQuery } from '../../shared/api/homeQueries';
import type { RoutineWishes } from '../../shared/api/routineSchemas';
import { isOf } from '../../shared/api/keys';
import { squadQueries } from '../../shared/api/queries';
import type { Drill } from '../../shared/api/schemas';
import { day } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { Choice } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { PageLink } from './PageLink';
import { Week } from './Week';
import { withDrill, wishChoices, without } from './wishes';

/** A week at home for one player: what is needed, out of what fits the place, and what the coach makes of it. */
export function HomePage() {
  const playerId = Number(useParams().playerId);
  const [params, setParams] = useSearchParams();
  const asked = Object.fromEntries(params) as Partial<Record<keyof RoutineWishes, string>>;
  const ask = (more: Partial<Record<keyof RoutineWishes, string>>) => setParams({ ...asked, ...more }, { replace: true });
  const routine = useQuery(routineQuery(playerId, asked));
  const { squads, squadId } = useSquadId();
  const drills = useQuery(squadQueries.drills(routine.data?.squadId ?? squadId));
  const queryClient = useQueryClient();
  const keep = useMutation({
    mutationFn: (wishes: RoutineWishes) => keepRoutine(playerId, wishes),
    onSuccess: async () => {
      setParams({}, { replace: true });
      await queryClient.invalidateQueries({ predicate: isOf('player', 'squad') });
    },
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
  const mayPlan = squads.find((one) => one.id === data.squadId)?.role !== 'assistant';
  return (
    <>
      <div className="head">
        <h1>{data.playerName}, at home</h1>
        <p className="quiet">
          Chosen by what {data.playerName} needs and what fits the place.{' '}
          {data.keptOn === null
            ? 'Nothing is kept yet: the page and the sheet show a week once it is.'
            : data.isAsKept
              ? `This is the week kept on ${day(data.keptOn)}.`
              : `The week kept on ${day(data.keptOn)} is another one; this is a proposal.`}
        </p>
        <div className="acts">
          <Link className="button text" to={`/player/${playerId}`}>
            Back to {data.playerName}
          </Link>
          {mayPlan && (
            <>
              <LinkButton to={`/squad/home/sheets?player=${playerId}`} disabled={data.keptOn === null}>
                The sheet
              </LinkButton>
              <Button variant="contained" onClick={() => keep.mutate(data.wishes)} disabled={keep.isPending || data.days.length === 0 || data.isAsKept}>
                Keep this week
              </Button>
            </>
          )}
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        {mayPlan && <PageLink playerId={playerId} name={data.playerName} hasWeek={data.keptOn !== null} />}
        <form className="fields wide-labels" aria-label="The place">
          {wishChoices.map(({ name, label, options }) => (
            <Choice
              key={name}
              label={label}
              value={String(data.wishes[name])}
              options={options}
              fault={faults.at(name)}
              onValue={(value) => ask({ [name]: value })}
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
        {data.left.length > 0 && <p className="warn">Chosen, and does not fit the place or the minutes: {data.left.join(', ')}.</p>}
        {mayPlan && <Chosen wishes={data.wishes} drills={drills.data} onAsk={ask} />}
        {data.days.length > 0 && <Week days={data.days} drills={drills.data} onTakeOut={mayPlan ? (slug) => ask(without(data.wishes, slug)) : undefined} />}
      </div>
    </>
  );
}

interface ChosenProps {
  wishes: RoutineWishes;
  drills: Drill[];
  onAsk: (more: Partial<Record<keyof RoutineWishes, string>>) => void;
}

/** The coach has the last word: what must be in it, and what was taken out. */
function Chosen({ wishes, drills, onAsk }: ChosenProps) {
  const nameOf = (slug: string) => drills.find((one) => one.slug === slug)?.name ?? slug;
  const words = (list: string) => list.split(' ').filter(Boolean);
  return (
    <div className="acts-line">
      <select aria-label="Choose a drill for the week" className="choice" value="" onChange={(event) => onAsk(withDrill(wishes, event.target.value))}>
        <option value="">Choose a drill …</option>
        {drills.map(({ slug, name }) => (
          <option key={slug} value={slug}>
            {name}
          </option>
        ))}
      </select>
      {(wishes.with !== '' || wishes.without !== '') && (
        <>
          <span className="quiet">
            {wishes.with !== '' && `Chosen: ${words(wishes.with).map(nameOf).join(', ')}. `}
            {wishes.without !== '' && `Taken out: ${words(wishes.without).map(nameOf).join(', ')}.`}
          </span>
          <Button variant="text" onClick={() => onAsk({ with: '', without: '' })}>
            As proposed
          </Button>
        </>
      )}
    </div>
  );
}
