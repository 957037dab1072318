import { describe, expect, it } from 'vitest';
import { missedBlocks, seatedThen } from './missed';

const blocks = ['a', 'b', 'c', 'd'].map((id) => ({ id }));
const planned = [{ block: 0, working: [1, 2, 3] }];

describe('who was not at work in a block', () => {
  it('is nobody while all stay', () => {
    expect(missedBlocks(blocks, planned, [1, 2, 3])).toEqual([]);
  });

  it('is whoever went, from the block after the one that was going on', () => {
    const seated = seatedThen(planned, { block: 1, working: [1, 2] }, true);
    expect(missedBlocks(blocks, seated, [1, 2, 3])).toEqual([
      { blockId: 'c', playerIds: [3] },
      { blockId: 'd', playerIds: [3] },
    ]);
  });

  it('is whoever had not come yet, up to the block that was going on', () => {
    const seated = seatedThen(planned, { block: 2, working: [1, 2, 3, 4] }, true);
    expect(missedBlocks(blocks, seated, [1, 2, 3, 4])).toEqual([
      { blockId: 'a', playerIds: [4] },
      { blockId: 'b', playerIds: [4] },
    ]);
  });

  it('is whoever stopped for a while, in what lies wholly between', () => {
    const gone = seatedThen(planned, { block: 0, working: [1, 2] }, true);
    const back = seatedThen(gone, { block: 2, working: [1, 2, 3] }, true);
    expect(missedBlocks(blocks, back, [1, 2, 3])).toEqual([{ blockId: 'b', playerIds: [3] }]);
  });

  it('is whoever was seen not to be there before the start, in all of it', () => {
    const seated = seatedThen(planned, { block: 0, working: [1, 2] }, false);
    expect(missedBlocks(blocks.slice(0, 2), seated, [1, 2, 3])).toEqual([
      { blockId: 'a', playerIds: [3] },
      { blockId: 'b', playerIds: [3] },
    ]);
  });
});
