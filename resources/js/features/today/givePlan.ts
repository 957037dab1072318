import type { QueryClient } from '@tanstack/react-query';
import { goodForMs } from '../../shared/api/early';
import { previewQuery, sessionQuery } from '../../shared/api/queries';
import type { Today } from '../../shared/api/schemas';
import { draftOf, planOf, unkept } from '../../shared/lib/planInHand';

/** Today's answer holds the next session and what the server makes of it: its plan asks for neither again. */
export function givePlan(client: QueryClient, session: NonNullable<Today['next']>, asOfMs: number): void {
  // Of an older one somebody may have kept another plan since.
  if (Date.now() - asOfMs >= goodForMs) return;
  const as = { updatedAt: asOfMs };
  client.setQueryData(sessionQuery(session.id).queryKey, session, as);
  if (!session.evaluation || unkept(session)) return;
  client.setQueryData(previewQuery(session.squadId, draftOf(planOf(session))).queryKey, session.evaluation, as);
}
