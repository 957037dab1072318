import { Button } from '../../shared/ui/Button';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { bookQueries } from '../../shared/api/bookQueries';
import type { MoveSummary } from '../../shared/api/bookSchemas';
import { searcher } from '../../shared/lib/search';
import { Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { StitchLine } from '../../shared/ui/Stitches';

const SHOWN = 12;

/** Moves to put into a circuit, one press each; the list stays open, so that twelve are twelve presses. */
export function CircuitMoves({ onAdd }: { onAdd: (move: MoveSummary) => void }) {
  const { squadId } = useSquadId();
  const [text, setText] = useState('');
  const [added, setAdded] = useState('');
  const moves = useQuery(bookQueries.moves);
  const index = useQuery(bookQueries.searchIndex(squadId));
  const search = useMemo(() => searcher((index.data ?? []).filter(({ kind }) => kind === 'move')), [index.data]);
  const bySlug = new Map((moves.data ?? []).map((move) => [move.slug, move]));
  const found = text.trim() === '' ? (moves.data ?? []) : search(text).flatMap(({ id }) => bySlug.get(id) ?? []);
  return (
    <div className="card tight" role="group" aria-label="Moves to add">
      <Field label="Add moves: sole, roll, turn …" type="search" value={text} onValue={setText} maxLength={120} />
      <ul className="rows picker" tabIndex={0} aria-label="Moves found">
        {found.slice(0, SHOWN).map((move) => (
          <li key={move.slug} className="spread">
            <span className="acts-line">
              <StitchLine contacts={move.contacts.slice(0, 6)} label="" scale={0.8} />
              {move.name}
            </span>
            <Button
              onClick={() => {
                onAdd(move);
                setAdded(`${move.name} is in.`);
              }}
              aria-label={`Put in ${move.name}`}
            >
              Put in
            </Button>
          </li>
        ))}
      </ul>
      <p role="status" className="quiet">
        {added}
      </p>
      {found.length > SHOWN && <p className="quiet">{found.length - SHOWN} more: say what the foot does.</p>}
    </div>
  );
}
