import { Button } from '../shared/ui/Button';

/** Shown when a view breaks or its script cannot be fetched. Numbers already entered are kept on the device. */
export function Broken({ error }: { error: unknown }) {
  return (
    <main className="page stack">
      <h1>This view broke</h1>
      <p>Numbers already entered are kept on this device. Load the page again; if it breaks again, tell whoever looks after your club.</p>
      {error instanceof Error && <p className="quiet">{error.message}</p>}
      <p>
        <Button onClick={() => window.location.reload()}>Load again</Button>
      </p>
    </main>
  );
}
