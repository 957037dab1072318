import { useCallback, useEffect, useRef, useState } from 'react';
import type { ClockReading } from '../../kernel/segmentClock';
import { tellPosition } from '../../shared/api/runQueries';
import type { RunPosition } from '../../shared/api/schemas';
import { note, noted } from '../../shared/lib/deviceNotes';

/** Told so often that nobody takes it for silent. */
const tellEveryMs = 30_000;

/** A name of this device that says nothing about it. */
export function deviceName(): string {
  const known = noted('device');
  if (known) return known;
  const made = crypto.randomUUID();
  note('device', made);
  return made;
}

/**
 * Tells, as far as there is a network, where the run stands here, so that other devices can follow; another one that conducts it too is
 * given back. A run needs none of it: what cannot be told is not.
 */
export function useConduct(sessionId: number, segmentId: string | undefined, reading: ClockReading) {
  const [other, setOther] = useState<RunPosition | null>(null);
  const latest = useRef(reading);
  useEffect(() => {
    latest.current = reading;
  });
  // Wanted until it was told, which may be after the clock has begun here.
  const wantsOver = useRef(false);
  const tell = useCallback(() => {
    const { state, remainingMs } = latest.current;
    if (state === 'ready' || !navigator.onLine) return;
    const device = deviceName();
    tellPosition(sessionId, { device, segmentId: segmentId ?? null, state, remainingMs: Math.round(remainingMs), takeOver: wantsOver.current })
      .then(({ position }) => {
        wantsOver.current = false;
        setOther(position && position.device !== device ? position : null);
      })
      .catch(() => undefined);
  }, [sessionId, segmentId]);
  const { state } = reading;
  useEffect(() => {
    tell();
    const timer = window.setInterval(tell, tellEveryMs);
    return () => window.clearInterval(timer);
  }, [tell, state]);
  const takeOver = () => {
    wantsOver.current = true;
    tell();
  };
  return { other, takeOver };
}
