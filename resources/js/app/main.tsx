import { askForFonts } from './look';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { keepOpenable } from '../shared/lib/openable';
import { App } from './App';

askForFonts();
const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <App />
    </StrictMode>,
  );
keepOpenable();
