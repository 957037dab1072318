import { Button } from '../../shared/ui/Button';
import { LinkButton } from '../../shared/ui/LinkButton';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { addSession } from '../../shared/api/queries';
import { daysLater } from '../../shared/lib/draft';
import type { PlanTools } from './usePlan';
import { keys } from '../../shared/api/keys';

interface PlanActsProps {
  tools: PlanTools;
  squadId: number;
  sessionId: number;
  mayPlan: boolean;
}

/** Undo, redo, and the same session a week later. */
export function PlanActs({ tools, squadId, sessionId, mayPlan }: PlanActsProps) {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const { undo, redo, plan } = tools;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      // In a text field the keys belong to the text.
      const isTyping = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (isTyping || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      if (event.shiftKey) redo?.();
      else undo?.();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [undo, redo]);
  const again = useMutation({
    mutationFn: (clientUuid: string) => addSession(squadId, { ...plan, clientUuid, startsAt: daysLater(plan.startsAt, 7) }),
    onSuccess: async (session) => {
      await queryClient.invalidateQueries({ queryKey: keys.squad(squadId) });
      await navigate(`/plan/${session.id}`);
    },
  });
  return (
    <>
      {(undo ?? redo) && (
        <>
          <Button variant="text" disabled={!undo} onClick={() => undo?.()} title="Ctrl+Z">
            Undo
          </Button>
          <Button variant="text" disabled={!redo} onClick={() => redo?.()} title="Ctrl+Shift+Z">
            Redo
          </Button>
        </>
      )}
      {mayPlan && <LinkButton to={`/plan/${sessionId}/proposals`}>Proposals</LinkButton>}
      {!tools.isDirty && <LinkButton to={`/plan/${sessionId}/sheet`}>Sheet</LinkButton>}
      {!tools.isDirty && <LinkButton to={`/plan/${sessionId}/rehearsal`}>Rehearse</LinkButton>}
      {mayPlan && !tools.isDirty && (
        <Button onClick={() => again.mutate(crypto.randomUUID())} disabled={again.isPending}>
          Again in a week
        </Button>
      )}
      {again.isError && (
        <span className="warn" role="alert">
          {again.error.message}
        </span>
      )}
    </>
  );
}
