import type { SeasonPage } from '../../shared/api/seasonSchemas';

type Need = Pick<SeasonPage['needs'][number], 'theme' | 'drill' | 'isOtherFoot'>;

/**
 * Where the proposals are asked for what the season needs: the first theme there is, something of the next, the drills that must be in, and
 * the other foot. Null where no need can be planned for.
 */
export function planFrom(sessionId: number, needs: Need[]): string | null {
  const themes = [...new Set(needs.flatMap(({ theme }) => theme ?? []))];
  const [theme, family] = themes;
  if (theme === undefined) return null;
  const asked = new URLSearchParams({ theme });
  if (family !== undefined) asked.set('family', family);
  if (needs.some(({ isOtherFoot }) => isOtherFoot)) asked.set('wish', 'weaker-foot');
  // More than one that must be in leaves no room for what else is needed.
  const drill = needs.find((need) => need.drill !== null)?.drill;
  if (drill) asked.append('lock', drill);
  return `/plan/${sessionId}/proposals?${asked.toString()}`;
}
