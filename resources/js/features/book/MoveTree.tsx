import { Link } from 'react-router';
import type { TreeMove } from '../../shared/api/bookSchemas';
import { familyWords } from '../../shared/lib/format';

/** Moves by what each needs first: what needs nothing stands at the left, and every step to the right leans on those before it. */
export function MoveTree({ tree }: { tree: TreeMove[] }) {
  const names = new Map(tree.map(({ slug, name }) => [slug, name]));
  const families = [...new Set(tree.map(({ family }) => family))];
  return (
    <section className="stack">
      <div className="tight">
        <h2>What needs what</h2>
        <p className="quiet">A move opens when the ones named under it are there.</p>
      </div>
      {families.map((family) => {
        const moves = tree.filter((move) => move.family === family);
        const steps = [...new Set(moves.map(({ depth }) => depth))].sort((a, b) => a - b);
        return (
          <section key={family} className="tight">
            <h3>{familyWords(family)}</h3>
            <div className="tree" role="region" tabIndex={0} aria-label={`${familyWords(family)}, scrolls sideways`}>
              {steps.map((step) => (
                <ul key={step}>
                  {moves
                    .filter(({ depth }) => depth === step)
                    .map((move) => (
                      <li key={move.slug}>
                        <Link to={`/book/${move.slug}`}>{move.name}</Link>
                        {move.needs.length > 0 && <span className="quiet"> after {move.needs.map((slug) => names.get(slug) ?? slug).join(', ')}</span>}
                      </li>
                    ))}
                </ul>
              ))}
            </div>
          </section>
        );
      })}
    </section>
  );
}
