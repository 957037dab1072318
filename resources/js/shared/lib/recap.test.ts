import { expect, it } from 'vitest';
import type { Drill } from '../api/schemas';
import { questionsLine, questionsOf, recapWords } from './recap';

it('puts what was said before how hard it was', () => {
  expect(recapWords({ answers: 'Look first', howHard: 'about-right', onlyTried: false })).toBe('Look first. It was about right.');
  expect(recapWords({ answers: 'Look first!', howHard: null, onlyTried: false })).toBe('Look first!');
  expect(recapWords({ answers: '  ', howHard: 'too-hard', onlyTried: false })).toBe('It was too hard.');
  expect(recapWords({ answers: '', howHard: null, onlyTried: false })).toBe('');
  expect(recapWords({ answers: 'Look first', howHard: 'too-hard', onlyTried: true })).toBe('Look first. It was too hard. It was only tried out.');
});

it('asks each question once, in the order of the session', () => {
  const drill = (...asks: string[]) => ({ questions: asks.map((ask) => ({ ask, hopedFor: ['x'] })) }) as Drill;

  expect(questionsOf([drill('a'), null, drill('b', 'a'), undefined, drill('c')]).map((one) => one.ask)).toEqual(['a', 'b', 'c']);
  expect(questionsOf([])).toEqual([]);
  expect(questionsLine([drill('Why?'), drill('Why?', 'When?')])).toBe('What was today about? · Why? (x) · When? (x)');
  expect(questionsLine([])).toBe('What was today about?');
});
