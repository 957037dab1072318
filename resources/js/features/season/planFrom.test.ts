import { expect, test } from 'vitest';
import { planFrom } from './planFrom';

const need = (theme: string | null, drill: string | null = null, isOtherFoot = false) => ({ theme, drill, isOtherFoot });

test('the first theme leads, something of the next goes along, and one drill must be in', () => {
  expect(planFrom(7, [need('juggling'), need('passing', 'gate-pass'), need('turning', 'drag-back-turn', true)])).toBe(
    '/plan/7/proposals?theme=juggling&family=passing&wish=weaker-foot&lock=gate-pass',
  );
});

test('one need is its theme alone', () => {
  expect(planFrom(7, [need('juggling')])).toBe('/plan/7/proposals?theme=juggling');
});

test('what no session can be about leads nowhere', () => {
  expect(planFrom(7, [need(null)])).toBeNull();
  expect(planFrom(7, [])).toBeNull();
});
