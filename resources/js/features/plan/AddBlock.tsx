import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useId, useState } from 'react';
import type { Drill, PlanBlock } from '../../shared/api/schemas';
import { familyWords } from '../../shared/lib/format';
import { Field } from '../../shared/ui/Field';
import { StitchLine } from '../../shared/ui/Stitches';
import { drillBlock, minutesBlock } from './draft';

interface AddBlockProps {
  drills: Drill[];
  onAdd: (block: PlanBlock) => void;
}

export function AddBlock({ drills, onAdd }: AddBlockProps) {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  const [search, setSearch] = useState('');
  const wanted = search.trim().toLowerCase();
  const found = drills.filter((drill) => `${drill.name} ${drill.summary} ${familyWords(drill.family)}`.toLowerCase().includes(wanted));
  const take = (block: PlanBlock) => {
    onAdd(block);
    setOpen(false);
    setSearch('');
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
      <Dialog open={isOpen} onClose={() => setOpen(false)} aria-labelledby={id} fullWidth maxWidth="sm">
        <div className="page stack">
          <h2 id={id}>Add a drill</h2>
          <Field label="Find by name, family or words" value={search} onValue={setSearch} autoFocus />
          <ul className="rows picker" tabIndex={0} aria-label="Drills found">
            {found.map((drill) => (
              <li key={drill.versionId} className="spread">
                <span>
                  <strong>{drill.name}</strong> <span className="quiet">{familyWords(drill.family)}</span>
                  <br />
                  <span className="quiet">{drill.summary}</span>
                  <br />
                  <StitchLine contacts={drill.contacts} label="" />
                </span>
                <Button onClick={() => take(drillBlock(drill))} aria-label={`Add ${drill.name}`}>
                  Add
                </Button>
              </li>
            ))}
          </ul>
          {found.length === 0 && <p>No drill fits these words. Try a surface, such as sole, or a family, such as turning.</p>}
          <p>
            <Button onClick={() => setOpen(false)}>Close</Button>
          </p>
        </div>
      </Dialog>
    </>
  );
}
