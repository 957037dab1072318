import { Button } from '../../shared/ui/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { meQuery } from '../../shared/api/meQuery';
import { addSquad } from '../../shared/api/staffQueries';
import { Choice, Field } from '../../shared/ui/Field';

const groups = Array.from({ length: 13 }, (_, i) => `U${i + 6}`);

export function SquadsSection() {
  const queryClient = useQueryClient();
  const [name, setName] = useState('');
  const [ageGroup, setAgeGroup] = useState('U12');
  const add = useMutation({
    mutationFn: () => addSquad({ name, ageGroup }),
    onSuccess: () => {
      setName('');
      return queryClient.invalidateQueries({ queryKey: meQuery.queryKey });
    },
  });
  const { at, form: fault } = faultsOf(add.error);
  return (
    <form
      noValidate
      className="stack narrow"
      onSubmit={(event) => {
        event.preventDefault();
        add.mutate();
      }}
    >
      <h3>Add a squad</h3>
      <Field label="Name of the squad" value={name} onValue={setName} fault={at('name') ?? fault} />
      <Choice label="Its age group" value={ageGroup} options={groups.map((group) => [group, group])} onValue={setAgeGroup} fault={at('ageGroup')} />
      <div className="acts-line">
        <Button type="submit" disabled={add.isPending}>
          Add the squad
        </Button>
        {add.isSuccess && <span role="status">Added. Choose it at the top of the page.</span>}
      </div>
    </form>
  );
}
