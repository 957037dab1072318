import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ApiError } from '../../shared/api/client';
import { meQuery } from '../../shared/api/queries';
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
  const fault = add.error instanceof ApiError ? add.error : undefined;
  const at = (path: string) => fault?.fields.find((field) => field.path === path)?.message;
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
      <Field label="Name of the squad" value={name} onValue={setName} fault={at('name') ?? (fault?.fields.length === 0 ? fault.message : undefined)} />
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
