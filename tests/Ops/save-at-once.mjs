/** Eight saves of one plan with one version, sent together; prints how many answers of each kind came back. */
import { visitor } from './visitor.mjs';

const { call, signIn } = visitor(process.argv[2]);
const me = await signIn('coach');
const today = (await call('GET', `/squads/${me.squads[0].id}/today`)).json;
const session = today.next;
const plan = {
  title: session.title, place: session.place, startsAt: session.startsAt, slotMinutes: session.slotMinutes, blocks: session.blocks,
  comingPlayerIds: session.comingPlayerIds, helpers: session.helpers, may: session.may, isHot: session.isHot, overrides: [],
};
const save = (i) => call('PUT', `/sessions/${session.id}`, { ...plan, title: `${plan.title} ${i}` }, { 'If-Match': `"${session.version}"` });
const counts = {};
for (const { status } of await Promise.all(Array.from({ length: 8 }, (_, i) => save(i)))) counts[status] = (counts[status] ?? 0) + 1;
// As it was, for whoever comes next.
const now = (await call('GET', `/sessions/${session.id}`)).json;
await call('PUT', `/sessions/${session.id}`, plan, { 'If-Match': `"${now.version}"` });
process.stdout.write(JSON.stringify(counts));
