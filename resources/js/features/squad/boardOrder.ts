import type { SquadBoard } from '../../shared/api/schemas';

/** Nobody is ranked: names, bibs, and who came least. */
export const boardOrders = { name: 'by name', bib: 'by bib', came: 'who came least first' };
export type BoardOrder = keyof typeof boardOrders;

export function inOrder({ players }: SquadBoard, order: BoardOrder): SquadBoard['players'] {
  const last = Number.MAX_SAFE_INTEGER;
  const by: Record<BoardOrder, (a: SquadBoard['players'][number], b: SquadBoard['players'][number]) => number> = {
    name: (a, b) => a.name.localeCompare(b.name),
    bib: (a, b) => (a.bib ?? last) - (b.bib ?? last) || a.name.localeCompare(b.name),
    came: (a, b) => a.came - b.came || a.name.localeCompare(b.name),
  };
  return [...players].sort(by[order]);
}

export interface LineGroup {
  name: string;
  unit: string;
  window: string;
  lines: SquadBoard['lines'];
}

/** Lines of one task stand together, foot beside foot. */
export function grouped(lines: SquadBoard['lines']): LineGroup[] {
  const groups: LineGroup[] = [];
  for (const line of lines) {
    const last = groups.at(-1);
    if (last?.name === line.drillName && last.window === line.window) last.lines.push(line);
    else groups.push({ name: line.drillName, unit: line.unit, window: line.window, lines: [line] });
  }
  return groups;
}

/** Best first, for who asks for it on one line: a coach, not a child. */
export function ranked(board: SquadBoard, line: SquadBoard['lines'][number]): SquadBoard['players'] {
  const of = (id: number) => board.cells[id]?.[line.key]?.best;
  const sign = line.better === 'higher' ? -1 : 1;
  return [...board.players].sort((a, b) => {
    const [one, other] = [of(a.id), of(b.id)];
    if (one === undefined || other === undefined) return Number(one === undefined) - Number(other === undefined);
    return sign * (one - other) || a.name.localeCompare(b.name);
  });
}
