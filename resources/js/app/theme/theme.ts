import { createTheme } from '@mui/material/styles';
import { tokens, type ThemeName } from './tokens';

const textFace = '"Atkinson Hyperlegible Next", system-ui, sans-serif';

/** The component library under our own rules: ink outlines, no shadows, no ripples, no upper case. */
export function themeOf(name: ThemeName) {
  const colour = tokens[name];
  const outline = `1.5px solid ${colour.ink}`;
  return createTheme({
    palette: {
      mode: name === 'dusk' ? 'dark' : 'light',
      primary: { main: colour.ink, contrastText: colour.card },
      error: { main: colour.warning },
      background: { default: colour.ground, paper: colour.card },
      text: { primary: colour.ink, secondary: colour.quiet },
      divider: colour.line,
    },
    shape: { borderRadius: 3 },
    typography: { fontFamily: textFace, fontSize: 15, button: { textTransform: 'none', fontWeight: 700 } },
    transitions: { duration: { shortest: 120, shorter: 120, short: 140, standard: 160, complex: 180, enteringScreen: 160, leavingScreen: 120 } },
    components: {
      MuiCssBaseline: { styleOverrides: { ':root': Object.fromEntries(Object.entries(colour).map(([key, value]) => [`--${key}`, value])) } },
      MuiButtonBase: {
        defaultProps: { disableRipple: true },
        styleOverrides: { root: { '&.Mui-focusVisible': { outline: `3px solid ${colour.now}`, outlineOffset: 2, boxShadow: `0 0 0 2px ${colour.ink}` } } },
      },
      MuiButton: {
        defaultProps: { disableElevation: true, variant: 'outlined', color: 'primary' },
        styleOverrides: {
          root: { minHeight: 40, padding: '6px 14px', whiteSpace: 'nowrap' },
          outlined: { border: outline, color: colour.ink, '&:hover': { border: outline, background: colour.card } },
          text: { padding: '4px 6px', minHeight: 32, textDecoration: 'underline', textUnderlineOffset: 3, fontWeight: 400 },
          contained: { border: outline },
        },
      },
      MuiDialog: { styleOverrides: { paper: { border: outline, boxShadow: 'none', backgroundImage: 'none' } } },
      MuiInputBase: {
        styleOverrides: {
          root: {
            border: `1px solid ${colour.quiet}`,
            borderRadius: 3,
            background: colour.card,
            padding: '2px 10px',
            minHeight: 40,
            '&.Mui-focused': { outline: `2px solid ${colour.ink}`, outlineOffset: 0 },
            '&.Mui-error': { border: `1.5px solid ${colour.warning}` },
          },
        },
      },
    },
  });
}
