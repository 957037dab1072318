import { whenIdle } from './idle';
import { keepsHere } from './outbox';

/** Whether a session can be run on this device where there is no network. */
export interface Readiness {
  /** Whether the device's store takes what is written and gives it back. */
  keeps: boolean;
  /** Whether hardly any room is left, where the browser says how much. */
  isNearlyFull: boolean;
  /** Since when the session's pack is here; undefined where it is not. */
  since: string | undefined;
}

/** A season of one squad's numbers, and the packs of two sessions, with room to spare. */
const leastFreeBytes = 5_000_000;

export async function readinessOf(sessionId: number): Promise<Readiness> {
  await whenIdle();
  const [keeps, isNearlyFull, since] = await Promise.all([keepsHere(), hasLittleRoom(), packSince(sessionId)]);
  return { keeps, isNearlyFull, since };
}

async function hasLittleRoom(): Promise<boolean> {
  if (!('storage' in navigator) || !('estimate' in navigator.storage)) return false;
  const { quota, usage } = await navigator.storage.estimate().catch((): StorageEstimate => ({}));
  return quota !== undefined && usage !== undefined && quota - usage < leastFreeBytes;
}

async function packSince(sessionId: number): Promise<string | undefined> {
  // Held answers are of use only where something answers with them.
  if (!('serviceWorker' in navigator) || !navigator.serviceWorker.controller || !('caches' in window)) return undefined;
  const held = await caches.match(`/api/v1/sessions/${sessionId}/run`).catch(() => undefined);
  return held?.headers.get('X-Held-Since') ?? undefined;
}

/** What a coach should know of it before the session; what is wrong comes first. */
export function readinessWords({ keeps, isNearlyFull, since }: Readiness, clockOf: (when: string) => string): { words: string; isWarning: boolean } {
  if (!keeps)
    return { words: 'This device keeps nothing: its store is full or shut. Free some room, or leave the private window, before the session.', isWarning: true };
  if (isNearlyFull) return { words: 'Hardly any room is left on this device. Free some before the session, so that no number is lost.', isWarning: true };
  if (since === undefined) return { words: 'Not on this device yet: it opens with a network only.', isWarning: false };
  return { words: `On this device since ${clockOf(since)}: it opens without a network.`, isWarning: false };
}
