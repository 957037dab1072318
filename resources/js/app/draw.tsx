import { StrictMode, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';

/** What is on its way by now is mostly here within this; for more nobody waits without a word. */
const longestMs = 400;

/**
 * The first drawing, once what it shows is here: a page that has all of it is drawn once and at once, and not after two drawings that
 * say that it is on its way.
 */
export async function draw(what: ReactNode, here: Promise<unknown>): Promise<void> {
  const root = document.getElementById('root');
  if (!root) return;
  await Promise.race([here, new Promise((resolve) => setTimeout(resolve, longestMs))]);
  // In one go: there is nothing on the page yet that drawing it in slices would keep alive.
  flushSync(() => createRoot(root).render(<StrictMode>{what}</StrictMode>));
}
