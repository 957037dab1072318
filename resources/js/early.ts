import { noted } from './shared/lib/deviceNotes';
import { askEarly } from './shared/api/early';
import { draftOf, planOf, unkept } from './shared/lib/planInHand';
import type { Session } from './shared/api/schemas';

/*
 * Stands in the page, before the application, and is small: asks for what the first view will show, while the libraries are still on
 * their way. It reads of the answers only what the next question needs; whoever shows them checks them.
 */
async function begin(path: string): Promise<void> {
  // Who comes by an invitation is nobody yet.
  if (/^\/(invitation|reset)\//.test(path)) return;
  const run = /^\/run\/(\d+)/.exec(path)?.[1];
  if (run) {
    // Where nobody is remembered, a sign-in comes before it.
    if (noted('account') !== undefined) void askEarly(`/sessions/${run}/run`);
    return;
  }
  const isToday = path === '/' || path === '/today';
  const isNext = path === '/plan';
  const known = Number(noted('squad') ?? 0);
  // The squad shown last is asked for at once: while the application starts, nobody has time to read who is signed in.
  const ahead = (isToday || isNext) && known > 0 ? askEarly(`/squads/${known}/today`) : undefined;
  const me = askEarly('/me');
  const id = /^\/plan\/(\d+)$/.exec(path)?.[1];
  if (id) await beginPlan(Number(id));
  if (isToday || isNext) {
    const { squads = [] } = ((await read(me)) ?? {}) as { squads?: { id: number }[] };
    const squad = squads.find((one) => one.id === known) ?? squads[0];
    if (!squad) return;
    const today = ahead && squad.id === known ? ahead : askEarly(`/squads/${squad.id}/today`);
    if (isNext) {
      // After what is shown first: the book is the heaviest of them.
      const { next } = ((await read(today)) ?? {}) as { next?: object | null };
      if (next) void askEarly(`/squads/${squad.id}/drills`);
    }
  }
}

/** A plan, and what the server makes of it. */
async function beginPlan(id: number): Promise<void> {
  const session = (await read(askEarly(`/sessions/${id}`))) as Session | undefined;
  if (!session) return;
  void askEarly(`/squads/${session.squadId}/preview`, draftOf(unkept(session) ?? planOf(session)));
  // After what is shown first: the book is the heaviest of them.
  void askEarly(`/squads/${session.squadId}/drills`);
}

async function read(answer: Promise<Response | undefined>): Promise<unknown> {
  const response = await answer;
  return response?.ok ? response.json() : undefined;
}

void begin(location.pathname).catch(() => undefined);
