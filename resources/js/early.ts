import { noted } from './shared/lib/deviceNotes';
import { askEarly } from './shared/api/early';
import { draftOf, inHand } from './shared/lib/planInHand';
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
  // The next plan too: today knows all of it.
  const isToday = path === '/' || path === '/today' || path === '/plan';
  const known = Number(noted('squad') ?? 0);
  // The squad shown last is asked for at once: while the application starts, nobody has time to read who is signed in.
  if (isToday && known > 0) void askEarly(`/squads/${known}/today`);
  const me = askEarly('/me');
  const id = /^\/plan\/(\d+)$/.exec(path)?.[1];
  if (id) {
    const session = (await read(askEarly(`/sessions/${id}`))) as Session | undefined;
    // The book is asked for by the page, after what it shows first: it is the heaviest of them.
    if (session) void askEarly(`/squads/${session.squadId}/preview`, draftOf(inHand(session).plan));
  }
  if (isToday) {
    const { squads = [] } = ((await read(me)) ?? {}) as { squads?: { id: number }[] };
    const squad = squads.find((one) => one.id === known) ?? squads[0];
    if (squad && squad.id !== known) void askEarly(`/squads/${squad.id}/today`);
  }
}

async function read(answer: Promise<Response | undefined>): Promise<unknown> {
  const response = await answer;
  return response?.ok ? response.json() : undefined;
}

void begin(location.pathname).catch(() => undefined);
