import { expect, test } from 'vitest';
import { roundTitles } from './roundTitles';

test('a round is told by the names of all its blocks, any other block by its own', () => {
  const block = (id: string, together: string | null) => ({ id, title: id.toUpperCase(), together });
  expect(roundTitles([block('a', null), block('b', 'r'), block('c', 'r'), block('d', 'r'), block('e', 's'), block('f', 's')])).toEqual({
    a: 'A',
    b: 'B, C and D',
    c: 'B, C and D',
    d: 'B, C and D',
    e: 'E and F',
    f: 'E and F',
  });
});
