import type { Evidence } from '../api/seasonSchemas';

interface HowProps {
  evidence: Evidence;
  /** Said to those who cannot see what it stands beside. */
  of: string;
}

/** "How do you know?": by what rule, out of what, from how many numbers, and who says the rule is good. */
export function How({ evidence, of }: HowProps) {
  return (
    <details className="how no-print">
      <summary>
        How do you know?<span className="sr"> {of}</span>
      </summary>
      <div className="tight">
        <p>{evidence.formula}</p>
        <ul>
          {evidence.inputs.map((input) => (
            <li key={input}>{input}</li>
          ))}
        </ul>
        <p className="quiet">
          From {evidence.count} {evidence.count === 1 ? 'number' : 'numbers'}. {evidence.source}
        </p>
      </div>
    </details>
  );
}
