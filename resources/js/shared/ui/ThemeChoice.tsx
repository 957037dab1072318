import { createContext, useContext } from 'react';

import type { ThemeName } from '../theme/tokens';

export interface ThemeChoiceValue {
  /** What is shown now. */
  name: ThemeName;
  isDusk: boolean;
  setDusk: (dusk: boolean) => void;
  /** The run view asks for the sun theme while it is open; dusk stays dusk. */
  setAtPitch: (atPitch: boolean) => void;
}

export const ThemeChoice = createContext<ThemeChoiceValue>({ name: 'paper', isDusk: false, setDusk: () => {}, setAtPitch: () => {} });
export const useThemeChoice = (): ThemeChoiceValue => useContext(ThemeChoice);
