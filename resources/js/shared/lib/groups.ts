import type { BlockEvaluation, Player } from '../api/schemas';
import { doseWords } from './doseWords';
import type { FootWording } from './format';

/** "Amina and Bo", "Dag, Elif and Ines". */
export const listed = (names: string[]): string => (names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`);

/** Who is together in a block, a group each; whoever serves without working is named as such. */
export function groupWords(worked: BlockEvaluation, players: Player[]): string[] {
  const name = (id: number) => players.find((player) => player.id === id)?.name ?? String(id);
  return worked.groups.map(({ workers, servers, isHelped }) => {
    const at = listed(workers.map(name));
    if (servers.length > 0) return `${at}, served by ${listed(servers.map(name))}`;
    if (isHelped) return `${at} with a helper`;
    return workers.length === 1 ? `${at} alone` : at;
  });
}

/** Who keeps goal, and who counts and fetches because there is nothing to serve; a sentence each. */
export function dutyWords(worked: Pick<BlockEvaluation, 'duties'>, players: Player[]): string[] {
  const who = (kind: 'keeper' | 'counts') =>
    listed(worked.duties.filter((duty) => duty.kind === kind).map((duty) => players.find((player) => player.id === duty.playerId)?.name ?? ''));
  const [inGoal, counting] = [who('keeper'), who('counts')];
  return [...(inGoal ? [`In goal: ${inGoal}.`] : []), ...(counting ? [`To count and fetch: ${counting}.`] : [])];
}

/** What those of another age do instead: "U10, Amina and Bo: 2 × 20 s each foot, 20 s rest." */
export function ageWords(one: BlockEvaluation['ages'][number], players: Player[], wording: FootWording): string {
  const names = one.playerIds.map((id) => players.find((player) => player.id === id)?.name ?? String(id));
  return `${one.ageGroup}, ${listed(names)}: ${doseWords(one.dose, wording)}.`;
}
