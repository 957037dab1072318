import type { PlanBlock } from '../../shared/api/schemas';
import { listed } from '../../shared/lib/groups';

/** A round of stations is timed as one, under the first of its blocks: there it is told by the names of all. */
export const roundTitles = (blocks: Pick<PlanBlock, 'id' | 'title' | 'together'>[]): Record<string, string> =>
  Object.fromEntries(
    blocks.map(({ id, title, together }) => [
      id,
      together === null ? title : listed(blocks.filter((one) => one.together === together).map((one) => one.title)),
    ]),
  );
