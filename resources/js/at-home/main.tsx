import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-700.css';
import '@fontsource/sofia-sans-condensed/latin-800.css';
import '../app/theme/app.css';
import './at-home.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { tokens } from '../shared/theme/tokens';
import { AtHomePage } from './AtHomePage';

const isDark = window.matchMedia('(prefers-color-scheme: dark)').matches;
const { style } = document.documentElement;
for (const [colour, value] of Object.entries<string>({ ...tokens[isDark ? 'dusk' : 'paper'] })) style.setProperty(`--${colour}`, value);
style.colorScheme = isDark ? 'dark' : 'light';

// Asked for before the first drawing, so that it is not laid out twice.
for (const font of ['400 1em "Atkinson Hyperlegible Next"', '700 1em "Atkinson Hyperlegible Next"', '800 1em "Sofia Sans Condensed"'])
  void document.fonts.load(font).catch(() => undefined);

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <AtHomePage />
    </StrictMode>,
  );
// Opens without a network after the first visit; a browser that forbids it still shows the page with one.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  void navigator.serviceWorker.register('/at-home-sw.js', { scope: '/at-home/' }).catch(() => undefined);
