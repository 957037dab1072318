import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { isOf } from '../../shared/api/keys';
import { endSeason, takeSeasonBack } from '../../shared/api/seasonQueries';
import type { SeasonPage } from '../../shared/api/seasonSchemas';
import { day } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { Field } from '../../shared/ui/Field';

interface EndSeasonProps {
  squadId: number;
  season: SeasonPage['season'];
  ended: SeasonPage['endedSeasons'];
}

/** Seasons begin and end; one that has ended stays readable, and the last can be let go on. */
export function EndSeason({ squadId, season, ended }: EndSeasonProps) {
  const queryClient = useQueryClient();
  const [isOpen, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [endsOn, setEndsOn] = useState(season.until);
  const again = () => queryClient.invalidateQueries({ predicate: isOf('squad', 'player', 'settings') });
  const end = useMutation({
    mutationFn: () => endSeason(squadId, { name, endsOn }),
    onSuccess: async () => {
      setOpen(false);
      await again();
    },
  });
  const back = useMutation({ mutationFn: (id: number) => takeSeasonBack(squadId, id), onSuccess: again });
  const faults = faultsOf(end.error);
  const [last] = ended;
  return (
    <section className="tight no-print">
      <h2>Seasons</h2>
      {season.id === null && <p className="quiet">This one began {day(season.from)}.</p>}
      {last && (
        <p className="quiet">
          {last.name} ended {day(last.endsOn)}.{' '}
          <button type="button" className="link" disabled={back.isPending} onClick={() => back.mutate(last.id)}>
            Let it go on
          </button>
        </p>
      )}
      {season.id === null && !isOpen && (
        <p>
          <button type="button" className="link" onClick={() => setOpen(true)}>
            End this season
          </button>
        </p>
      )}
      {season.id === null && isOpen && (
        <form
          className="tight"
          onSubmit={(event) => {
            event.preventDefault();
            end.mutate();
          }}
        >
          <Field label="Name of the season that ends" value={name} onValue={setName} fault={faults.at('name')} autoFocus />
          <Field label="Its last day" type="date" value={endsOn} onValue={setEndsOn} fault={faults.at('endsOn')} />
          <p className="quiet">Records stand on. Verdicts, touches and slopes begin anew; the season that ended stays readable under its name.</p>
          {end.isError && !faults.at('name') && !faults.at('endsOn') && (
            <p className="notice" role="alert">
              {end.error.message}
            </p>
          )}
          <div className="acts-line">
            <Button type="submit" disabled={end.isPending}>
              End it
            </Button>
            <Button variant="text" onClick={() => setOpen(false)}>
              Cancel
            </Button>
          </div>
        </form>
      )}
      {back.isError && (
        <p className="notice" role="alert">
          {back.error.message}
        </p>
      )}
    </section>
  );
}
