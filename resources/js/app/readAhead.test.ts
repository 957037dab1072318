import { QueryClient } from '@tanstack/react-query';
import { afterEach, expect, test, vi } from 'vitest';
import { keys } from '../shared/api/keys';
import { readAhead } from './readAhead';

type Router = Parameters<typeof readAhead>[1];

/** A router whose view is still on its way, and what tells it that the view is here. */
function loading() {
  const state = { initialized: false } as Router['state'];
  const told: ((now: Router['state']) => void)[] = [];
  const router: Router = {
    state,
    subscribe: (tell) => {
      told.push(tell as (now: Router['state']) => void);
      return () => {};
    },
  };
  return { router, load: () => told.forEach((tell) => tell({ ...state, initialized: true })) };
}
const ready: Router = { state: { initialized: true } as Router['state'], subscribe: () => () => {} };

/** What the server answers with, by its path; without one it cannot be reached. */
function server(answers: Record<string, unknown>) {
  const asked: string[] = [];
  vi.stubGlobal('window', { setTimeout: () => 0 });
  vi.stubGlobal('document', { cookie: '' });
  vi.stubGlobal('localStorage', { getItem: (name: string) => (name === 'squad' ? '7' : null) });
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path);
    const answer = answers[path.replace('/api/v1', '')];
    return answer === undefined
      ? Promise.reject(new TypeError('No network.'))
      : Promise.resolve(new Response(JSON.stringify(answer), { headers: { 'Content-Type': 'application/json' } }));
  });
  return asked;
}

afterEach(() => vi.unstubAllGlobals());

test('a view is waited for, and what it shows of the squad that was shown last', async () => {
  const asked = server({});
  const { router, load } = loading();
  let isHere = false;
  const here = readAhead(new QueryClient(), router, '/today').then(() => (isHere = true));
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(isHere).toBe(false);
  load();
  await here;
  expect(asked.toSorted()).toEqual(['/api/v1/me', '/api/v1/squads/7/today']);
});

test('without a network nothing is rejected, and whoever shows it hears of the fault', async () => {
  server({});
  const client = new QueryClient();
  await readAhead(client, ready, '/today');
  expect(client.getQueryState(keys.me)?.error).toMatchObject({ kind: 'offline' });
  expect(client.getQueryState(keys.today(7))?.error).toMatchObject({ kind: 'offline' });
});

test('no other view waits for anything', async () => {
  const asked = server({});
  await readAhead(new QueryClient(), loading().router, '/plan');
  expect(asked).toEqual([]);
});
