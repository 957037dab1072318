import { useRef, useState } from 'react';
import { isLikelySlip } from '../../kernel/slip';
import { bestCheck, type BestCheck } from '../../kernel/bestCheck';
import type { RecordLine, RunPack } from '../../shared/api/schemas';
import type { Entry } from '../../shared/lib/outbox';
import { readText, textOf, typed, type Written } from '../../shared/lib/entryText';
import { askName, entryKey, type Ask } from './rollCalls';

export interface RollProps {
  pack: RunPack;
  at: number;
  entries: Record<string, Entry>;
  onEnter: (ask: Ask, written: Written) => void;
}

/** A row of the roll call: whose number, on which line, and what stands there. */
export interface Row {
  ask: Ask;
  line: RecordLine;
  name: string;
  text: string;
  /** As it was written down; undefined while it was not. */
  value: number | undefined;
  fault: string;
  toBeat: number | undefined;
  verdict: BestCheck | undefined;
  /** What it is held against where it looks like a slip of the finger. */
  slipAfter: number | undefined;
  /** Taken by the server before, from this phone or another. */
  wasHad: boolean;
}

/** What stands in the rows of a roll call, what of it is wrong, and which row is in hand. */
export function useRoll({ pack, at, entries, onEnter }: RollProps) {
  const asks = pack.segments[at]?.asks ?? [];
  const lineOf = (ask: Ask) => pack.lines[ask.lineKey];
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [faults, setFaults] = useState<Record<string, string>>({});
  const firstOwed = asks.findIndex((ask) => !entries[entryKey(pack, ask)]);
  const [here, setHere] = useState(Math.max(0, firstOwed));
  const [isFresh, setFresh] = useState(true);
  const list = useRef<HTMLUListElement>(null);
  const done = useRef<HTMLButtonElement>(null);

  const rows: Row[] = asks.flatMap((ask) => {
    const line = lineOf(ask);
    const player = pack.players.find((one) => one.id === ask.playerId);
    if (!line || !player) return [];
    const entry = entries[entryKey(pack, ask)];
    const part = ask.item === null ? undefined : pack.blocks.find((one) => one.id === ask.blockId)?.drill?.parts[ask.item]?.name;
    return {
      ask,
      line,
      name: part && pack.segments[at]?.item == null ? `${player.name}, ${part}` : player.name,
      value: entry?.value,
      text: texts[askName(ask)] ?? (entry ? textOf(entry, line.step) : ''),
      fault: faults[askName(ask)] || (entry?.refusal ?? ''),
      toBeat: pack.standings[ask.playerId]?.[ask.lineKey]?.target?.value,
      slipAfter: slipAfter(entry, bestBefore(pack, entries, ask)),
      verdict: entry && !entry.isVoid ? bestCheck(line.better, bestBefore(pack, entries, ask), entry.value) : undefined,
      wasHad: entry?.isHad === true,
    };
  });

  const write = (row: Row, text: string) => setTexts((before) => ({ ...before, [askName(row.ask)]: text }));
  const commit = (i: number): boolean => {
    const row = rows[i];
    if (!row || row.text === '') return true;
    const read = readText(row.text, row.line);
    const fault = 'fault' in read ? read.fault : '';
    setFaults((before) => ({ ...before, [askName(row.ask)]: fault }));
    if ('fault' in read) return false;
    onEnter(row.ask, read);
    return true;
  };
  const go = (to: number) => {
    const input = list.current?.querySelectorAll('input')[to];
    if (input) input.focus();
    else done.current?.focus();
  };
  return {
    rows,
    here,
    list,
    done,
    write,
    commit,
    /** The row that is come to begins anew with the first digit. */
    come: (to: number) => {
      setHere(to);
      setFresh(true);
    },
    next: () => commit(here) && go(here + 1),
    move: (by: -1 | 1) => commit(here) && go(Math.max(0, here + by)),
    key: (key: string) => {
      const row = rows[here];
      if (row) write(row, typed(row.text, key, isFresh));
      setFresh(false);
    },
    typing: () => setFresh(false),
    /** A number that was tapped or timed: it stands in the row as if it had been typed. */
    put: (i: number, written: Written) => {
      const row = rows[i];
      if (!row) return;
      write(row, textOf(written, row.line.step));
      setFaults((before) => ({ ...before, [askName(row.ask)]: '' }));
      onEnter(row.ask, written);
    },
    go,
  };
}
export type Roll = ReturnType<typeof useRoll>;

const slipAfter = (entry: Entry | undefined, best: number | null): number | undefined =>
  entry && !entry.isVoid && best !== null && isLikelySlip(best, entry.value) ? best : undefined;

/** The best before this try: the record brought along, and this session's other numbers on the same line. */
function bestBefore(pack: RunPack, entries: Record<string, Entry>, ask: Ask): number | null {
  const better = pack.lines[ask.lineKey]?.better ?? 'higher';
  const values = pack.segments
    .flatMap((segment) => segment.asks)
    .flatMap((one) => {
      const isOther = one.playerId === ask.playerId && one.lineKey === ask.lineKey && askName(one) !== askName(ask);
      const entry = isOther ? entries[entryKey(pack, one)] : undefined;
      return entry && !entry.isVoid ? [entry.value] : [];
    });
  const record = pack.standings[ask.playerId]?.[ask.lineKey]?.record?.value;
  return [...(record === undefined ? [] : [record]), ...values].reduce<number | null>(
    (best, value) => (bestCheck(better, best, value) === 'first' || bestCheck(better, best, value) === 'record' ? value : best),
    null,
  );
}
