/** Sends so many numbers in batches of ten, again and again until each is taken, as a phone with a bad connection does. */
import { visitor } from './visitor.mjs';

const [base, who, wanted] = process.argv.slice(2);
const { call, signIn } = visitor(base);
const patient = async (work) => {
  for (let tries = 0; ; tries++) {
    try {
      const answer = await work();
      if (answer.status === 200) return answer.json;
      if (![419, 429, 502, 503, 504].includes(answer.status)) throw new Error(`${answer.status} ${answer.text.slice(0, 300)}`);
    } catch (fault) {
      if (tries > 400 || (fault instanceof Error && /^\d{3} /.test(fault.message))) throw fault;
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
};
const me = await signIn(who);
const today = await patient(() => call('GET', `/squads/${me.squads[0].id}/today`));
const pack = await patient(() => call('GET', `/sessions/${today.next.id}/run`));
const asks = pack.segments.flatMap((segment) => segment.asks);
const marks = Array.from({ length: Number(wanted) }, (_, i) => ({
  uuid: `0f000000-0000-4000-8000-${String(i).padStart(12, '0')}`, playerId: asks[i % asks.length].playerId, lineKey: asks[i % asks.length].lineKey, sessionId: today.next.id,
  tryNumber: 1 + (i % 150), value: 5 + (i % 20), isVoid: false, recordedAt: '2026-03-10T11:00:00.000Z', supersedesUuids: [],
}));
// Each begins at another end.
if (who === 'lead') marks.reverse();
for (let at = 0; at < marks.length; at += 10) {
  const batch = marks.slice(at, at + 10);
  const { results } = await patient(() => call('POST', '/marks', { marks: batch }));
  const wrong = results.filter(({ status }) => status === 'refused');
  if (wrong.length > 0 || results.length !== batch.length) throw new Error(JSON.stringify(wrong));
  await new Promise((resolve) => setTimeout(resolve, 40));
}
