import { useSyncExternalStore } from 'react';
import { heldSince, onHeld } from '../lib/openable';

const clockOf = new Intl.DateTimeFormat(undefined, { weekday: 'short', hour: '2-digit', minute: '2-digit' });

/** That there is no network, and since when what is shown is on this phone. */
export function HeldLine() {
  const since = useSyncExternalStore(onHeld, heldSince);
  return since === undefined ? null : <span role="status">No network: as of {clockOf.format(new Date(since))}</span>;
}
