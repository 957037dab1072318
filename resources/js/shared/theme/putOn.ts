import { tokens, type ThemeName } from './tokens';

/** The page takes on the colours of a theme. */
export function putOn(name: ThemeName): void {
  const { style } = document.documentElement;
  for (const [colour, value] of Object.entries<string>({ ...tokens[name] })) style.setProperty(`--${colour}`, value);
  style.colorScheme = name === 'dusk' ? 'dark' : 'light';
}
