import { Button } from './Button';
import { ApiError } from '../api/client';

export function Loading({ what }: { what: string }) {
  return (
    <p className="page quiet" role="status">
      Loading {what} …
    </p>
  );
}

/** A failed load: what happened in a sentence, and the one thing to do. */
export function Failed({ fault, onRetry }: { fault: Error | null; onRetry: () => void }) {
  const message = fault instanceof ApiError ? fault.message : 'Something broke in this page. Load it again.';
  return (
    <div className="notice stack" role="alert">
      <p>{message}</p>
      <p>
        <Button onClick={onRetry}>Try again</Button>
      </p>
    </div>
  );
}
