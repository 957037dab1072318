/** Small things a device remembers. A browser may refuse to keep or even to be asked: then they last as long as the page. */
const meanwhile = new Map<string, string>();

export function noted(name: string): string | undefined {
  try {
    return localStorage.getItem(name) ?? meanwhile.get(name);
  } catch {
    return meanwhile.get(name);
  }
}

export function note(name: string, text: string | undefined): void {
  if (text === undefined) meanwhile.delete(name);
  else meanwhile.set(name, text);
  try {
    if (text === undefined) localStorage.removeItem(name);
    else localStorage.setItem(name, text);
  } catch {
    // Full or denied: what was typed stays in the page.
  }
}
