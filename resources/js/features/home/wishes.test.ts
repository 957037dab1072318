import { expect, test } from 'vitest';
import { withDrill, without } from './wishes';

test('what is chosen is no longer taken out, and the other way round', () => {
  const chosen = withDrill({ with: 'sole-taps', without: 'zigzag weave' }, 'zigzag');
  expect(chosen).toEqual({ with: 'sole-taps zigzag', without: 'weave' });
  expect(without(chosen, 'sole-taps')).toEqual({ with: 'zigzag', without: 'weave sole-taps' });
  // Said twice, it is there once.
  expect(withDrill(chosen, 'zigzag')).toEqual(chosen);
});
