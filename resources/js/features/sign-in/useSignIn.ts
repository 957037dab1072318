import { useMutation } from '@tanstack/react-query';
import { faultsOf } from '../../shared/api/faults';
import { signIn } from '../../shared/api/queries';
import type { Me } from '../../shared/api/schemas';
import { betweenFlushes } from '../../shared/lib/outbox';

/** Signs in; faults come back by field, what has none under `form`. */
export function useSignIn(onSignedIn: (me: Me) => void) {
  const mutation = useMutation({
    mutationFn: ({ email, password }: { email: string; password: string }) => betweenFlushes(() => signIn(email, password)),
    onSuccess: onSignedIn,
  });
  const { at, form } = faultsOf(mutation.error);
  return { isPending: mutation.isPending, submit: mutation.mutate, faults: { email: at('email'), password: at('password'), form } };
}
