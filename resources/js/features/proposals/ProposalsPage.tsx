import { Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import type { ProposedBlock, Proposals } from '../../shared/api/bookSchemas';
import { faultsOf } from '../../shared/api/faults';
import { propose, sessionQuery, squadQueries, type Wish } from '../../shared/api/queries';
import type { Drill, Session } from '../../shared/api/schemas';
import { day, familyWords } from '../../shared/lib/format';
import { Choice } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { proposedPlan } from '../../shared/lib/draft';
import { dayOf, inHand, rememberUnkept } from '../../shared/lib/planInHand';
import { Proposed } from './Proposed';

const families = ['ball-mastery', 'dribbling', 'turning', 'first-touch', 'passing', '1v1-moves', 'juggling', 'striking', 'footwork'];
const wishes: [Wish, string][] = [
  ['anything', 'nothing special'],
  ['weaker-foot', 'mostly the other foot'],
  ['shared-layout', 'markers that stay where they are'],
  ['join-two', 'the last two sessions joined'],
  ['rainy-corner', 'a rainy corner, 5 by 5 m, no wall'],
];

const oneOf = <T extends string>(all: T[], asked: string | null): T | undefined => all.find((one) => one === asked);

/** Three sessions to take or leave; nothing changes until one is taken, and even then only the plan in hand. */
export function ProposalsPage() {
  const sessionId = Number(useParams().sessionId);
  const { squadId } = useSquadId();
  const session = useQuery(sessionQuery(sessionId));
  const drills = useQuery(squadQueries.drills(squadId));
  const failed = [session, drills].find((one) => one.isError && !one.data);
  if (failed)
    return (
      <div className="page">
        <Failed fault={failed.error} onRetry={() => void Promise.all([session.refetch(), drills.refetch()])} />
      </div>
    );
  if (!session.data || !drills.data) return <Loading what="what there is to choose from" />;
  return <Builder key={sessionId} session={session.data} drills={drills.data} />;
}

function Builder({ session, drills }: { session: Session; drills: Drill[] }) {
  const navigate = useNavigate();
  const { plan, version } = inHand(session);
  // What the season needs comes along in the address: the fields are filled, and a press asks.
  const [asked] = useSearchParams();
  const [theme, setTheme] = useState(() => oneOf(families, asked.get('theme')) ?? '');
  const [wish, setWish] = useState<Wish>(
    () =>
      oneOf(
        wishes.map(([one]) => one),
        asked.get('wish'),
      ) ?? 'anything',
  );
  const [slotMinutes, setSlotMinutes] = useState(plan.slotMinutes);
  const [locks, setLocks] = useState<string[]>(() => asked.getAll('lock').filter((slug) => drills.some((drill) => drill.slug === slug)));
  const [family, setFamily] = useState(() => oneOf(families, asked.get('family')) ?? '');
  const [bans, setBans] = useState<string[]>([]);
  const [seen, setSeen] = useState<string[][]>([]);
  const asking = useMutation({
    mutationFn: (before: string[][]) =>
      propose(session.squadId, {
        slotMinutes,
        ...dayOf(plan),
        theme: theme || null,
        wish,
        locks: [...locks.map((drill) => ({ drill, family: null })), ...(family ? [{ drill: null, family }] : [])],
        bans,
        seen: before,
      }),
    onSuccess: (answer) => setSeen((before) => [...before, ...answer.proposals.map((one) => one.blocks.flatMap((block) => block.drill ?? []))]),
  });
  const ask = (before: string[][]) => {
    setSeen(before);
    asking.mutate(before);
  };
  const faults = faultsOf(asking.error);
  const name = (slug: string) => drills.find((drill) => drill.slug === slug)?.name ?? slug;
  const take = (blocks: ProposedBlock[], minutes: number) => {
    rememberUnkept(session.id, version, { ...plan, slotMinutes: minutes, blocks: proposedPlan(blocks) });
    void navigate(`/plan/${session.id}`);
  };
  return (
    <>
      <div className="head">
        <h1>Proposals</h1>
        <p className="quiet">
          For {plan.title || 'this session'}, {day(plan.startsAt)} {plan.startsAt.slice(11)}, {plan.comingPlayerIds.length} coming. Nothing changes until you
          take one.
        </p>
        <div className="acts">
          <LinkButton to={`/plan/${session.id}`} variant="text">
            Back to the plan
          </LinkButton>
        </div>
      </div>
      <div className="page stack" style={{ paddingTop: 0 }}>
        <form
          className="stack"
          onSubmit={(event) => {
            event.preventDefault();
            ask([]);
          }}
        >
          <div className="fields wide-labels">
            <Choice
              label="Theme"
              value={theme}
              options={[['', 'what is needed most'], ...families.map((one): [string, string] => [one, familyWords(one)])]}
              onValue={setTheme}
              fault={faults.at('theme')}
            />
            <Choice label="Wish" value={wish} options={wishes} onValue={(value) => setWish(value as Wish)} fault={faults.at('wish')} />
            <NumberField
              label="Slot, minutes"
              value={slotMinutes}
              onNumber={(value) => value !== null && setSlotMinutes(value)}
              fault={faults.at('slotMinutes')}
            />
            <Choice
              label="Something of"
              value={family}
              options={[['', 'any family'], ...families.map((one): [string, string] => [one, familyWords(one)])]}
              onValue={setFamily}
            />
            <Choice
              label="Must be in"
              value=""
              options={[
                ['', 'choose a drill'],
                ...drills.filter((drill) => !locks.includes(drill.slug)).map((drill): [string, string] => [drill.slug, drill.name]),
              ]}
              onValue={(slug) => slug && setLocks([...locks, slug])}
            />
            <Choice
              label="Leave out"
              value=""
              options={[
                ['', 'choose a drill'],
                ...drills.filter((drill) => !bans.includes(drill.slug)).map((drill): [string, string] => [drill.slug, drill.name]),
              ]}
              onValue={(slug) => slug && setBans([...bans, slug])}
            />
          </div>
          <Wishes title="Must be in" slugs={locks} name={name} onRemove={(slug) => setLocks(locks.filter((one) => one !== slug))} />
          <Wishes title="Left out" slugs={bans} name={name} onRemove={(slug) => setBans(bans.filter((one) => one !== slug))} />
          <div className="acts-line">
            <Button type="submit" variant={asking.data ? 'outlined' : 'contained'} disabled={asking.isPending}>
              {asking.isPending ? 'Working it out …' : 'Propose three'}
            </Button>
            {asking.data && (
              <Button onClick={() => ask(seen)} disabled={asking.isPending}>
                Three others
              </Button>
            )}
          </div>
        </form>
        {faults.form && (
          <p className="notice" role="alert">
            {faults.form}
          </p>
        )}
        {asking.data && (
          <Answer
            answer={asking.data}
            startsAt={plan.startsAt}
            onTake={take}
            onLock={(slug) => !locks.includes(slug) && setLocks([...locks, slug])}
            onBan={(slug) => !bans.includes(slug) && setBans([...bans, slug])}
            locks={locks}
            bans={bans}
          />
        )}
      </div>
    </>
  );
}

interface WishesProps {
  title: string;
  slugs: string[];
  name: (slug: string) => string;
  onRemove: (slug: string) => void;
}

function Wishes({ title, slugs, name, onRemove }: WishesProps) {
  if (slugs.length === 0) return null;
  return (
    <p>
      <strong>{title}:</strong>{' '}
      {slugs.map((slug, i) => (
        <span key={slug}>
          {i > 0 && ', '}
          {name(slug)}{' '}
          <button type="button" className="link" aria-label={`${title}: take back ${name(slug)}`} onClick={() => onRemove(slug)}>
            take back
          </button>
        </span>
      ))}
    </p>
  );
}

interface AnswerProps {
  answer: Proposals;
  startsAt: string;
  onTake: (blocks: ProposedBlock[], slotMinutes: number) => void;
  onLock: (slug: string) => void;
  onBan: (slug: string) => void;
  locks: string[];
  bans: string[];
}

function Answer({ answer, startsAt, ...acts }: AnswerProps) {
  return (
    <>
      {answer.refusals.map((refusal) => (
        <p key={refusal.wish + refusal.reason} className="warn" role="alert">
          {refusal.reason} {refusal.instead}
        </p>
      ))}
      {answer.proposals.length > 0 && <p className="quiet">Built on {familyWords(answer.theme).toLowerCase()}; the one worth most first.</p>}
      <div className="three">
        {answer.proposals.map((proposal, i) => (
          <Proposed
            key={proposal.blocks.map((block) => block.drill).join()}
            proposal={proposal}
            number={i + 1}
            startsAt={startsAt}
            slotMinutes={answer.slotMinutes}
            {...acts}
          />
        ))}
      </div>
      {answer.leftOut.length > 0 && (
        <section className="tight">
          <h2>Left out, though wanted</h2>
          {answer.leftOut.map((one) => (
            <p key={one.drill}>{one.why}</p>
          ))}
        </section>
      )}
    </>
  );
}
