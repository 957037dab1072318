import { QueryClientProvider } from '@tanstack/react-query';
import { useLayoutEffect, useMemo, useState } from 'react';
import { RouterProvider } from 'react-router/dom';
import { note } from '../shared/lib/deviceNotes';
import { putOn } from '../shared/theme/putOn';
import { isDuskChosen, ThemeChoice, type ThemeChoiceValue } from '../shared/ui/ThemeChoice';
import { queryClient } from './queryClient';
import { router } from './router';

export function App() {
  const [isDusk, setIsDusk] = useState(isDuskChosen);
  const name = isDusk ? 'dusk' : 'paper';
  useLayoutEffect(() => putOn(name), [name]);
  const choice = useMemo<ThemeChoiceValue>(
    () => ({
      name,
      setDusk: (dusk) => {
        note('theme', dusk ? 'dusk' : 'paper');
        setIsDusk(dusk);
      },
    }),
    [name],
  );
  return (
    <ThemeChoice value={choice}>
      <QueryClientProvider client={queryClient}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ThemeChoice>
  );
}
