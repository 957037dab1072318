import type { MarkToSend } from '../../shared/api/runQueries';
import type { RecordLine } from '../../shared/api/schemas';
import { readText, type Written } from '../../shared/lib/entryText';
import { isLikelySlip } from '../../kernel/slip';

/** What stands in the cells: player and line → text as it was typed or pasted; several tries with a space between. */
export type Cells = Record<string, string>;
export const cellName = (playerId: number, lineKey: string): string => `${playerId} ${lineKey}`;

export interface ReadCell {
  values: { value: number; isVoid: boolean; reason: string; parts: Written['parts'] }[];
  fault: string;
}

/** "12", "12 14 13" for three tries, "void"; empty for none. */
export function readCell(text: string, line: Pick<RecordLine, 'least' | 'most' | 'step'>): ReadCell {
  const words = text.trim();
  if (words === '') return { values: [], fault: '' };
  const read = (words.startsWith('void') ? [words] : words.split(/[\s;]+/)).map((part) => readText(part, line));
  const fault = read.find((one) => 'fault' in one);
  return { values: read.flatMap((one) => ('fault' in one ? [] : [one])), fault: fault && 'fault' in fault ? fault.fault : '' };
}

/** A number in a cell that looks like a slip of the finger, against the best so far. */
export const slipIn = (cell: ReadCell, best: number | null): number | undefined => cell.values.find(({ value }) => isLikelySlip(best, value))?.value;

/** What was copied out of a spreadsheet: rows of cells. A table that is one cell is one cell. */
export const pasted = (text: string): string[][] =>
  text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((row) => row.split('\t').map((cell) => cell.trim()));

/**
 * A pasted table laid over the grid from a cell on, to the right and down; where its first column says names of the squad, each row goes to
 * that player. What lies outside the grid is counted, so that it can be said.
 */
export function spread(
  table: string[][],
  grid: { players: { id: number; name: string }[]; lines: { key: string }[] },
  from: { player: number; line: number },
): { cells: Cells; outside: number } {
  const named = (row: string[]) => grid.players.findIndex(({ name }) => name.toLowerCase() === row[0]?.toLowerCase());
  const byName = table.length > 0 && table.every((row) => named(row) >= 0);
  const cells: Cells = {};
  let outside = 0;
  table.forEach((row, r) => {
    const player = grid.players[byName ? named(row) : from.player + r];
    (byName ? row.slice(1) : row).forEach((text, c) => {
      const line = grid.lines[from.line + c];
      if (player && line) cells[cellName(player.id, line.key)] = text;
      else if (text !== '') outside += 1;
    });
  });
  return { cells, outside };
}

interface Sheet {
  sessionId: number;
  /** The highest try there is of each player and line on that day. */
  tries: Record<string, Record<string, number>>;
  recordedAt: string;
}

/** The marks that the cells come to, each try a mark of its own after those there are. */
export function marksOf(read: { playerId: number; lineKey: string; cell: ReadCell }[], sheet: Sheet, uuid: () => string): MarkToSend[] {
  return read.flatMap(({ playerId, lineKey, cell }) =>
    cell.values.map(({ value, isVoid, reason, parts }, i) => ({
      uuid: uuid(),
      playerId,
      sessionId: sheet.sessionId,
      lineKey,
      tryNumber: (sheet.tries[playerId]?.[lineKey] ?? 0) + i + 1,
      value,
      isVoid,
      reason,
      parts,
      recordedAt: sheet.recordedAt,
    })),
  );
}
