import { useEffect } from 'react';
import { note, noted } from './deviceNotes';
import { forgetHeld } from './openable';
import { actFor, flushMarks } from './outbox';

/** Whose this device is now, as far as it remembers: a run opens for them without asking the server. */
export function rememberedAccount(): number | undefined {
  const account = noted('account');
  return account === undefined ? undefined : Number(account);
}

export function remember(account: number): void {
  // Nothing of an account before is left to another.
  if (rememberedAccount() !== account) forgetHeld();
  note('account', String(account));
}

export function forgetAccount(): void {
  note('account', undefined);
  forgetHeld();
}

const everyMs = 15_000;

/** Sends what the account has written down here, now and whenever there may be a network again. */
export function useSending(account: number | undefined): void {
  useEffect(() => {
    if (account === undefined) return undefined;
    actFor(account);
    const flush = () => void flushMarks();
    flush();
    window.addEventListener('online', flush);
    const timer = window.setInterval(flush, everyMs);
    return () => {
      window.removeEventListener('online', flush);
      window.clearInterval(timer);
    };
  }, [account]);
}
