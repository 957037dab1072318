import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import '../../shared/theme/season.css';
import { squadQueries } from '../../shared/api/queries';
import type { Player, SquadBoard } from '../../shared/api/schemas';
import { Button } from '../../shared/ui/Button';
import { SeasonChoice } from '../../shared/ui/SeasonChoice';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { Failed, Loading } from '../../shared/ui/States';
import { useIsNarrow } from '../../shared/ui/useIsNarrow';
import { Board } from './Board';
import { BoardByDrill } from './BoardByDrill';
import { Noticed } from './Noticed';
import { PlayerDialog } from './PlayerDialog';
import { boardOrders, inOrder, type BoardOrder } from './boardOrder';

/** Everybody on every record line, each against their own past. */
export function SquadPage() {
  const { squadId, squad } = useSquadId();
  const [asked, setAsked] = useSearchParams();
  const endedId = asked.get('season') === null ? undefined : Number(asked.get('season'));
  const board = useQuery(squadQueries.board(squadId, endedId));
  const [edited, setEdited] = useState<Player | 'new' | undefined>(undefined);
  if (board.isPending) return <Loading what="the squad" />;
  if (board.isError)
    return (
      <div className="page">
        <Failed fault={board.error} onRetry={() => void board.refetch()} />
      </div>
    );
  const mayPlan = squad !== undefined && squad.role !== 'assistant';
  return (
    <>
      <div className="head">
        <h1>{board.data.name}</h1>
        <p className="quiet">
          {board.data.players.length} players, {board.data.ageGroup}. The last number, against each player&rsquo;s own past.
        </p>
        <div className="acts">
          <SeasonChoice
            ended={board.data.endedSeasons}
            endedId={endedId}
            onChoose={(id) => setAsked(id === undefined ? {} : { season: String(id) }, { replace: true })}
          />
          <Link className="button" to="/squad/home">
            At home
          </Link>
          {mayPlan && (
            <>
              <Link className="button" to="/squad/paper">
                Type in from paper
              </Link>
              <Button onClick={() => setEdited('new')}>Add a player</Button>
            </>
          )}
        </div>
      </div>
      {board.data.players.length === 0 ? (
        <div className="page">
          <p>No players yet. A first name is enough; a bib number will do until you know it.</p>
        </div>
      ) : (
        <Filled board={board.data} onEdit={mayPlan ? setEdited : undefined} />
      )}
      {edited && <PlayerDialog player={edited === 'new' ? undefined : edited} onClose={() => setEdited(undefined)} />}
    </>
  );
}

interface FilledProps {
  board: SquadBoard;
  onEdit: ((player: Player) => void) | undefined;
}

function Filled({ board, onEdit }: FilledProps) {
  const isNarrow = useIsNarrow();
  const [order, setOrder] = useState<BoardOrder>('name');
  const players = inOrder(board, order);
  return (
    <div className="page stack" style={{ paddingTop: 0 }}>
      <Noticed board={board} />
      <div className="acts-line">
        <label className="quiet" htmlFor="board-order">
          Order
        </label>
        <select id="board-order" className="choice" value={order} onChange={(event) => setOrder(event.target.value as BoardOrder)}>
          {Object.entries(boardOrders).map(([name, words]) => (
            <option key={name} value={name}>
              {words}
            </option>
          ))}
        </select>
        {onEdit && <Changes players={players} onEdit={onEdit} />}
      </div>
      {isNarrow ? <BoardByDrill board={board} players={players} mayRank={onEdit !== undefined} /> : <Board board={board} players={players} />}
      <p className="quiet">
        A stroke that climbs: better lately; one that falls: worse; a level one: no clear change; none: too few days to say. Two level ones: no new best for
        three weeks or more. Grey: not met for three weeks. Underlined: a new best.
      </p>
    </div>
  );
}

/** Who is who can be changed; one choice, so that no row carries a button. */
function Changes({ players, onEdit }: { players: Player[]; onEdit: (player: Player) => void }) {
  return (
    <select
      aria-label="Change a player"
      className="choice"
      value=""
      onChange={(event) => {
        const player = players.find(({ id }) => id === Number(event.target.value));
        if (player) onEdit(player);
      }}
    >
      <option value="">Change a player …</option>
      {players.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}
