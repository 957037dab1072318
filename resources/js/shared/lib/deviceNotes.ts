/**
 * Small things a device remembers. A browser may refuse to keep or even to be asked: then they last as long as the page, and go before
 * what could still be kept earlier.
 */
const meanwhile = new Map<string, string>();

export function noted(name: string): string | undefined {
  try {
    return meanwhile.get(name) ?? localStorage.getItem(name) ?? undefined;
  } catch {
    return undefined;
  }
}

export function note(name: string, text: string | undefined): void {
  meanwhile.delete(name);
  try {
    if (text === undefined) localStorage.removeItem(name);
    else localStorage.setItem(name, text);
  } catch {
    // Full or denied: what was typed stays in the page.
    if (text !== undefined) meanwhile.set(name, text);
  }
}
