import { Button } from '../../shared/ui/Button';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { faultsOf } from '../../shared/api/faults';
import { askForReset } from '../../shared/api/staffQueries';
import { Field } from '../../shared/ui/Field';

/** A way back in: by mail where the club has set it up, else by the club lead. */
export function Forgotten() {
  const [isOpen, setOpen] = useState(false);
  const [email, setEmail] = useState('');
  const ask = useMutation({ mutationFn: () => askForReset(email) });
  const { at, form } = faultsOf(ask.error);
  if (!isOpen)
    return (
      <p>
        <button type="button" className="link" onClick={() => setOpen(true)}>
          Password forgotten?
        </button>
      </p>
    );
  if (ask.data)
    return (
      <p className="note" role="status">
        {ask.data.byMail
          ? 'If there is an account with this address, a link is on its way. It is good for a day.'
          : 'No mail is set up here. Ask your club lead for a link: it takes them one press.'}
      </p>
    );
  return (
    <form
      noValidate
      className="stack"
      onSubmit={(event) => {
        event.preventDefault();
        ask.mutate();
      }}
    >
      <Field
        label="Your e-mail, for a new password"
        type="email"
        autoComplete="username"
        value={email}
        onValue={setEmail}
        fault={at('email') ?? form}
        autoFocus
      />
      <Button type="submit" disabled={ask.isPending}>
        Ask for a link
      </Button>
    </form>
  );
}
