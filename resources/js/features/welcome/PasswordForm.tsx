import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import type { ApiError } from '../../shared/api/client';
import { Field } from '../../shared/ui/Field';

interface PasswordFormProps {
  label: string;
  password: string;
  onPassword: (password: string) => void;
  fault: ApiError | undefined;
  isPending: boolean;
  action: string;
  /** "new-password" unless an account of today is asked for. */
  autoComplete?: 'new-password' | 'current-password';
  onSubmit: () => void;
  children?: ReactNode;
}

export function PasswordForm({ label, password, onPassword, fault, isPending, action, autoComplete = 'new-password', onSubmit, children }: PasswordFormProps) {
  const at = (path: string) => fault?.fields.find((field) => field.path === path)?.message;
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
      {fault && fault.fields.length === 0 && (
        <p className="notice" role="alert">
          {fault.message}
        </p>
      )}
      <Button type="submit" variant="contained" disabled={isPending}>
        {action}
      </Button>
    </form>
  );
}
