import type { HomeDrill } from '../shared/api/homeSchemas';
import { shortDay } from '../shared/lib/format';

interface CareProps {
  drills: HomeDrill[];
  until: string;
}

/** The usual cautions in few words, and what is kept, in words a parent understands. */
export function Care({ drills, until }: CareProps) {
  const cautions = [...new Set(drills.flatMap((drill) => drill.cautions))].slice(0, 4);
  return (
    <footer className="stack quiet">
      <section className="tight" aria-label="Take care">
        <h2>Take care</h2>
        <p>
          <strong>Stop</strong> when something hurts, when you feel dizzy, or after a knock to the head, and tell a grown-up.
        </p>
        <p>Not where cars come, not on wet tiles, not near glass or hard edges. {cautions.join(' ')}</p>
        <p>Drink water. A day missed is only a day missed.</p>
      </section>
      <details>
        <summary>For parents: what is kept</summary>
        <p>
          Your child&rsquo;s first name, what was practised on which day, the numbers and how it felt. Only the coaches of the squad see it; nothing is public,
          and no photo or film is asked for. On this phone the page keeps the week and what was written down; nothing else. The link is good until{' '}
          {shortDay(until)} and opens this page alone: whoever has it can open it, so please do not pass it on. Ask the coach to close it or to erase what is
          kept.
        </p>
      </details>
    </footer>
  );
}
