import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import '../../shared/theme/season.css';
import { faultsOf } from '../../shared/api/faults';
import { isOf } from '../../shared/api/keys';
import { squadQueries } from '../../shared/api/queries';
import { sendMarks, type MarkToSend } from '../../shared/api/runQueries';
import { openPaperDay } from '../../shared/api/seasonQueries';
import type { SquadBoard } from '../../shared/api/schemas';
import { lineWords, many, mark, sideWords } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';
import { Choice, Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { grouped } from './boardOrder';
import { cellName, marksOf, pasted, readCell, slipIn, spread, type Cells } from './paper';

/** Numbers from paper: players down, record lines across; by keyboard, or pasted from a spreadsheet. */
export function PaperPage() {
  const { squadId } = useSquadId();
  const board = useQuery(squadQueries.board(squadId));
  if (board.isPending) return <Loading what="the squad" />;
  if (board.isError)
    return (
      <div className="page">
        <Failed fault={board.error} onRetry={() => void board.refetch()} />
      </div>
    );
  return (
    <>
      <div className="head">
        <h1>Type in from paper</h1>
        <p className="quiet">One day at a time. Several tries in a cell with a space between; a table can be pasted from a spreadsheet.</p>
        <div className="acts">
          <Link className="button text" to="/squad">
            Back to the squad
          </Link>
        </div>
      </div>
      <Paper key={squadId} board={board.data} />
    </>
  );
}

interface Sent {
  accepted: number;
  refused: number;
}

function Paper({ board }: { board: SquadBoard }) {
  const queryClient = useQueryClient();
  const groups = grouped(board.lines);
  const [chosen, setChosen] = useState(0);
  const [on, setOn] = useState('');
  const [cells, setCells] = useState<Cells>({});
  const [refused, setRefused] = useState<Record<string, string>>({});
  const [outside, setOutside] = useState(0);
  const [sent, setSent] = useState<Sent | undefined>(undefined);
  const lines = groups[chosen]?.lines ?? [];
  const read = board.players.flatMap((player) =>
    lines.map((line) => {
      const name = cellName(player.id, line.key);
      return { name, playerId: player.id, lineKey: line.key, line, cell: readCell(cells[name] ?? '', line) };
    }),
  );
  const sound = read.filter(({ cell }) => cell.fault === '' && cell.values.length > 0);
  const keep = useMutation({
    mutationFn: async () => {
      const paper = await openPaperDay(board.id, { on, playerIds: [...new Set(sound.map(({ playerId }) => playerId))] });
      const marks = marksOf(sound, { ...paper, recordedAt: new Date().toISOString() }, () => crypto.randomUUID());
      const { results } = await sendMarks(marks);
      return { marks, results };
    },
    onSuccess: async ({ marks, results }) => {
      const named = (one: MarkToSend) => cellName(one.playerId, one.lineKey);
      const faults = Object.fromEntries(
        results.flatMap((result) => {
          const of = marks[result.index];
          return result.status === 'refused' && of ? [[named(of), result.message ?? 'The server would not take this number.']] : [];
        }),
      );
      // What was taken leaves the grid, what was not stays with its reason.
      const taken = new Set(marks.map(named).filter((name) => !(name in faults)));
      setCells((before) => Object.fromEntries(Object.entries(before).filter(([name]) => !taken.has(name))));
      setRefused(faults);
      setSent({ accepted: results.filter(({ status }) => status !== 'refused').length, refused: Object.keys(faults).length });
      await queryClient.invalidateQueries({ predicate: isOf('squad', 'player', 'run', 'session') });
    },
  });
  const faults = faultsOf(keep.error);
  if (groups.length === 0)
    return (
      <div className="page">
        <p>There is no record line yet. Plan a drill that is counted, and its lines stand here.</p>
      </div>
    );
  return (
    <form
      className="page stack"
      style={{ paddingTop: 0 }}
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <div className="paper-head">
        <Field label="The day" type="date" max={board.today} value={on} onValue={setOn} fault={faults.at('on')} />
        <Choice
          label="What was counted"
          value={String(chosen)}
          options={groups.map((group, i): [string, string] => [String(i), `${group.name}, ${lineWords(group)}`])}
          onValue={(value) => setChosen(Number(value))}
        />
      </div>
      <Grid
        board={board}
        lines={lines}
        cells={cells}
        faultOf={(name) => refused[name] ?? read.find((one) => one.name === name)?.cell.fault ?? ''}
        slipOf={(name, best) => {
          const one = read.find((cell) => cell.name === name);
          return one ? slipIn(one.cell, best) : undefined;
        }}
        onCells={(typed) => {
          setSent(undefined);
          setRefused((before) => Object.fromEntries(Object.entries(before).filter(([name]) => !(name in typed))));
          setCells((before) => ({ ...before, ...typed }));
        }}
        onOutside={setOutside}
      />
      {outside > 0 && <p className="warn">{many(outside, 'pasted cell')} lay outside the grid and went nowhere.</p>}
      {faults.form && (
        <p className="notice" role="alert">
          {faults.form} Everything typed still stands here.
        </p>
      )}
      <div className="acts-line">
        <Button variant="contained" type="submit" disabled={keep.isPending || sound.length === 0 || on === ''}>
          Keep{' '}
          {many(
            sound.reduce((sum, { cell }) => sum + cell.values.length, 0),
            'number',
          )}
        </Button>
        <span role="status">
          {sent && `${many(sent.accepted, 'number')} kept${sent.refused > 0 ? `, ${many(sent.refused, 'cell')} refused: each says why` : ''}.`}
          {!sent && on === '' && 'Say which day first.'}
        </span>
      </div>
    </form>
  );
}

interface GridProps {
  board: SquadBoard;
  lines: SquadBoard['lines'];
  cells: Cells;
  faultOf: (name: string) => string;
  slipOf: (name: string, best: number | null) => number | undefined;
  onCells: (cells: Cells) => void;
  onOutside: (count: number) => void;
}

function Grid({ board, lines, cells, faultOf, slipOf, onCells, onOutside }: GridProps) {
  const table = useRef<HTMLTableElement>(null);
  const come = (player: number, line: number) =>
    table.current?.querySelector<HTMLInputElement>(`tbody tr:nth-child(${player + 1}) td:nth-of-type(${line + 1}) input`)?.focus();
  const onKey = (event: KeyboardEvent, player: number, line: number) => {
    const by: Record<string, [number, number]> = { Enter: [1, 0], ArrowDown: [1, 0], ArrowUp: [-1, 0] };
    const way = by[event.key];
    if (!way) return;
    event.preventDefault();
    come(player + way[0], line + way[1]);
  };
  const onPaste = (event: ClipboardEvent, player: number, line: number) => {
    const rows = pasted(event.clipboardData.getData('text'));
    if (rows.length === 1 && rows[0]?.length === 1) return;
    event.preventDefault();
    const laid = spread(rows, { players: board.players, lines }, { player, line });
    onCells(laid.cells);
    onOutside(laid.outside);
  };
  return (
    <table className="plain paper" ref={table}>
      <thead>
        <tr>
          <th scope="col">Player</th>
          {lines.map((line) => (
            <th key={line.key} scope="col">
              {sideWords(line.side)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {board.players.map((player, p) => (
          <tr key={player.id}>
            <th scope="row">{player.name}</th>
            {lines.map((line, l) => {
              const name = cellName(player.id, line.key);
              const best = board.cells[player.id]?.[line.key]?.record?.value ?? null;
              const [fault, slip] = [faultOf(name), slipOf(name, best)];
              return (
                <td key={line.key}>
                  <div className="field">
                    <input
                      aria-label={`${player.name}, ${sideWords(line.side)}`}
                      aria-invalid={fault !== ''}
                      aria-describedby={fault !== '' || slip !== undefined ? `${name} says`.replaceAll(' ', '-') : undefined}
                      inputMode="text"
                      autoComplete="off"
                      value={cells[name] ?? ''}
                      onChange={(event) => onCells({ [name]: event.target.value })}
                      onKeyDown={(event) => onKey(event, p, l)}
                      onPaste={(event) => onPaste(event, p, l)}
                    />
                    {(fault !== '' || slip !== undefined) && (
                      <span className="fault" id={`${name} says`.replaceAll(' ', '-')}>
                        {fault || `${slip} after ${mark(best ?? 0, line.step)}: a slip of the finger? It can be kept.`}
                      </span>
                    )}
                  </div>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
