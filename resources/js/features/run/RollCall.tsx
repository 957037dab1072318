import Button from '@mui/material/Button';
import { useRef, useState } from 'react';
import { bestCheck } from '../../kernel/bestCheck';
import type { ClockReading } from '../../kernel/segmentClock';
import type { RunPack } from '../../shared/api/schemas';
import { countdown, mark } from '../../shared/lib/format';
import type { Entry } from '../../shared/lib/outbox';
import { useFootWording } from '../../shared/ui/SquadChoice';
import { Keypad } from './Keypad';
import { RollRow } from './RollRow';
import { type Ask, askName, beginsAt, askingSegments, entryKey, tryNumber } from './rollCalls';
import { segmentWords } from './words';

interface RollCallProps {
  pack: RunPack;
  at: number;
  entries: Record<string, Entry>;
  onEnter: (key: string, mark: { playerId: number; lineKey: string; tryNumber: number; value: number; isVoid: boolean }) => void;
  onSwitch: (at: number) => void;
  onClose: () => void;
  reading: ClockReading;
}

/** Everybody's number for one set: digits, then Enter or Next, and the next name is in hand. */
export function RollCall({ pack, at, entries, onEnter, onSwitch, onClose, reading }: RollCallProps) {
  const wording = useFootWording();
  const segment = pack.segments[at];
  const asks = segment?.asks ?? [];
  const list = useRef<HTMLUListElement>(null);
  const done = useRef<HTMLButtonElement>(null);
  const [texts, setTexts] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      asks.map((ask) => {
        const entry = entries[entryKey(pack, at, ask)];
        return [askName(ask), entry ? (entry.isVoid ? 'void' : mark(entry.value, pack.lines[ask.lineKey]?.step ?? 1)) : ''];
      }),
    ),
  );
  const [faults, setFaults] = useState<Record<string, string>>({});
  const firstOwed = asks.findIndex((ask) => !entries[entryKey(pack, at, ask)]);
  const [here, setHere] = useState(Math.max(0, firstOwed));
  const asking = askingSegments(pack);
  const place = asking.indexOf(at);
  const block = pack.blocks.find((one) => one.id === segment?.blockId);
  const step = pack.lines[asks[0]?.lineKey ?? '']?.step ?? 1;

  const focusRow = (row: number) => {
    const input = list.current?.querySelectorAll('input')[row];
    if (input) input.focus();
    else done.current?.focus();
  };
  const commit = (row: number, text: string): boolean => {
    const ask = asks[row];
    const line = ask && pack.lines[ask.lineKey];
    if (!ask || !line || text === '') return true;
    const isVoid = text === 'void';
    const value = isVoid ? line.least : Number(text.replace(',', '.'));
    const fault = isVoid ? '' : faultOf(value, line);
    setFaults((before) => ({ ...before, [askName(ask)]: fault }));
    if (fault) return false;
    onEnter(entryKey(pack, at, ask), {
      playerId: ask.playerId,
      lineKey: ask.lineKey,
      tryNumber: tryNumber(pack, at, ask),
      value,
      isVoid,
    });
    return true;
  };
  const textOf = (row: number) => {
    const ask = asks[row];
    return ask ? (texts[askName(ask)] ?? '') : '';
  };
  const write = (row: number, text: string) => {
    const ask = asks[row];
    if (ask) setTexts((before) => ({ ...before, [askName(ask)]: text }));
  };
  const next = () => {
    if (commit(here, textOf(here))) focusRow(here + 1);
  };

  return (
    <>
      <div className="spread">
        <h1>{block?.title}</h1>
        <span className="num" style={{ fontSize: '1.9rem' }}>
          {countdown(reading.remainingMs)}
        </span>
      </div>
      <p>
        {segment && segmentWords(segment, wording)}, {beginsAt(pack, at) < at ? 'best of the sets' : `set ${segment?.set}`}.{' '}
        {block?.drill?.scoring?.countsOnlyIf}
      </p>
      <p className="roll-head quiet" aria-hidden>
        <span>name</span>
        <span>to beat</span>
        <span>now</span>
      </p>
      <ul className="roll" ref={list} aria-label="Roll call">
        {asks.map((ask, row) => {
          const { playerId, lineKey, item } = ask;
          const line = pack.lines[lineKey];
          const player = pack.players.find((one) => one.id === playerId);
          if (!line || !player) return null;
          const entry = entries[entryKey(pack, at, ask)];
          const part = item === null ? undefined : block?.drill?.parts[item]?.name;
          return (
            <RollRow
              key={askName(ask)}
              name={part && segment?.item == null ? `${player.name}, ${part}` : player.name}
              toBeat={pack.standings[playerId]?.[lineKey]?.target?.value}
              step={line.step}
              text={textOf(row)}
              isHere={row === here}
              verdict={entry && !entry.isVoid ? bestCheck(line.better, bestBefore(pack, entries, at, ask), entry.value) : undefined}
              fault={faults[askName(ask)] || entry?.refusal || ''}
              autoFocus={row === Math.max(0, firstOwed)}
              onText={(text) => write(row, text)}
              onFocus={() => setHere(row)}
              onLeave={() => commit(row, textOf(row))}
              onNext={next}
              onMove={(by) => commit(row, textOf(row)) && focusRow(Math.max(0, row + by))}
            />
          );
        })}
      </ul>
      <div className="grow" />
      <div className="thumb">
        <div style={{ gridColumn: '1 / -1' }}>
          <Keypad
            withPoint={step < 1}
            onKey={(key) => {
              const text = textOf(here);
              write(here, key === 'back' ? (text === 'void' ? '' : text.slice(0, -1)) : key === 'void' ? 'void' : text === 'void' ? key : text + key);
            }}
            onNext={next}
          />
        </div>
        <Button className="third" disabled={place <= 0} onClick={() => onSwitch(asking[place - 1] ?? at)}>
          Set before
        </Button>
        <Button className="third" disabled={place >= asking.length - 1} onClick={() => onSwitch(asking[place + 1] ?? at)}>
          Set after
        </Button>
        <Button className="third" ref={done} onClick={() => commit(here, textOf(here)) && onClose()}>
          Done
        </Button>
      </div>
    </>
  );
}

function faultOf(value: number, line: { least: number; most: number; step: number }): string {
  if (Number.isNaN(value)) return 'Digits only.';
  if (value < line.least || value > line.most) return `Between ${line.least} and ${line.most}; void where that was not reached.`;
  return line.step === 1 && !Number.isInteger(value) ? 'A whole number.' : '';
}

/** The best before this try: the record brought along, and this session's other numbers on the same line. */
function bestBefore(pack: RunPack, entries: Record<string, Entry>, at: number, ask: Ask): number | null {
  const better = pack.lines[ask.lineKey]?.better ?? 'higher';
  const values = pack.segments.flatMap((segment, i) =>
    segment.asks.flatMap((one) => {
      const isOther = one.playerId === ask.playerId && one.lineKey === ask.lineKey && !(i === at && one.item === ask.item);
      const entry = isOther ? entries[entryKey(pack, i, one)] : undefined;
      return entry && !entry.isVoid ? [entry.value] : [];
    }),
  );
  const record = pack.standings[ask.playerId]?.[ask.lineKey]?.record?.value;
  return [...(record === undefined ? [] : [record]), ...values].reduce<number | null>(
    (best, value) => (bestCheck(better, best, value) === 'first' || bestCheck(better, best, value) === 'record' ? value : best),
    null,
  );
}
