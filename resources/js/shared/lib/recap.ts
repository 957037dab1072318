import type { Drill, Recap } from '../api/schemas';

export const howHardWords: Record<NonNullable<Recap['howHard']>, string> = { 'too-easy': 'Too easy', 'about-right': 'About right', 'too-hard': 'Too hard' };

/** What was said, then how hard it was; empty when neither was noted. */
export function recapWords({ answers, howHard, onlyTried }: Recap): string {
  const said = answers.trim();
  const ended = said === '' || /[.!?]$/.test(said) ? said : `${said}.`;
  return [ended, howHard && `It was ${howHardWords[howHard].toLowerCase()}.`, onlyTried && 'It was only tried out.'].filter(Boolean).join(' ');
}

/** The questions of a session's drills, each once, in the order in which they come. */
export function questionsOf(drills: (Drill | null | undefined)[]): Drill['questions'] {
  const asked = new Map<string, Drill['questions'][number]>();
  for (const question of drills.flatMap((drill) => drill?.questions ?? [])) if (!asked.has(question.ask)) asked.set(question.ask, question);
  return [...asked.values()];
}

/** The same in one line, for paper. */
export function questionsLine(drills: (Drill | null | undefined)[]): string {
  const asked = questionsOf(drills).map((one) => `${one.ask} (${one.hopedFor.join(' ')})`);
  return ['What was today about?', ...asked].join(' · ');
}
