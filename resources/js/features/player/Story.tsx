import { Link } from 'react-router';
import type { News } from '../../shared/api/seasonSchemas';
import { How } from '../../shared/ui/How';

const kinds: { kind: News['kind']; title: string; none: string }[] = [
  { kind: 'changed', title: 'What changed', none: 'Nothing that stands out from the usual ups and downs.' },
  { kind: 'stuck', title: 'What is stuck', none: 'Nothing stands still or falls off.' },
  { kind: 'next', title: 'What is next', none: 'Set a first number, and the next one stands here.' },
];

interface StoryProps {
  story: News[];
  playerId: number;
}

/** What to say first: changed, stuck, next. */
export function Story({ story, playerId }: StoryProps) {
  return (
    <div className="stack">
      {kinds.map(({ kind, title, none }) => {
        const own = story.filter((one) => one.kind === kind);
        return (
          <section key={kind} className="tight" aria-label={title}>
            <h2>{title}</h2>
            {own.length === 0 && <p className="quiet">{none}</p>}
            <ul className="rows">
              {own.map((one) => (
                <li key={`${one.about} ${one.says}`} className="tight">
                  <span>
                    <strong>{one.lineKey === null ? one.about : <Link to={`/player/${playerId}/line/${one.lineKey}`}>{one.about}</Link>}</strong>
                    <br />
                    {one.says}
                  </span>
                  <How evidence={one.evidence} of={one.about} />
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
