import { QueryClient } from '@tanstack/react-query';
import { afterEach, expect, test, vi } from 'vitest';
import { isOf, keys } from '../shared/api/keys';
import { readAhead } from './readAhead';

// Answers of the very contract are taken as they are.
vi.hoisted(() => vi.stubEnv('VITE_CONTRACT', 'same'));

type Router = Parameters<typeof readAhead>[1];

/** A router at an address whose view is still on its way or here, and what tells it that the view is here. */
function routerAt(pathname: string, initialized: boolean) {
  const state = { initialized, location: { pathname } } as Router['state'];
  const told: ((now: Router['state']) => void)[] = [];
  const gone: unknown[] = [];
  const router: Router = {
    state,
    subscribe: (tell) => {
      told.push(tell as (now: Router['state']) => void);
      return () => {};
    },
    navigate: (to: unknown) => {
      gone.push(to);
      return Promise.resolve();
    },
  };
  return { router, gone, load: () => told.forEach((tell) => tell({ ...state, initialized: true })) };
}

/** What the server answers with, by its path; without one it cannot be reached. */
function server(answers: Record<string, unknown>, squad: string | null = '7') {
  const asked: string[] = [];
  vi.stubGlobal('window', { setTimeout: () => 0 });
  vi.stubGlobal('document', { cookie: '' });
  vi.stubGlobal('localStorage', { getItem: (name: string) => (name === 'squad' ? squad : null) });
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path);
    const answer = answers[path.replace('/api/v1', '')];
    return answer === undefined
      ? Promise.reject(new TypeError('No network.'))
      : Promise.resolve(new Response(JSON.stringify(answer), { headers: { 'X-Contract': 'same' } }));
  });
  return asked;
}

afterEach(() => vi.unstubAllGlobals());

test('a view is waited for, and what it shows of the squad that was shown last', async () => {
  const asked = server({});
  const { router, load } = routerAt('/today', false);
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
  await readAhead(client, routerAt('/today', true).router, '/today');
  expect(client.getQueryState(keys.me)?.error).toMatchObject({ kind: 'offline' });
  expect(client.getQueryState(keys.today(7))?.error).toMatchObject({ kind: 'offline' });
});

const me = { id: 3, squads: [{ id: 7 }] };
const next = { id: 19, squadId: 7, version: 2, blocks: [], overrides: [], evaluation: { blocks: [] } };

test('the way to the next plan is gone before anything is drawn, with all that today says of it', async () => {
  const asked = server({ '/me': me, '/squads/7/today': { next } }, null);
  const client = new QueryClient();
  const { router, gone } = routerAt('/plan', true);
  await readAhead(client, router, '/plan');
  expect(asked).toEqual(['/api/v1/me', '/api/v1/squads/7/today']);
  expect(gone).toEqual(['/plan/19']);
  expect(client.getQueryData(keys.session(19))).toEqual(next);
  expect(client.getQueriesData({ predicate: isOf('preview') }).map(([, evaluation]) => evaluation)).toEqual([next.evaluation]);
});

test('whoever went elsewhere meanwhile is not led back', async () => {
  server({ '/me': me, '/squads/7/today': { next } });
  const { router, gone } = routerAt('/book', true);
  await readAhead(new QueryClient(), router, '/plan');
  expect(gone).toEqual([]);
});

test('a plan is waited for with what the server makes of it', async () => {
  const asked = server({ '/me': me, '/sessions/19': next, '/squads/7/preview': { blocks: [] } });
  await readAhead(new QueryClient(), routerAt('/plan/19', true).router, '/plan/19');
  expect(asked.toSorted()).toEqual(['/api/v1/me', '/api/v1/sessions/19', '/api/v1/squads/7/preview']);
});

test('no other view waits for anything', async () => {
  const asked = server({});
  await readAhead(new QueryClient(), routerAt('/book', false).router, '/book');
  expect(asked).toEqual([]);
});
