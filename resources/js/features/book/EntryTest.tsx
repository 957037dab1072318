import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Ladder } from '../../shared/api/bookSchemas';
import { ApiError } from '../../shared/api/client';
import { keys } from '../../shared/api/keys';
import { addSession, squadQueries } from '../../shared/api/queries';
import { drillBlock } from '../../shared/lib/draft';
import { localNow } from '../../shared/lib/format';
import { Button } from '../../shared/ui/Button';

/** As long as three short tries take where each has a ball; the plan says how long it is here. */
const minutes = 10;

/** A short session in which everybody tries a few rungs once; the numbers place them. */
export function EntryTest({ ladder, squadId }: { ladder: Ladder; squadId: number }) {
  const queryClient = useQueryClient();
  const navigate = useNavigate();
  const [clientUuid] = useState(() => crypto.randomUUID());
  const make = useMutation({
    mutationFn: async () => {
      const [board, drills] = await Promise.all([queryClient.query(squadQueries.board(squadId)), queryClient.query(squadQueries.drills(squadId))]);
      const blocks = ladder.entryTest.flatMap(({ drill: slug, dose }) => {
        const drill = drills.find((one) => one.slug === slug);
        return drill ? [{ ...drillBlock(drill), dose }] : [];
      });
      if (blocks.length === 0) throw new ApiError('refused', 'No rung of this ladder is in your book just now.');
      return addSession(squadId, {
        clientUuid,
        title: `Entry test: ${ladder.name}`.slice(0, 80),
        place: '',
        startsAt: localNow(),
        slotMinutes: minutes,
        blocks,
        comingPlayerIds: board.players.map(({ id }) => id),
      });
    },
    onSuccess: async (session) => {
      await queryClient.invalidateQueries({ queryKey: keys.squad(squadId) });
      await navigate(`/plan/${session.id}`);
    },
  });
  if (ladder.entryTest.length === 0) return null;
  return (
    <div className="acts-line">
      <Button disabled={make.isPending} onClick={() => make.mutate()} aria-label={`Entry test: ${ladder.name}`}>
        Entry test
      </Button>
      {make.error && (
        <span className="warn" role="alert">
          {make.error.message}
        </span>
      )}
    </div>
  );
}
