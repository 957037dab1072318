import { Button } from '../../shared/ui/Button';
import { useId, useState } from 'react';

/** A link that is shown once, ready to be copied. */
export function HandOver({ path, words }: { path: string; words: string }) {
  // The address this page is open under is one that works.
  const link = `${window.location.origin}${path}`;
  const id = useId();
  const [isCopied, setCopied] = useState(false);
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(link);
      setCopied(true);
    } catch {
      // Without permission the link can still be marked and copied by hand.
      document.getElementById(id)?.focus();
    }
  };
  return (
    <div className="note tight" role="status">
      <p>{words} It is shown this once.</p>
      <div className="acts-line">
        <input id={id} className="grow-1" readOnly value={link} aria-label="Link to hand over" onFocus={(event) => event.target.select()} />
        <Button onClick={() => void copy()}>{isCopied ? 'Copied' : 'Copy'}</Button>
      </div>
    </div>
  );
}
