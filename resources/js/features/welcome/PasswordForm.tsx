import { Button } from '../../shared/ui/Button';
import type { ReactNode } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { Field } from '../../shared/ui/Field';
import { FormFault } from '../../shared/ui/FormFault';

interface PasswordFormProps {
  label: string;
  password: string;
  onPassword: (password: string) => void;
  error: Error | null;
  isPending: boolean;
  action: string;
  /** "new-password" unless an account of today is asked for. */
  autoComplete?: 'new-password' | 'current-password';
  onSubmit: () => void;
  children?: ReactNode;
}

export function PasswordForm({ label, password, onPassword, error, isPending, action, autoComplete = 'new-password', onSubmit, children }: PasswordFormProps) {
  const { at, form } = faultsOf(error);
  return (
    <form
      noValidate
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit();
      }}
    >
      {children}
      <Field label={label} type="password" autoComplete={autoComplete} value={password} onValue={onPassword} fault={at('password')} />
      <FormFault sentence={form} />
      <Button type="submit" variant="contained" disabled={isPending}>
        {action}
      </Button>
    </form>
  );
}
