import { createContext, useContext } from 'react';

export interface ThemeChoiceValue {
  isDusk: boolean;
  setDusk: (dusk: boolean) => void;
  /** The run view asks for the sun theme while it is open; dusk stays dusk. */
  setAtPitch: (atPitch: boolean) => void;
}

export const ThemeChoice = createContext<ThemeChoiceValue>({ isDusk: false, setDusk: () => {}, setAtPitch: () => {} });
export const useThemeChoice = (): ThemeChoiceValue => useContext(ThemeChoice);
