import { useQuery } from '@tanstack/react-query';
import { readinessOf, readinessWords } from '../../shared/lib/readiness';
import { keys } from '../../shared/api/keys';

const clockOf = new Intl.DateTimeFormat(undefined, { weekday: 'short', hour: '2-digit', minute: '2-digit' });

/** Whether the next session can be run on this device without a network; asked again until its pack is here. */
export function OnThisDevice({ sessionId }: { sessionId: number }) {
  const ready = useQuery({
    queryKey: keys.readyFor(sessionId),
    queryFn: () => readinessOf(sessionId),
    refetchInterval: ({ state }) => (state.data?.since === undefined ? 4000 : false),
    gcTime: 0,
  });
  if (!ready.data) return null;
  const { words, isWarning } = readinessWords(ready.data, (when) => clockOf.format(new Date(when)));
  return (
    <p className={isWarning ? 'warn' : 'quiet'} role="status">
      {words}
    </p>
  );
}
