/** One door for "the sign-in is gone", so that any call may notice and the shell may ask. */
const name = 'fleet-sparrow:signed-out';

export function announceSignedOut(): void {
  window.dispatchEvent(new Event(name));
}

export function onSignedOut(listener: () => void): () => void {
  window.addEventListener(name, listener);
  return () => window.removeEventListener(name, listener);
}
