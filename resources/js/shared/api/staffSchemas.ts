import { z } from './zod';
import { recordLine, standing } from './schemas';

/** People, settings, and what only some of the staff may see. */
const role = z.enum(['lead', 'coach', 'assistant']);

export const signIns = z.object({
  signIns: z.array(z.object({ id: z.number(), device: z.string(), signedInAt: z.string(), seenAt: z.string(), isThis: z.boolean() })),
});

const squadRole = z.object({ squadId: z.number(), role: z.enum(['coach', 'assistant']) });
export const person = z.object({ id: z.number(), name: z.string(), email: z.string(), isLead: z.boolean(), roles: z.array(squadRole) });
export const people = z.object({
  people: z.array(person),
  invitations: z.array(z.object({ id: z.number(), email: z.string(), role, squadName: z.nullable(z.string()), expiresAt: z.string() })),
});
export const invitationMade = z.object({ id: z.number(), path: z.string(), expiresAt: z.string(), mailed: z.boolean() });
export const invitationOffer = z.object({ clubName: z.string(), squadName: z.nullable(z.string()), role, email: z.string(), hasAccount: z.boolean() });
export const resetLink = z.object({ path: z.string(), expiresAt: z.string() });
export const resetOffer = z.object({ name: z.string(), email: z.string() });

export const setting = z.object({
  key: z.string(),
  label: z.string(),
  sentence: z.string(),
  kind: z.enum(['choice', 'text', 'date', 'number']),
  options: z.array(z.object({ value: z.string(), label: z.string() })),
  default: z.string(),
  value: z.union([z.string(), z.number(), z.null()]),
});
export const settings = z.object({ version: z.number(), settings: z.array(setting), follows: z.array(z.string()) });

const trailEntry = z.object({ at: z.string(), by: z.string(), what: z.string() });
export const playerNote = z.object({ note: z.string(), trail: z.array(trailEntry) });
export const clubTrail = z.object({
  entries: z.array(z.extend(trailEntry, { about: z.string(), squad: z.nullable(z.string()) })),
  next: z.nullable(z.number()),
});

const tryMark = z.object({
  uuid: z.string(),
  value: z.number(),
  isVoid: z.boolean(),
  isDisputed: z.boolean(),
  reason: z.string(),
  by: z.string(),
  source: z.enum(['coach', 'assistant', 'home']),
  countedBy: z.enum(['coach', 'partner', 'self']),
  ground: z.enum(['grass', 'turf', 'hard']),
  recordedAt: z.string(),
  stands: z.boolean(),
});
export const lineTries = z.object({
  playerId: z.number(),
  playerName: z.string(),
  line: recordLine,
  standing,
  tries: z.array(
    z.object({ sessionId: z.number(), on: z.string(), tryNumber: z.number(), value: z.nullable(z.number()), isOpen: z.boolean(), marks: z.array(tryMark) }),
  ),
});

export type Person = z.infer<typeof person>;
export type People = z.infer<typeof people>;
export type Setting = z.infer<typeof setting>;
export type Settings = z.infer<typeof settings>;
export type LineTries = z.infer<typeof lineTries>;
export type Try = LineTries['tries'][number];
export type TryMark = z.infer<typeof tryMark>;
export const mailed = z.object({ byMail: z.boolean() });
