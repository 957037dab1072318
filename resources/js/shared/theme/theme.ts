import { createTheme } from '@mui/material/styles';
import { tokens, type ThemeName } from './tokens';

const textFace = '"Atkinson Hyperlegible Next", system-ui, sans-serif';

/** The component library under our own rules: ink outlines, no shadows, nothing that fades. It draws what lies over a view; the rest is our own sheet. */
export function themeOf(name: ThemeName) {
  const colour = tokens[name];
  return createTheme({
    palette: {
      mode: name === 'dusk' ? 'dark' : 'light',
      primary: { main: colour.ink, contrastText: colour.card },
      background: { default: colour.ground, paper: colour.card },
      text: { primary: colour.ink, secondary: colour.quiet },
    },
    shape: { borderRadius: 3 },
    typography: { fontFamily: textFace, fontSize: 15 },
    components: {
      MuiDialog: { styleOverrides: { paper: { border: `1.5px solid ${colour.ink}`, boxShadow: 'none', backgroundImage: 'none' } } },
    },
  });
}
