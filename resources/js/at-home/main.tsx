import { askForFonts } from '../app/look';
import './at-home.css';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { putOn } from '../shared/theme/putOn';
import { AtHomePage } from './AtHomePage';

putOn(window.matchMedia('(prefers-color-scheme: dark)').matches ? 'dusk' : 'paper');
askForFonts();

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
