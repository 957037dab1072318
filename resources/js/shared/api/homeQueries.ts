import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import { keys } from './keys';
import type { components } from './openapi';
import { dose } from './schemas';
import { z } from './zod';

const yesNo = z.enum(['yes', 'no']);
export const routineWishes = z.object({
  minutes: z.number(),
  days: z.number(),
  space: z.enum(['hallway', 'small-square', 'square', 'lane']),
  wall: yesNo,
  helper: yesNo,
  quiet: yesNo,
  school: z.enum(['both-feet', 'other-foot-day', 'records', 'good-ones']),
});
const routineItem = z.object({
  drill: z.string(),
  name: z.string(),
  family: z.string(),
  minutes: z.number(),
  dose,
  reasons: z.array(z.string()),
  target: z.string().nullable(),
  easier: z.string().nullable(),
  harder: z.string().nullable(),
});
export const routinePage = z.object({
  playerId: z.number(),
  playerName: z.string(),
  squadId: z.number(),
  wishes: routineWishes,
  keptOn: z.string().nullable(),
  days: z.array(z.object({ number: z.number(), isOtherFoot: z.boolean(), minutes: z.number(), items: z.array(routineItem) })),
  /** Why there is nothing to do; empty where there is. */
  refusal: z.string(),
});
export type RoutineWishes = z.infer<typeof routineWishes>;
export type RoutinePage = z.infer<typeof routinePage>;
export type RoutineDay = RoutinePage['days'][number];

/** A week at home; what is not asked for is as it was kept last. */
export const routineQuery = (playerId: number, asked: Partial<Record<keyof RoutineWishes, string>>) =>
  queryOptions({
    queryKey: keys.routine(playerId, asked),
    queryFn: ({ signal }) => {
      const words = new URLSearchParams(asked).toString();
      return getJson(`/players/${playerId}/routine${words === '' ? '' : `?${words}`}`, routinePage, signal);
    },
    placeholderData: keepPreviousData,
    retry: false,
  });
export const keepRoutine = (playerId: number, body: components['schemas']['RoutineWishes']) =>
  callApi(`/players/${playerId}/routine`, routinePage, { method: 'PUT', body });
