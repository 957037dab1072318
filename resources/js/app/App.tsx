import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useLayoutEffect, useMemo, useState } from 'react';
import { RouterProvider } from 'react-router/dom';
import { ApiError } from '../shared/api/client';
import { ThemeChoice, type ThemeChoiceValue } from '../shared/ui/ThemeChoice';
import { note, noted } from '../shared/lib/deviceNotes';
import { announceSignedOut } from '../shared/lib/signedOut';
import { router } from './router';
import { tokens, type ThemeName } from '../shared/theme/tokens';

/** Asks to sign in again wherever a call finds the sign-in gone; the view behind keeps what was typed. */
function noteSignedOut(fault: Error): void {
  if (fault instanceof ApiError && fault.kind === 'signed-out') announceSignedOut();
}

const queryClient = new QueryClient({
  queryCache: new QueryCache({ onError: noteSignedOut }),
  mutationCache: new MutationCache({ onError: noteSignedOut }),
  defaultOptions: {
    queries: {
      staleTime: 15_000,
      retry: (count, fault) => count < 2 && fault instanceof ApiError && fault.kind === 'server',
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

function keptTheme(): ThemeName {
  return noted('theme') === 'dusk' ? 'dusk' : 'paper';
}

export function App() {
  const [chosen, setChosen] = useState<ThemeName>(keptTheme);
  const [atPitch, setAtPitch] = useState(false);
  const name: ThemeName = atPitch && chosen === 'paper' ? 'sun' : chosen;
  useLayoutEffect(() => {
    const { style } = document.documentElement;
    for (const [colour, value] of Object.entries<string>({ ...tokens[name] })) style.setProperty(`--${colour}`, value);
    style.colorScheme = name === 'dusk' ? 'dark' : 'light';
  }, [name]);
  const choice = useMemo<ThemeChoiceValue>(
    () => ({
      name,
      isDusk: chosen === 'dusk',
      setDusk: (dusk) => {
        note('theme', dusk ? 'dusk' : 'paper');
        setChosen(dusk ? 'dusk' : 'paper');
      },
      setAtPitch,
    }),
    [chosen, name],
  );
  return (
    <ThemeChoice value={choice}>
      <QueryClientProvider client={queryClient}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ThemeChoice>
  );
}
