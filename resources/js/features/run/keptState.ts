import type { Press } from '../../kernel/segmentClock';
import type { Beside } from './beside';
import type { CallLog } from './calling';
import type { KeptLook } from './looks';
import type { SeatedFrom } from './missed';
import type { Roster } from './reseat';

/** A drill made otherwise for today: a step on its ladder, or one ball more. */
export type Step = 'harder' | 'easier' | 'oneMoreBall';

export interface Seated {
  roster: Roster;
  came: number[];
  times: number;
  /** Who worked from when on; absent in what an older version kept. */
  since?: SeatedFrom[];
}

/** What this device keeps of a run beside its numbers. */
export interface KeptState<Pack = unknown> {
  pack: Pack;
  /** Of the interface the pack came by; absent in what an older version kept. */
  contract?: string;
  presses: Press[];
  /** Block id → links of a build-up that are done today, where that was changed at the pitch. */
  links?: Record<string, number>;
  /** Block id → made harder or easier for today. */
  steps?: Record<string, Step>;
  /** Block id → what was called in it. */
  calls?: Record<string, CallLog>;
  /** What is noted beside names, once anything was. */
  beside?: Beside;
  /** Balls that were judged one by one. */
  looks?: KeptLook[];
  /** Names of asks that nobody is asked for again. */
  waived?: string[];
  /** Who is there now, who ever was, and how often they were seated anew; absent as long as it is as planned. */
  seated?: Seated;
  /** Of the run's time before the wall clock. */
  offsetMs?: number;
}

interface OldAsk {
  playerId: number;
  lineKey: string;
  item?: number | null;
}
interface OldPack {
  blocks?: Record<string, unknown>[];
  segments?: { blockId: string; set?: number | null; asks?: OldAsk[] }[];
  lines?: Record<string, { side: string }>;
}

const noneTogether = { stations: 1, how: [], reset: null, groups: [], duties: [], round: [], ages: [], dose: null, tempo: null, links: null, mayNot: [] };

/** A run that began with an older version goes on: what its pack does not say is left empty, what it asks is asked. */
export function brought(kept: unknown): KeptState | null {
  if (!kept) return null;
  const state = kept as KeptState;
  const pack = state.pack as OldPack | undefined;
  return {
    ...state,
    pack: pack && {
      ...pack,
      blocks: pack.blocks?.map((block) => ({ ...noneTogether, ...block })),
      segments: pack.segments?.map((segment) => ({
        ...segment,
        asks: segment.asks?.map((ask) => ({
          item: null,
          blockId: segment.blockId,
          side: pack.lines?.[ask.lineKey]?.side ?? 'both',
          set: segment.set ?? 1,
          ...ask,
        })),
      })),
    },
  };
}
