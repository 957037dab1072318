import { useEffect, useState } from 'react';
import type { Look } from '../../shared/api/runQueries';
import type { RunPack } from '../../shared/api/schemas';
import { noteInRun } from '../../shared/lib/outbox';
import { besideOf, noted, type Noted } from './beside';
import type { KeptState } from './keptState';
import { lookedAt, settledLooks, takenBack, type KeptLook } from './looks';

/** What is noted in a run beside its numbers: kept with the run, and sent as soon as can be. */
export function useNotes(pack: RunPack, first: KeptState, keep: (more: Partial<KeptState>) => void) {
  const sessionId = pack.session.id;
  const [ownBeside, setBeside] = useState(first.beside);
  const beside = ownBeside ?? besideOf(pack);
  const [looks, setLooks] = useState(() => settledLooks(first.looks ?? []));
  const send = (look: Look) => void noteInRun(sessionId, { kind: 'looks', item: look }, `${nameOf(pack, look.playerId)}, one ball of ${look.drillSlug}`);
  useCutOff(first.looks, send);

  const note = (event: Noted) => {
    const next = noted(beside, event);
    setBeside(next);
    keep({ beside: next });
    // Whom one watches nobody else reads, in the list of what waits neither.
    const label = event.words ? `${nameOf(pack, event.playerId)}, ${event.kind}: ${event.words}` : 'A note of your own';
    void noteInRun(sessionId, { kind: 'reminders', item: { ...event, uuid: crypto.randomUUID(), notedAt: new Date().toISOString() } }, label);
  };
  /** Of these, what was not sent yet and now may not be taken back any more goes out. */
  const keepLooks = (next: KeptLook[]) => {
    const sent = new Set(looks.filter((one) => one.isSent).map((one) => one.look.uuid));
    setLooks(next);
    keep({ looks: next });
    for (const { look, isSent } of next) if (isSent && !sent.has(look.uuid)) send(look);
  };
  return {
    beside,
    note,
    looks,
    look: (seen: Omit<Look, 'uuid' | 'lookedAt'>) => keepLooks(lookedAt(looks, { ...seen, uuid: crypto.randomUUID(), lookedAt: new Date().toISOString() })),
    undoLook: () => keepLooks(takenBack(looks)),
    settleLooks: () => {
      if (looks.some((one) => !one.isSent)) keepLooks(settledLooks(looks));
    },
    /** What of it stands in the kept run. */
    kept: { looks, ...(ownBeside && { beside: ownBeside }) },
  };
}

const nameOf = (pack: RunPack, playerId: number): string => [...pack.players, ...pack.others].find(({ id }) => id === playerId)?.name ?? `Player ${playerId}`;

/** Balls that the page had no time to send before it was closed go out when the run is opened again. */
function useCutOff(looks: KeptLook[] | undefined, send: (look: Look) => void): void {
  const [atFirst] = useState(() => ({ looks: looks ?? [], send }));
  useEffect(() => {
    for (const { look, isSent } of atFirst.looks) if (!isSent) atFirst.send(look);
  }, [atFirst]);
}
