import { createContext, useContext } from 'react';
import { noted } from '../lib/deviceNotes';
import type { ThemeName } from '../theme/tokens';

export interface ThemeChoiceValue {
  /** What is shown now. */
  name: ThemeName;
  setDusk: (dusk: boolean) => void;
}

export const ThemeChoice = createContext<ThemeChoiceValue>({ name: 'paper', setDusk: () => {} });
export const useThemeChoice = (): ThemeChoiceValue => useContext(ThemeChoice);

/** As chosen on this device. */
export const isDuskChosen = (): boolean => noted('theme') === 'dusk';
