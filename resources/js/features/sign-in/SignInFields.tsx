import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import type { Me } from '../../shared/api/schemas';
import { Field } from '../../shared/ui/Field';
import { FormFault } from '../../shared/ui/FormFault';
import { useSignIn } from './useSignIn';

export function SignInFields({ onSignedIn }: { onSignedIn: (me: Me) => void }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const { isPending, submit, faults } = useSignIn(onSignedIn);
  return (
    <form
      noValidate
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        submit({ email, password });
      }}
    >
      <Field label="E-mail" type="email" autoComplete="username" value={email} onValue={setEmail} fault={faults.email} autoFocus />
      <Field label="Password" type="password" autoComplete="current-password" value={password} onValue={setPassword} fault={faults.password} />
      <FormFault sentence={faults.form} />
      <Button type="submit" variant="contained" disabled={isPending}>
        {isPending ? 'Signing in …' : 'Sign in'}
      </Button>
    </form>
  );
}
