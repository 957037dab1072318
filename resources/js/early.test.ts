import { afterEach, expect, test, vi } from 'vitest';

const answers: Record<string, unknown> = {
  '/me': { squads: [{ id: 4 }, { id: 7 }] },
  '/sessions/19': { id: 19, version: 3, squadId: 7, slotMinutes: 60, blocks: [], overrides: [] },
};

/** A page of this address, on a device that showed a squad last, asks for these in order and for nothing else. */
async function expectAsked(pathname: string, squad: string | null, paths: string[], account: string | null = null): Promise<void> {
  const asked: string[] = [];
  vi.resetModules();
  vi.stubGlobal('window', { setTimeout });
  vi.stubGlobal('location', { pathname });
  vi.stubGlobal('document', { cookie: '' });
  vi.stubGlobal('localStorage', { getItem: (name: string) => ({ squad, account })[name] ?? null });
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path.replace('/api/v1', ''));
    return Promise.resolve(new Response(JSON.stringify(answers[asked[asked.length - 1] ?? ''] ?? {})));
  });
  await import('./early');
  await vi.waitFor(() => expect(asked).toHaveLength(paths.length));
  await new Promise((resolve) => setTimeout(resolve, 5));
  expect(asked).toEqual(paths);
}

afterEach(() => vi.unstubAllGlobals());

test('today is asked for at once for the squad shown last, and else as soon as it is known who is signed in', async () => {
  await expectAsked('/today', '7', ['/squads/7/today', '/me']);
  await expectAsked('/', null, ['/me', '/squads/4/today']);
  // A squad that is not theirs any more: the first that is.
  await expectAsked('/today', '99', ['/squads/99/today', '/me', '/squads/4/today']);
});

test('the way to the next plan asks for today, which knows all of it; a plan asks for itself and what is made of it', async () => {
  await expectAsked('/plan', '7', ['/squads/7/today', '/me']);
  await expectAsked('/plan', null, ['/me', '/squads/4/today']);
  await expectAsked('/plan/19', null, ['/me', '/sessions/19', '/squads/7/preview']);
});

test('whoever comes by an invitation is asked for nothing, and other views only for who is signed in', async () => {
  await expectAsked('/invitation/abc', '7', []);
  await expectAsked('/book', '7', ['/me']);
});

test('the pack of a run is asked for, for whom the phone remembers', async () => {
  await expectAsked('/run/19', '7', ['/sessions/19/run'], '3');
  await expectAsked('/run/19', '7', []);
});
