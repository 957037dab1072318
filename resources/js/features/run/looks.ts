import type { Look } from '../../shared/api/runQueries';

/** A ball that was judged; the last one may still be taken back. */
export interface KeptLook {
  look: Look;
  isSent: boolean;
}

/** One ball more; what was judged before it can no longer be taken back. */
export const lookedAt = (looks: KeptLook[], look: Look): KeptLook[] => [...settledLooks(looks), { look, isSent: false }];

export const settledLooks = (looks: KeptLook[]): KeptLook[] => looks.map((one) => ({ ...one, isSent: true }));

/** Without the last one, where it was not sent yet. */
export const takenBack = (looks: KeptLook[]): KeptLook[] => (looks.at(-1)?.isSent === false ? looks.slice(0, -1) : looks);

/** What was seen of one player in a drill, in words; empty for nothing. */
export function seenWords(looks: KeptLook[], playerId: number, drillSlug: string): string {
  const seen = looks.filter(({ look }) => look.playerId === playerId && look.drillSlug === drillSlug).map(({ look }) => look);
  const [touches, passes] = [seen.filter(({ weight }) => weight), seen.filter(({ weight }) => !weight)];
  const times = (count: number, what: string) => `${count} ${what}`;
  const weights = (['short', 'right', 'away'] as const).map((weight) => times(touches.filter((one) => one.weight === weight).length, weightWords[weight]));
  const ticks = [
    times(passes.filter(({ isAccurate }) => isAccurate).length, 'accurate'),
    times(passes.filter(({ isRightPace }) => isRightPace).length, 'at the right pace'),
    times(passes.filter(({ isClean }) => isClean).length, 'clean'),
  ];
  return [touches.length > 0 ? weights.join(', ') : '', passes.length > 0 ? `of ${passes.length} passes ${ticks.join(', ')}` : ''].filter(Boolean).join('; ');
}

export const weightWords = { short: 'too short', right: 'right', away: 'ran away' } as const;
