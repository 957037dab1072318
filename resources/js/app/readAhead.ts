import type { QueryClient } from '@tanstack/react-query';
import type { createBrowserRouter } from 'react-router';
import { givePlan } from '../features/today/givePlan';
import { meQuery } from '../shared/api/meQuery';
import { previewQuery, sessionQuery, squadQueries } from '../shared/api/queries';
import { noted } from '../shared/lib/deviceNotes';
import { draftOf, inHand } from '../shared/lib/planInHand';

type Router = Pick<ReturnType<typeof createBrowserRouter>, 'state' | 'subscribe' | 'navigate'>;

/**
 * The script of the view, and the answers that were asked for early, each into its place; of Today and of a plan, as any other view asks
 * for more once it is drawn. Never rejects: whoever shows them hears of a fault.
 */
export async function readAhead(client: QueryClient, router: Router, path: string): Promise<void> {
  const plan = /^\/plan\/(\d+)$/.exec(path)?.[1];
  if (plan) await Promise.allSettled([isReady(router), client.query(meQuery), planAhead(client, Number(plan))]);
  else if (path === '/plan') await Promise.allSettled([isReady(router), nextPlanAhead(client, router)]);
  else if (path === '/' || path === '/today') await Promise.allSettled([isReady(router), todayAhead(client)]);
}

async function planAhead(client: QueryClient, id: number): Promise<void> {
  const session = await client.query(sessionQuery(id));
  await client.query(previewQuery(session.squadId, draftOf(inHand(session).plan)));
}

/** Who is signed in is known before today is asked for only where this device has not shown a squad yet. */
async function todayAhead(client: QueryClient) {
  const known = Number(noted('squad') ?? 0);
  const me = client.query(meQuery);
  const squad = known || (await me).squads[0]?.id;
  const [, today] = await Promise.all([me, squad === undefined ? undefined : client.query(squadQueries.today(squad))]);
  return today;
}

async function nextPlanAhead(client: QueryClient, router: Router): Promise<void> {
  const next = (await todayAhead(client))?.next;
  if (!next) return;
  givePlan(client, next, Date.now());
  // Drawn meanwhile, it may have been left again.
  if (router.state.location.pathname === '/plan') await router.navigate(`/plan/${next.id}`, { replace: true });
}

const isReady = (router: Router): Promise<void> =>
  new Promise((resolve) => {
    if (router.state.initialized) resolve();
    else
      router.subscribe(({ initialized }) => {
        if (initialized) resolve();
      });
  });
