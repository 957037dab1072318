import { Button } from '../../shared/ui/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keepDrillTarget } from '../../shared/api/bookQueries';
import type { DrillPageData } from '../../shared/api/bookSchemas';
import { ApiError } from '../../shared/api/client';
import { Choice } from '../../shared/ui/Field';
import { NumberField } from '../../shared/ui/NumberField';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { keys } from '../../shared/api/keys';

const schools: Record<string, string> = {
  'own-record': 'own record and one',
  'last-plus-one': 'last session and one',
  milestones: 'the next milestone',
  fixed: 'one number for all',
  stretch: 'a stretch',
};

/** How this squad sets the number to beat of a drill: as it usually does, or in a way of its own. */
export function DrillTarget({ page: { drill, target } }: { page: DrillPageData }) {
  const { squad, squadId } = useSquadId();
  const queryClient = useQueryClient();
  const [school, setSchool] = useState(target.school ?? '');
  const [number, setNumber] = useState(target.number);
  const keep = useMutation({
    mutationFn: () => keepDrillTarget(squadId, drill.slug, { school: school === '' ? null : school, number: school === 'fixed' ? number : null }),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: keys.squad(squadId) }),
  });
  const faultAt = (path: string) => (keep.error instanceof ApiError ? keep.error.fields.find((one) => one.path === path)?.message : undefined);
  if (!drill.scoring || squad === undefined || squad.role === 'assistant') return null;
  const isChanged = school !== (target.school ?? '') || (school === 'fixed' && number !== target.number);
  return (
    <section className="tight no-print">
      <h2>Number to beat in this squad</h2>
      <div className="fields">
        <div className="wide">
          <Choice
            label="It is set by"
            value={school}
            options={[['', `as usual: ${schools[target.usual] ?? target.usual}`], ...Object.entries(schools)]}
            onValue={setSchool}
            fault={faultAt('school')}
          />
        </div>
        {school === 'fixed' && (
          <NumberField
            label={`The number, ${drill.scoring.unit}`}
            value={number}
            mayBeEmpty
            placeholder={target.forAge === null ? 'own record' : String(target.forAge)}
            onNumber={setNumber}
            fault={faultAt('number')}
          />
        )}
      </div>
      {isChanged && (
        <p>
          <Button onClick={() => keep.mutate()} disabled={keep.isPending}>
            Keep this
          </Button>
        </p>
      )}
      <p role="status" className="quiet">
        {keep.isSuccess && !isChanged ? 'Kept.' : ''}
        {keep.isError && !faultAt('school') && !faultAt('number') ? keep.error.message : ''}
      </p>
    </section>
  );
}
