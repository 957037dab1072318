import { Button } from '../../shared/ui/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { changePassword, signInsQuery } from '../../shared/api/staffQueries';
import { Field } from '../../shared/ui/Field';
import { FormFault } from '../../shared/ui/FormFault';

export function PasswordSection() {
  const queryClient = useQueryClient();
  const empty = { currentPassword: '', password: '' };
  const [form, setForm] = useState(empty);
  const change = useMutation({
    mutationFn: () => changePassword(form),
    onSuccess: () => {
      setForm(empty);
      return queryClient.invalidateQueries({ queryKey: signInsQuery.queryKey });
    },
  });
  const { at, form: fault } = faultsOf(change.error);
  return (
    <form
      noValidate
      className="stack narrow"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate();
      }}
    >
      <h3>Your password</h3>
      <Field
        label="Password of today"
        type="password"
        autoComplete="current-password"
        value={form.currentPassword}
        onValue={(currentPassword) => setForm((before) => ({ ...before, currentPassword }))}
        fault={at('currentPassword')}
      />
      <Field
        label="New password"
        type="password"
        autoComplete="new-password"
        value={form.password}
        onValue={(password) => setForm((before) => ({ ...before, password }))}
        fault={at('password')}
      />
      <FormFault sentence={fault} />
      <div className="acts-line">
        <Button type="submit" disabled={change.isPending}>
          Change password
        </Button>
        {change.isSuccess && <span role="status">Changed. Every other device is signed out.</span>}
      </div>
    </form>
  );
}
