import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query';
import { ApiError } from '../shared/api/client';
import { goodForMs } from '../shared/api/early';
import { announceSignedOut } from '../shared/lib/signedOut';

/** Asks to sign in again wherever a call finds the sign-in gone; the view behind keeps what was typed. */
function noteSignedOut(fault: Error): void {
  if (fault instanceof ApiError && fault.kind === 'signed-out') announceSignedOut();
}

export const queryClient = new QueryClient({
  queryCache: new QueryCache({
    // A run says it quietly, in its own place: nobody is asked for a password with a whistle in the hand.
    onError: (fault, { meta }) => meta?.isQuiet === true || noteSignedOut(fault),
  }),
  mutationCache: new MutationCache({ onError: noteSignedOut }),
  defaultOptions: {
    queries: {
      staleTime: goodForMs,
      retry: (count, fault) => count < 2 && fault instanceof ApiError && fault.kind === 'server',
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});
