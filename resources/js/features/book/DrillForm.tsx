import { Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { addDrill, bookQueries, changeDrill, scaleDrill } from '../../shared/api/bookQueries';
import type { DrillChoices, DrillFields, DrillPageData } from '../../shared/api/bookSchemas';
import { ApiError } from '../../shared/api/client';
import { Choice } from '../../shared/ui/Field';
import { FormFault } from '../../shared/ui/FormFault';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { DrillSections } from './DrillSections';
import { freshCircuit, rememberDrill, textAt, unkeptDrill, withValue } from './fields';
import { TrialResult } from './TrialResult';
import { keys } from '../../shared/api/keys';

interface DrillFormProps {
  page: DrillPageData;
  choices: DrillChoices;
  isChange: boolean;
}

export function DrillForm({ page, choices, isChange }: DrillFormProps) {
  const { squadId } = useSquadId();
  const { drill, own } = page;
  const isFresh = useSearchParams()[0].get('fresh') === 'circuit';
  const act = isChange ? 'change' : isFresh ? 'fresh' : 'copy';
  const begun = isFresh ? freshCircuit(page.fields) : isChange ? page.fields : withValue(page.fields, ['name'], `${drill.name}, our way`);
  const [fields, setFields] = useState<DrillFields>(() => unkeptDrill(squadId, drill.slug, act) ?? begun);
  // Made anew when the server has scaled the drill: number fields keep what was typed in them.
  const [round, setRound] = useState(0);
  const [version, setVersion] = useState(own?.version ?? 0);
  const navigate = useNavigate();
  const queryClient = useQueryClient();
  // Of one's own drill the last kept version is the yardstick; of a copy, what it was copied from.
  const trial = useQuery(bookQueries.trial(squadId, useDeferredValue(fields), drill.slug));
  const take = (next: DrillFields) => {
    keep.reset();
    setFields(next);
    rememberDrill(squadId, drill.slug, act, next);
  };
  const scale = useMutation({
    mutationFn: (age: string) => scaleDrill(squadId, fields, drill.slug, age),
    onSuccess: (answer) => {
      take(answer.fields);
      setRound((before) => before + 1);
    },
  });
  const keep = useMutation({
    mutationFn: () => (isChange ? changeDrill(squadId, drill.slug, version, fields) : addDrill(squadId, fields, drill.slug)),
    onSuccess: async (kept) => {
      rememberDrill(squadId, drill.slug, act, undefined);
      await queryClient.invalidateQueries({ queryKey: keys.squad(squadId) });
      await navigate(`/book/drills/${kept.drill.slug}`);
    },
  });
  const refused = keep.error instanceof ApiError ? keep.error : undefined;
  const stale = refused?.kind === 'stale' ? (refused.current as DrillPageData | undefined) : undefined;
  const faults = [...(refused?.fields.map(({ path, message }) => ({ path: path.replace(/^fields\./, ''), message })) ?? []), ...(trial.data?.faults ?? [])];
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <div className="head">
        <h1>{isFresh ? 'A circuit of your own' : isChange ? `Change ${drill.name}` : `Your own ${drill.name}`}</h1>
        <div className="acts">
          <LinkButton to={`/book/drills/${drill.slug}`} variant="text" onClick={() => rememberDrill(squadId, drill.slug, act, undefined)}>
            Leave it
          </LinkButton>
          <Button type="submit" variant="contained" disabled={keep.isPending}>
            {keep.isPending ? 'Keeping …' : isChange ? 'Keep as the next version' : 'Keep as our own'}
          </Button>
        </div>
      </div>
      <div className="page two" style={{ paddingTop: 0 }}>
        <div className="stack">
          <FormFault
            sentence={
              refused && !stale ? (refused.fields.length > 0 ? 'Some fields cannot be used yet; see the sentences beside them.' : refused.message) : undefined
            }
          />
          {stale && (
            <div className="notice stack" role="alert">
              <p>
                {refused?.message} It is at version {stale.own?.version ?? 0} by now, called {stale.drill.name}.
              </p>
              <p className="acts-line">
                <Button
                  onClick={() => {
                    setVersion(stale.own?.version ?? 0);
                    keep.reset();
                  }}
                >
                  Keep mine as the next after it
                </Button>
                <Button
                  variant="text"
                  onClick={() => {
                    setVersion(stale.own?.version ?? 0);
                    take(stale.fields);
                    setRound((before) => before + 1);
                  }}
                >
                  Take the other
                </Button>
              </p>
            </div>
          )}
          <DrillSections
            key={round}
            fields={fields}
            choices={choices}
            parameters={trial.data?.parameters ?? []}
            faultAt={(path) => faults.find((fault) => fault.path === path)?.message}
            onChange={(path, value) => take(withValue(fields, path, value))}
          />
        </div>
        <div className="stack">
          {trial.isError && <p className="notice">{trial.error.message}</p>}
          {trial.data && <TrialResult trial={trial.data} name={textAt(fields, ['name'])} isPending={trial.isPlaceholderData} isChange={isChange} />}
          <div className="narrow">
            <Choice
              label="Scale it for"
              value=""
              options={[['', 'an age group'], ...(choices.fromAge ?? []).map(({ value, words }): [string, string] => [value, words])]}
              onValue={(age) => age && scale.mutate(age)}
            />
            <p className="quiet">Lengths and dose times the factors the drill names for that age; you see and may change each.</p>
          </div>
        </div>
      </div>
    </form>
  );
}
