import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { RouterProvider } from 'react-router/dom';
import { ApiError } from '../shared/api/client';
import { ThemeChoice, type ThemeChoiceValue } from '../shared/ui/ThemeChoice';
import { note, noted } from '../shared/lib/deviceNotes';
import { announceSignedOut } from '../shared/lib/signedOut';
import { router } from './router';
import { themeOf } from './theme/theme';
import type { ThemeName } from './theme/tokens';

/** Asks to sign in again wherever a call finds the sign-in gone; the view behind keeps what was typed. */
function noteSignedOut(fault: Error): void {
  if (fault instanceof ApiError && fault.kind === 'signed-out') announceSignedOut();
}

/** What the component library adds to the page while running carries the page's nonce: nothing else may. */
const styles = createCache({ key: 'css', nonce: document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? '' });

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
  const theme = useMemo(() => themeOf(name), [name]);
  const choice = useMemo<ThemeChoiceValue>(
    () => ({
      isDusk: chosen === 'dusk',
      setDusk: (dusk) => {
        note('theme', dusk ? 'dusk' : 'paper');
        setChosen(dusk ? 'dusk' : 'paper');
      },
      setAtPitch,
    }),
    [chosen],
  );
  return (
    <CacheProvider value={styles}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <ThemeChoice value={choice}>
          <QueryClientProvider client={queryClient}>
            <RouterProvider router={router} />
          </QueryClientProvider>
        </ThemeChoice>
      </ThemeProvider>
    </CacheProvider>
  );
}
