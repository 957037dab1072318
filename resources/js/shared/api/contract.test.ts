import { readFileSync } from 'node:fs';
import { expect, expectTypeOf, test } from 'vitest';
import { z, type ZodMiniType } from 'zod/mini';
import type { components } from './openapi';
import { keptPack } from './runQueries';
import type { RunPack } from './schemas';
import * as read from './schemas';
import * as book from './bookSchemas';
import * as home from './routineSchemas';
import * as atHome from './homeSchemas';
import * as season from './seasonSchemas';
import * as staff from './staffSchemas';

/** Answers of the real server, written by its feature tests, are what the front end parses. */
const sample = (name: string): unknown => JSON.parse(readFileSync(`tests/fixtures/contract/${name}.json`, 'utf8'));

const samples: [string, ZodMiniType][] = [
  ['me', read.me],
  ['today', read.today],
  ['squad', read.squadBoard],
  ['player', season.playerPage],
  ['season', season.seasonPage],
  ['what-if', season.whatIfAnswer],
  ['routine', home.routinePage],
  ['at-home', atHome.atHome],
  ['practised', atHome.practisedResults],
  ['home-link', atHome.homeLinkPage],
  ['home', atHome.homeSquad],
  ['home-sheets', atHome.homeSheets],
  ['paper-day', season.paperDay],
  ['session', read.session],
  ['run-pack', read.runPack],
  ['position', read.runPosition],
  ['position-told', read.runPosition],
  ['evaluation', read.evaluation],
  ['proposals', book.proposals],
  ['last-time', book.lastTime],
  ['marks', read.markResults],
  ['drills', z.object({ drills: z.array(read.drill) })],
  ['sign-ins', staff.signIns],
  ['people', staff.people],
  ['club-settings', staff.settings],
  ['squad-settings', staff.settings],
  ['note', staff.playerNote],
  ['line', staff.lineTries],
  ['drills-found', book.drillsFound],
  ['drill', book.drillPage],
  ['circuit', book.drillPage],
  ['own-drill', book.drillPage],
  ['drill-trial', book.drillTrial],
  ['drill-choices', book.drillChoices],
  ['ladders', book.ladders],
  ['reset', book.resetDrawing],
  ['score', book.score],
  ['moves', book.moves],
  ['move', book.move],
];

test('a pack kept by an older version is read and filled up', async () => {
  const old: Partial<RunPack> = { ...(sample('run-pack') as RunPack) };
  delete old.footWording;
  expect(await keptPack(old, undefined)).toMatchObject({ footWording: 'other', players: old.players });
  expect(await keptPack({ segments: 'none' }, '')).toBeUndefined();
});

test.each(samples)('the server’s %s can be read', (name, schema) => {
  expect(schema.safeParse(sample(name)).error).toBeUndefined();
});

test('a stale plan brings the plan as it stands, and a bad one its fields', () => {
  expect(read.session.safeParse((sample('stale-plan') as { current: unknown }).current).error).toBeUndefined();
  const { fields } = sample('invalid-plan') as { fields: { path: string }[] };
  expect(fields.map(({ path }) => path)).toEqual(['title', 'slotMinutes']);
});

test('a field that is missing is noticed', () => {
  const me = sample('me') as Record<string, unknown>;
  delete me.squads;
  expect(read.me.safeParse(me).success).toBe(false);
});

type Described = components['schemas'];

test('what the description promises is what the schemas read', () => {
  expectTypeOf<Described['Me']>().toExtend<z.infer<typeof read.me>>();
  expectTypeOf<Described['Player']>().toExtend<z.infer<typeof read.player>>();
  expectTypeOf<Described['SessionSummary']>().toExtend<z.infer<typeof read.sessionSummary>>();
  expectTypeOf<Described['Line']>().toExtend<z.infer<typeof read.recordLine>>();
  expectTypeOf<Described['Standing']>().toExtend<z.infer<typeof read.standing>>();
  expectTypeOf<Described['SquadBoard']>().toExtend<z.infer<typeof read.squadBoard>>();
  expectTypeOf<Described['SeasonPage']>().toExtend<z.infer<typeof season.seasonPage>>();
  expectTypeOf<Described['RoutinePage']>().toExtend<Omit<z.infer<typeof home.routinePage>, 'days'>>();
  expectTypeOf<Described['AtHome']>().toExtend<Omit<z.infer<typeof atHome.atHome>, 'days'>>();
  expectTypeOf<Described['HomeSquad']>().toExtend<z.infer<typeof atHome.homeSquad>>();
  expectTypeOf<Described['HomeLinkPage']>().toExtend<z.infer<typeof atHome.homeLinkPage>>();
  expectTypeOf<Described['PractisedResults']>().toExtend<z.infer<typeof atHome.practisedResults>>();
  expectTypeOf<Described['WhatIfAnswer']>().toExtend<z.infer<typeof season.whatIfAnswer>>();
  expectTypeOf<Described['PaperDay']>().toExtend<z.infer<typeof season.paperDay>>();
  expectTypeOf<Described['PlayerPage']>().toExtend<z.infer<typeof season.playerPage>>();
  // What names a dose is described as any, and read as one.
  type Evaluated = z.infer<typeof read.evaluation>;
  expectTypeOf<Described['Evaluation']>().toExtend<Omit<Evaluated, 'cuts' | 'blocks' | 'warnings'>>();
  expectTypeOf<Described['BlockEvaluation']>().toExtend<Omit<Evaluated['blocks'][number], 'warnings' | 'ages'>>();
  expectTypeOf<Described['Warning']>().toExtend<Omit<Evaluated['warnings'][number], 'cure'>>();
  expectTypeOf<Described['Cure']>().toExtend<Omit<NonNullable<Evaluated['warnings'][number]['cure']>, 'dose'>>();
  expectTypeOf<Described['LastTime']>().toExtend<{ last: Omit<NonNullable<z.infer<typeof book.lastTime>['last']>, 'dose'> | null }>();
  expectTypeOf<Described['Refusal']>().toExtend<z.infer<typeof book.proposals>['refusals'][number]>();
  expectTypeOf<Described['Reason']>().toExtend<book.ProposedBlock['reasons'][number]>();
  expectTypeOf<Described['SessionActual']>().toExtend<z.infer<typeof read.sessionActual>>();
  expectTypeOf<Described['RunPosition']>().toExtend<z.infer<typeof read.runPosition>>();
  expectTypeOf<Described['FeedLeave']>().toExtend<z.infer<typeof read.feedLeave>>();
  expectTypeOf<Described['FeedCounts']>().toExtend<z.infer<typeof read.feedCounts>>();
  expectTypeOf<Described['MarkResults']>().toExtend<z.infer<typeof read.markResults>>();
  expectTypeOf<Described['SignIns']>().toExtend<z.infer<typeof staff.signIns>>();
  expectTypeOf<Described['People']>().toExtend<z.infer<typeof staff.people>>();
  expectTypeOf<Described['InvitationOffer']>().toExtend<z.infer<typeof staff.invitationOffer>>();
  expectTypeOf<Described['PlayerNote']>().toExtend<z.infer<typeof staff.playerNote>>();
  expectTypeOf<Described['Move']>().toExtend<z.infer<typeof book.move>>();
  expectTypeOf<Described['Drill']>().toExtend<Omit<z.infer<typeof read.drill>, 'dose' | 'parts'>>();
  expectTypeOf<Described['DrillsFound']>().toExtend<{ found: Omit<book.DrillSummary, 'dose'>[] }>();
  expectTypeOf<Described['DrillPage']['own']>().toExtend<book.DrillPageData['own']>();
  expectTypeOf<Described['Ladder']>().toExtend<Omit<z.infer<typeof book.ladders>['ladders'][number], 'entryTest'>>();
  expectTypeOf<Described['TreeMove']>().toExtend<z.infer<typeof book.ladders>['tree'][number]>();
  expectTypeOf<Described['ResetDrawing']>().toExtend<book.ResetDrawing>();
  expectTypeOf<Described['LineTries']>().toExtend<z.infer<typeof staff.lineTries>>();
});
