/** Who works from a block on. */
export interface SeatedFrom {
  /** Place of the block in the order. */
  block: number;
  working: number[];
}

/** What was seated before, and now this; before the start it takes the place of what was. */
export const seatedThen = (before: SeatedFrom[], next: SeatedFrom, hasBegun: boolean): SeatedFrom[] =>
  hasBegun ? [...before, next] : [{ block: 0, working: next.working }];

/**
 * Blocks that some who came were not at work in at all: they had not come yet, had gone, or only served by then. Whoever worked for a
 * part of one is taken to have done it.
 */
export function missedBlocks(blocks: { id: string }[], seated: SeatedFrom[], came: number[]): { blockId: string; playerIds: number[] }[] {
  return blocks.flatMap(({ id }, i) => {
    const before = seated.findLast((one) => one.block < i);
    const worked = new Set([...(before?.working ?? []), ...seated.filter((one) => one.block === i).flatMap((one) => one.working)]);
    const playerIds = came.filter((player) => !worked.has(player));
    return playerIds.length > 0 ? [{ blockId: id, playerIds }] : [];
  });
}
