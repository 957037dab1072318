import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { previewQuery, type PlanDraft } from '../../shared/api/queries';
import type { BlockEvaluation, Player } from '../../shared/api/schemas';
import { clock, clockTime } from '../../shared/lib/format';
import { momentWords, spellAt, spellsOf } from '../../shared/lib/seats';
import { useWidth } from '../../shared/ui/useWidth';
import { HeldUp, Legend, Piece, row, Scale } from './SeatPieces';
import { ShareBars } from '../../shared/ui/ShareBars';

const top = 30;

interface SeatsViewProps {
  blockId: string;
  title: string;
  players: Player[];
  squadId: number;
  draft: PlanDraft;
}

/** Who does what in a block, minute by minute. Asked for when it is opened: for all blocks it would be most of every preview. */
export function SeatsView({ blockId, title, players, squadId, draft }: SeatsViewProps) {
  const [isOpen, setOpen] = useState(false);
  const answer = useQuery({ ...previewQuery(squadId, draft, blockId), enabled: isOpen, retry: false, placeholderData: (before) => before });
  const worked = answer.data?.blocks.find((block) => block.id === blockId);
  const roles = new Set(worked?.segments.flatMap((segment) => segment.seats.map((seat) => seat.role)));
  return (
    <details className="seats" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Who does what, minute by minute</summary>
      {answer.isError && <p className="quiet">This could not be read: {answer.error.message}</p>}
      {worked && roles.size > 1 && <Chart key={blockId} worked={worked} title={title} players={players} startsAt={draft.startsAt} />}
      {worked && roles.size < 2 && answer.isFetched && !answer.isPlaceholderData && (
        <p className="quiet">Everybody does the same from the first minute to the last.</p>
      )}
    </details>
  );
}

interface ChartProps {
  worked: BlockEvaluation;
  title: string;
  players: Player[];
  startsAt: string;
}

function Chart({ worked, title, players, startsAt }: ChartProps) {
  const [box, width] = useWidth();
  const spells = spellsOf(worked.segments);
  const end = spells.at(-1)?.to ?? 0;
  const [moment, setMoment] = useState(() => spells.find(({ segment }) => segment.kind === 'work')?.from ?? 0);
  const there = players.filter((player) => spells.some(({ segment }) => segment.seats.some((seat) => seat.playerId === player.id)));
  const names = width < 560 ? 78 : 120;
  const x = (seconds: number) => names + (seconds / Math.max(1, end)) * (width - names - 4);
  const at = Math.min(moment, end);
  const now = spellAt(spells, at);
  const read = (clientX: number, left: number) =>
    setMoment(Math.round(Math.min(end, Math.max(0, ((clientX - left - names) / Math.max(1, width - names - 4)) * end))));
  const sentence = now ? momentWords(now.segment.seats, players) : '';
  return (
    <div className="tight">
      <Legend />
      <div ref={box} className="chart">
        <svg
          width={width}
          height={top + there.length * row + 6}
          role="img"
          aria-label={`Who does what in ${title}: ${there.length} people over ${clock(end)}. Move the slider to have a moment read out.`}
          onPointerDown={(event) => read(event.clientX, event.currentTarget.getBoundingClientRect().left)}
          onPointerMove={(event) => event.buttons > 0 && read(event.clientX, event.currentTarget.getBoundingClientRect().left)}
        >
          <Scale startsAt={startsAt} from={worked.startSeconds} end={end} x={x} isNarrow={width < 560} foot={top - 4} />
          <g transform={`translate(0 ${top})`}>
            {spells
              .filter(({ segment }) => segment.kind === 'set-up' || segment.kind === 'write')
              .map((spell) => (
                <HeldUp key={spell.segment.id} from={x(spell.from)} to={x(spell.to)} height={there.length * row} />
              ))}
          </g>
          {there.map((player, i) => (
            <g key={player.id} transform={`translate(0 ${top + i * row})`}>
              <text x={2} y={row / 2 + 5} fontSize="14" fill="var(--ink)">
                {player.name.length * 7.4 > names ? `${player.name.slice(0, Math.floor(names / 7.4) - 1)}…` : player.name}
              </text>
              {spells.map((spell) => (
                <Piece
                  key={spell.segment.id}
                  spell={spell}
                  seat={spell.segment.seats.find((seat) => seat.playerId === player.id)}
                  strong={player.strongFoot}
                  from={x(spell.from)}
                  to={x(spell.to)}
                />
              ))}
              <line x1={0} x2={width} y1={row} y2={row} stroke="var(--line)" />
            </g>
          ))}
          <path d={`M${x(at) - 6} ${top - 12}h12l-6 9z`} fill="var(--now)" stroke="var(--ink)" strokeWidth="0.8" />
          <line x1={x(at)} x2={x(at)} y1={top - 4} y2={top + there.length * row} stroke="var(--now)" strokeWidth="3" />
        </svg>
      </div>
      <label className="moment">
        <span>Moment</span>
        <input
          type="range"
          min={0}
          max={Math.round(end)}
          step={5}
          value={Math.round(at)}
          aria-valuetext={`${clock(at)} into the block. ${sentence}`}
          onChange={(event) => setMoment(Number(event.target.value))}
        />
      </label>
      <p>
        <strong className="num">{clockTime(startsAt, worked.startSeconds + at)}</strong> <span className="num quiet">{clock(at)} in</span> {sentence}{' '}
        {now && now.segment.side !== null && <span className="quiet">Set {now.segment.set}.</span>} <MostWaiting worked={worked} players={players} />
      </p>
      <h3>Ball and waiting, in the work</h3>
      <ShareBars shares={worked.players} players={players} />
    </div>
  );
}

/** Where somebody waits longer than they have the ball, it is said by name. */
function MostWaiting({ worked, players }: { worked: BlockEvaluation; players: Player[] }) {
  const [most] = [...worked.players].sort((a, b) => b.waitingSeconds - a.waitingSeconds);
  if (!most || most.waitingSeconds <= most.ballSeconds + most.servingSeconds) return null;
  const name = players.find((player) => player.id === most.playerId)?.name ?? '';
  return (
    <span className="warn">
      {name} waits {clock(most.waitingSeconds)} in all and has the ball {clock(most.ballSeconds)}.
    </span>
  );
}
