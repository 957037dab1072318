import { expect, test } from 'vitest';

const sources = import.meta.glob<string>('../../**/*.{ts,tsx}', { query: '?raw', import: 'default', eager: true });

/** A name that something else writes is forgotten by nobody: an answer stays on the screen after it stopped being true. */
test('the names of answers are written in keys.ts alone', () => {
  const others = Object.entries(sources).filter(([path, source]) => /\bqueryKey:\s*\[/.test(source) && !/keys(\.test)?\.ts$/.test(path));

  expect(Object.keys(sources).length).toBeGreaterThan(200);
  expect(others.map(([path]) => path)).toEqual([]);
});
