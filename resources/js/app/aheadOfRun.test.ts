import { afterEach, expect, test, vi } from 'vitest';

async function askedAt(pathname: string, account: string | null): Promise<string[]> {
  const asked: string[] = [];
  vi.resetModules();
  vi.stubGlobal('window', { setTimeout: () => 0 });
  vi.stubGlobal('location', { pathname });
  vi.stubGlobal('localStorage', { getItem: (name: string) => (name === 'account' ? account : null) });
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path);
    return Promise.resolve(new Response('{}'));
  });
  await import('./aheadOfRun');
  return asked;
}

afterEach(() => vi.unstubAllGlobals());

test('the pack of a run is asked for before anything else starts, for whom the phone remembers', async () => {
  expect(await askedAt('/run/19', '3')).toEqual(['/api/v1/sessions/19/run']);
  expect(await askedAt('/run/19', null)).toEqual([]);
  expect(await askedAt('/today', '3')).toEqual([]);
});
