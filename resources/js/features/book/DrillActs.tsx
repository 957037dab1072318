import { AnchorButton, Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { drillFilePath, retireDrill, shareDrill } from '../../shared/api/bookQueries';
import type { DrillPageData } from '../../shared/api/bookSchemas';
import { FormFault } from '../../shared/ui/FormFault';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { keys } from '../../shared/api/keys';

/** What may be done with a drill: change, share and retire one's own, copy any, save and print all. */
export function DrillActs({ page: { drill, own } }: { page: DrillPageData }) {
  const { squad, squadId } = useSquadId();
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const [isAsking, setAsking] = useState(false);
  const refresh = () => queryClient.invalidateQueries({ queryKey: keys.drills(squadId) });
  const share = useMutation({ mutationFn: () => shareDrill(squadId, drill.slug, !own?.isShared), onSuccess: refresh });
  const retire = useMutation({
    mutationFn: () => retireDrill(squadId, drill.slug),
    onSuccess: async () => {
      await navigate('/book/drills');
      await refresh();
    },
  });
  const mayPlan = squad !== undefined && squad.role !== 'assistant';
  const mayChange = mayPlan && own?.mayChange === true;
  const failed = [share, retire].find((one) => one.isError);
  return (
    <>
      <div className="acts no-print">
        {own && <span className="quiet">{own.mayChange ? `Your own, version ${own.version}` : `Shared by ${own.squadName}`}</span>}
        <AnchorButton href={drillFilePath(squadId, drill.slug)} download={`${drill.slug}.json`}>
          Save as a file
        </AnchorButton>
        <Button onClick={() => print()}>Print</Button>
        {mayChange && <Button onClick={() => share.mutate()}>{own.isShared ? 'Stop sharing' : 'Share in the club'}</Button>}
        {mayChange && <Button onClick={() => setAsking(true)}>Retire</Button>}
        {mayPlan && (
          <LinkButton to={`/book/drills/${drill.slug}/${mayChange ? 'change' : 'copy'}`} variant="contained">
            {mayChange ? 'Change it' : 'Make it your own'}
          </LinkButton>
        )}
      </div>
      {isAsking && (
        <div className="notice stack" role="alertdialog" aria-label={`Retire ${drill.name}?`}>
          <p>It leaves the book. Plans and numbers that have it keep it.</p>
          <p className="acts-line">
            <Button onClick={() => retire.mutate()} autoFocus>
              Retire it
            </Button>
            <Button variant="text" onClick={() => setAsking(false)}>
              Keep it
            </Button>
          </p>
        </div>
      )}
      <FormFault sentence={failed?.error.message} />
    </>
  );
}
