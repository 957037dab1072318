import { useQuery } from '@tanstack/react-query';
import { dayAndTime } from '../../shared/lib/format';
import { readinessOf, readinessWords } from '../../shared/lib/readiness';
import { keys } from '../../shared/api/keys';

/** Whether the next session can be run on this device without a network; asked again until its pack is here. */
export function OnThisDevice({ sessionId }: { sessionId: number }) {
  const ready = useQuery({
    queryKey: keys.readyFor(sessionId),
    queryFn: () => readinessOf(sessionId),
    refetchInterval: ({ state }) => (state.data?.since === undefined ? 4000 : false),
    gcTime: 0,
  });
  if (!ready.data) return null;
  const { words, isWarning } = readinessWords(ready.data, dayAndTime);
  return (
    <p className={isWarning ? 'warn' : 'quiet'} role="status">
      {words}
    </p>
  );
}
