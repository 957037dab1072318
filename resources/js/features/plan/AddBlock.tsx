import { Button } from '../../shared/ui/Button';
import { Dialog } from '../../shared/ui/Dialog';
import { useQuery } from '@tanstack/react-query';
import { useId, useMemo, useState, type ReactNode } from 'react';
import { bookQueries } from '../../shared/api/bookQueries';
import type { Drill, PlanBlock } from '../../shared/api/schemas';
import { familyWords } from '../../shared/lib/format';
import { Field } from '../../shared/ui/Field';
import { useSquadId } from '../../shared/ui/SquadChoice';
import { PlanThumb } from '../../shared/ui/PlanThumb';
import { StitchLine } from '../../shared/ui/Stitches';
import { drillBlock, minutesBlock } from '../../shared/lib/draft';
import { searcher } from '../../shared/lib/search';

interface AddBlockProps {
  /** Undefined while it is on its way. */
  book: Drill[] | undefined;
  /** What stands in its place then. */
  noBook: ReactNode;
  onAdd: (block: PlanBlock) => void;
}

export function AddBlock({ book, noBook, onAdd }: AddBlockProps) {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const { squadId } = useSquadId();
  const asked = text.trim();
  const answer = useQuery({ ...bookQueries.searchIndex(squadId), enabled: isOpen });
  const search = useMemo(() => searcher((answer.data ?? []).filter(({ kind }) => kind === 'drill')), [answer.data]);
  const drills = book ?? [];
  const bySlug = new Map(drills.map((drill) => [drill.slug, drill]));
  const found = asked === '' ? drills : search(asked).flatMap(({ id: slug }) => bySlug.get(slug) ?? []);
  const take = (block: PlanBlock) => {
    onAdd(block);
    setOpen(false);
    setText('');
  };
  return (
    <>
      <div className="acts-line">
        <Button onClick={() => setOpen(true)}>Add a drill</Button>
        <Button variant="text" onClick={() => take(minutesBlock('water'))}>
          Water
        </Button>
        <Button variant="text" onClick={() => take(minutesBlock('game'))}>
          Game
        </Button>
        <Button variant="text" onClick={() => take(minutesBlock('talk'))}>
          Recap
        </Button>
      </div>
      <Dialog open={isOpen} onClose={() => setOpen(false)} labelledBy={id} wide>
        <div className="page stack">
          <h2 id={id}>Add a drill</h2>
          <Field label="Find by name, family or words" maxLength={120} value={text} onValue={setText} autoFocus />
          <ul className="rows picker" tabIndex={0} aria-label="Drills found">
            {found.map((drill) => (
              <li key={drill.versionId} className="spread">
                <span>
                  <strong>{drill.name}</strong> <span className="quiet">{familyWords(drill.family)}</span>
                  <br />
                  <span className="quiet">{drill.summary}</span>
                  <br />
                  <StitchLine contacts={drill.contacts.slice(0, 8)} label="" />
                </span>
                <PlanThumb drawing={drill.drawing} />
                <Button onClick={() => take(drillBlock(drill))} aria-label={`Add ${drill.name}`}>
                  Add
                </Button>
              </li>
            ))}
          </ul>
          {answer.isError && <p className="notice">{answer.error.message}</p>}
          {!book && noBook}
          {book && found.length === 0 && !answer.isFetching && <p>No drill fits these words. Try a surface, such as sole, or a family, such as turning.</p>}
          <p>
            <Button onClick={() => setOpen(false)}>Close</Button>
          </p>
        </div>
      </Dialog>
    </>
  );
}
