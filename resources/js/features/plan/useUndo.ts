import { useState } from 'react';

/** Changes that follow each other this fast are one step: a number typed digit by digit. */
const oneStepMs = 700;
const mostSteps = 100;

/** A value with its past and its future; the server knows nothing of either. */
/** @param before what one may go back to from the first value, if anything */
export function useUndo<T>(first: () => T, before?: () => T | undefined) {
  const [{ past, now, future }, setState] = useState(() => {
    const earlier = before?.();
    return { past: earlier === undefined ? ([] as T[]) : [earlier], now: first(), future: [] as T[], at: 0 };
  });
  return {
    now,
    change: (next: (before: T) => T) =>
      setState((state) => {
        const isSameStep = state.past.length > 0 && Date.now() - state.at < oneStepMs;
        return { past: isSameStep ? state.past : [...state.past, state.now].slice(-mostSteps), now: next(state.now), future: [], at: Date.now() };
      }),
    /** Begins again from here: what was before cannot be taken back any more. */
    begin: (value: T) => setState({ past: [], now: value, future: [], at: 0 }),
    undo:
      past.length === 0
        ? undefined
        : () => setState((state) => ({ past: state.past.slice(0, -1), now: state.past.at(-1) ?? state.now, future: [state.now, ...state.future], at: 0 })),
    redo:
      future.length === 0
        ? undefined
        : () => setState((state) => ({ past: [...state.past, state.now], now: state.future[0] ?? state.now, future: state.future.slice(1), at: 0 })),
  };
}
