import type { QueryClient } from '@tanstack/react-query';
import type { createBrowserRouter } from 'react-router';
import { meQuery } from '../shared/api/meQuery';
import { squadQueries } from '../shared/api/queries';
import { noted } from '../shared/lib/deviceNotes';

type Router = Pick<ReturnType<typeof createBrowserRouter>, 'state' | 'subscribe'>;

/**
 * The script of the view, and the answers that were asked for early, each into its place; of Today alone, as any other view asks for
 * more once it is drawn. Never rejects: whoever shows them hears of a fault.
 */
export async function readAhead(client: QueryClient, router: Router, path: string): Promise<void> {
  const squad = Number(noted('squad') ?? 0);
  if ((path !== '/' && path !== '/today') || squad === 0) return;
  await Promise.allSettled([isReady(router), client.query(meQuery), client.query(squadQueries.today(squad))]);
}

const isReady = (router: Router): Promise<void> =>
  new Promise((resolve) => {
    if (router.state.initialized) resolve();
    else
      router.subscribe(({ initialized }) => {
        if (initialized) resolve();
      });
  });
