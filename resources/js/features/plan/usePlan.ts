import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { ApiError } from '../../shared/api/client';
import { keepPlan, previewQuery, sessionQuery, type PlanDraft } from '../../shared/api/queries';
import type { Evaluation, Session } from '../../shared/api/schemas';
import { draftOf, inHand, planOf, rememberUnkept, unkept, type PlanInHand } from '../../shared/lib/planInHand';
import { useUndo } from './useUndo';
import { keys } from '../../shared/api/keys';

/** A value that follows another after it has rested for a while. */
function useSettled<T>(value: T, restMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(value), restMs);
    return () => window.clearTimeout(timer);
  }, [value, restMs]);
  return settled;
}

/** What the server makes of the plan is asked for as soon as there is one: while the book is on its way. */
export function usePreviewAhead(session: Session | undefined) {
  const queryClient = useQueryClient();
  useEffect(() => {
    if (!session) return;
    const draft = draftOf(inHand(session).plan);
    // What it fails of is said where it is shown.
    queryClient.query(previewQuery(session.squadId, draft)).catch(() => undefined);
  }, [queryClient, session]);
}

/** The plan in hand, what the server makes of it, and keeping it. */
export function usePlan(session: Session) {
  const queryClient = useQueryClient();
  // What was typed on another version goes on from that one: whoever kept a plan since is not written over unasked.
  const [base, setBase] = useState(() => ({ ...session, version: inHand(session).version }));
  const [overtaking, setOvertaking] = useState(base.version === session.version ? undefined : session);
  const steps = useUndo<PlanInHand>(
    () => inHand(session).plan,
    () => (unkept(session) ? planOf(session) : undefined),
  );
  const plan = steps.now;
  // Fields keep what was typed in them, so they are made anew when the plan changes under them.
  const [round, setRound] = useState(0);
  const isDirty = JSON.stringify(plan) !== JSON.stringify(planOf(base));
  useEffect(() => rememberUnkept(base.id, base.version, isDirty ? plan : undefined), [base, plan, isDirty]);

  const draft = draftOf(plan);
  const settled = useSettled(JSON.stringify(draft), 120);
  const settledDraft = JSON.parse(settled) as PlanDraft;
  const preview = useQuery({ ...previewQuery(session.squadId, settledDraft), retry: false });
  const [evaluation, setEvaluation] = useState<Evaluation | undefined>(undefined);
  if (preview.data && preview.data !== evaluation) setEvaluation(preview.data);

  const accept = (kept: Session) => {
    setBase(kept);
    setOvertaking(undefined);
    steps.begin(planOf(kept));
    queryClient.setQueryData(sessionQuery(kept.id).queryKey, kept);
    void queryClient.invalidateQueries({ queryKey: keys.squad(kept.squadId) });
    queryClient.removeQueries({ queryKey: keys.run(kept.id) });
  };
  const keep = useMutation({ mutationFn: (version: number) => keepPlan(base.id, version, plan), onSuccess: accept });
  const refusedFor = keep.error instanceof ApiError && keep.error.kind === 'stale' ? (keep.error.current as Session | undefined) : undefined;
  const stale = refusedFor ?? (isDirty ? overtaking : undefined);

  const stepThen = (step: (() => void) | undefined) =>
    step &&
    (() => {
      keep.reset();
      step();
      setRound((before) => before + 1);
    });
  const fault = [keep.error, preview.error].find((one): one is ApiError => one instanceof ApiError && one.kind !== 'stale' && one.kind !== 'signed-out');
  return {
    plan,
    /** Of the plan as it was last kept. */
    version: base.version,
    change: (change: Partial<PlanInHand>) => {
      keep.reset();
      steps.change((before) => ({ ...before, ...change }));
    },
    /** A change that did not come from the fields of the block, which then show it. */
    press: (change: Partial<PlanInHand>) => {
      keep.reset();
      steps.change((before) => ({ ...before, ...change }));
      setRound((before) => before + 1);
    },
    undo: stepThen(steps.undo),
    redo: stepThen(steps.redo),
    round,
    isDirty,
    evaluation,
    /** What was last asked about: it follows the plan once the fingers rest. */
    settled: settledDraft,
    isComputing: preview.isFetching || settled !== JSON.stringify(draft),
    fault,
    faultAt: (path: string) => fault?.fields.find((field) => field.path === path)?.message,
    keep: () => keep.mutate(base.version),
    isKeeping: keep.isPending,
    stale,
    takeOther: () => {
      if (!stale) return;
      accept(stale);
      keep.reset();
    },
    keepMine: () => stale && keep.mutate(stale.version),
  };
}

export type PlanTools = ReturnType<typeof usePlan>;
