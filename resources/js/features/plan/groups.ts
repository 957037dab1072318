import type { BlockEvaluation, Player } from '../../shared/api/schemas';

/** "Amina and Bo", "Dag, Elif and Ines". */
export const listed = (names: string[]): string => (names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`);

/** Who is together in a block, a group each; whoever serves without working is named as such. */
export function groupWords(worked: BlockEvaluation, players: Player[]): string[] {
  const name = (id: number) => players.find((player) => player.id === id)?.name ?? String(id);
  return worked.groups.map(({ workers, servers, isHelped }) => {
    const at = listed(workers.map(name));
    if (servers.length > 0) return `${at}, served by ${listed(servers.map(name))}`;
    return isHelped ? `${at} with a helper` : at;
  });
}

/** Goal duty goes round over the season. */
export const keepers = (worked: BlockEvaluation, players: Player[]): string =>
  listed(worked.duties.filter((duty) => duty.kind === 'keeper').map((duty) => players.find((player) => player.id === duty.playerId)?.name ?? ''));
