import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import Dialog from '@mui/material/Dialog';
import { ThemeProvider } from '@mui/material/styles';
import { useMemo } from 'react';
import { themeOf } from '../theme/theme';
import type { DialogProps } from './Dialog';
import { useThemeChoice } from './ThemeChoice';

/** What the component library adds to the page while running carries the page's nonce: nothing else may. */
const styles = createCache({ key: 'css', nonce: document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? '' });

/** The component library's dialog, which keeps the focus and gives it back. */
export function OverView({ open = true, labelledBy, wide = false, onClose, children }: DialogProps) {
  const { name } = useThemeChoice();
  const theme = useMemo(() => themeOf(name), [name]);
  return (
    <CacheProvider value={styles}>
      <ThemeProvider theme={theme}>
        <Dialog open={open} {...(onClose && { onClose })} aria-labelledby={labelledBy} transitionDuration={0} fullWidth maxWidth={wide ? 'sm' : 'xs'}>
          {children}
        </Dialog>
      </ThemeProvider>
    </CacheProvider>
  );
}
