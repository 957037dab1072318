import { useSyncExternalStore } from 'react';
import { dayAndTime } from '../lib/format';
import { heldSince, onHeld } from '../lib/openable';

/** That there is no network, and since when what is shown is on this phone. */
export function HeldLine() {
  const since = useSyncExternalStore(onHeld, heldSince);
  return since === undefined ? null : <span role="status">No network: as of {dayAndTime(since)}</span>;
}
