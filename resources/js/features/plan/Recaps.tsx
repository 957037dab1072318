import { Button } from '../../shared/ui/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { sessionQuery } from '../../shared/api/queries';
import { keepRecap } from '../../shared/api/runQueries';
import type { Session } from '../../shared/api/schemas';
import { day } from '../../shared/lib/format';
import { recapWords } from '../../shared/lib/recap';
import { RecapFields } from '../../shared/ui/RecapFields';
import { keys } from '../../shared/api/keys';

/** What they said the last time, before this session is planned. */
export function LastRecap({ last }: { last: NonNullable<Session['lastRecap']> }) {
  return (
    <p className="said">
      <Link to={`/plan/${last.sessionId}`}>{day(`${last.on}T00:00`)}</Link> they said: {recapWords(last)}
    </p>
  );
}

/** What they said after this session: noted later, or mended. */
export function OwnRecap({ session }: { session: Session }) {
  const queryClient = useQueryClient();
  const [value, setValue] = useState(session.recap);
  const keep = useMutation({
    mutationFn: () => keepRecap(session.id, value),
    onSuccess: (recap) => {
      queryClient.setQueryData(sessionQuery(session.id).queryKey, (before) => before && { ...before, recap });
      void queryClient.invalidateQueries({ queryKey: keys.squad(session.squadId) });
    },
  });
  const isChanged = value.answers !== session.recap.answers || value.howHard !== session.recap.howHard || value.onlyTried !== session.recap.onlyTried;
  return (
    <details className="side" open={recapWords(session.recap) !== ''}>
      <summary>What they said</summary>
      <div className="stack" style={{ paddingTop: '0.6rem' }}>
        <RecapFields value={value} onChange={setValue} fault={keep.error?.message} />
        <Button onClick={() => keep.mutate()} disabled={!isChanged || keep.isPending}>
          {keep.isPending ? 'Keeping …' : keep.isSuccess && !isChanged ? 'Kept' : 'Keep what they said'}
        </Button>
      </div>
    </details>
  );
}
