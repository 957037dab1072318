import { Button } from '../../shared/ui/Button';
import type { ReactNode } from 'react';
import type { Drill } from '../../shared/api/schemas';

interface ServerCardProps {
  title: string;
  card: NonNullable<Drill['organisation']['card']>;
  onClose: () => void;
}

const lines = [
  ['give', 'Give'],
  ['call', 'Call'],
  ['count', 'Count'],
  ['stop', 'Stop'],
] as const;

/** What whoever serves has to know, large enough to be read while serving. */
export function ServerCard({ title, card, onClose }: ServerCardProps) {
  return (
    <Aside title={`To serve: ${title}`} onClose={onClose}>
      <dl className="card-lines">
        {lines.map(
          ([name, words]) =>
            card[name] && (
              <div key={name}>
                <dt>{words}</dt>
                <dd>{card[name]}</dd>
              </div>
            ),
        )}
      </dl>
    </Aside>
  );
}

/** Something to look at while the clock goes on; opened by its address on a second phone too. */
export function Aside({ title, onClose, children }: { title: string; onClose: () => void; children: ReactNode }) {
  return (
    <>
      <h1>{title}</h1>
      {children}
      <div className="grow" />
      <div className="thumb">
        <Button className="main" variant="contained" onClick={onClose}>
          To the clock
        </Button>
      </div>
    </>
  );
}
