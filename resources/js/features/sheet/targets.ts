import type { RunPack } from '../../shared/api/schemas';

const sideLetter: Record<string, string> = { R: 'R', L: 'L' };

/** Each player's numbers to beat in a block, as the server chose them: "12 R, 11 L". */
export function targetsOf(pack: RunPack, blockId: string): { name: string; numbers: string }[] {
  const asks = pack.segments.filter((segment) => segment.blockId === blockId).flatMap((segment) => segment.asks);
  return pack.players.flatMap((player) => {
    const lines = [...new Set(asks.filter((ask) => ask.playerId === player.id).map((ask) => ask.lineKey))];
    const numbers = lines.flatMap((line) => {
      const target = pack.standings[String(player.id)]?.[line]?.target;
      return target ? [[String(target.value), sideLetter[pack.lines[line]?.side ?? '']].filter(Boolean).join(' ')] : [];
    });
    return numbers.length > 0 ? [{ name: player.name, numbers: numbers.join(', ') }] : [];
  });
}
