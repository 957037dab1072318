import { noted } from './shared/lib/deviceNotes';
import { askEarly } from './shared/api/early';

/*
 * Comes before the application, and is small: asks for what the first view will show, while the libraries are still on their way. It
 * reads of the answers only what the next question needs; whoever shows them checks them.
 */
async function begin(path: string): Promise<void> {
  // Who comes by an invitation is nobody yet.
  if (/^\/(invitation|reset)\//.test(path)) return;
  const isToday = path === '/' || path === '/today';
  const known = Number(noted('squad') ?? 0);
  // The squad shown last is asked for at once: while the application starts, nobody has time to read who is signed in.
  if (isToday && known > 0) void askEarly(`/squads/${known}/today`);
  const me = askEarly('/me');
  const id = /^\/plan\/(\d+)$/.exec(path)?.[1];
  if (id) {
    const session = (await read(askEarly(`/sessions/${id}`))) as { squadId?: number } | undefined;
    if (session?.squadId) void askEarly(`/squads/${session.squadId}/drills`);
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
