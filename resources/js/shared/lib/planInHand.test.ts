// @vitest-environment jsdom
import { beforeEach, describe, expect, test } from 'vitest';
import type { Session } from '../api/schemas';
import { planOf, rememberUnkept, unkept } from './planInHand';

describe('what was typed and not kept', () => {
  const session: Session = {
    id: 7,
    squadId: 1,
    title: 'Turning',
    place: '',
    startsAt: '2026-03-12T18:00',
    slotMinutes: 60,
    version: 3,
    isRun: false,
    recap: { answers: '', howHard: null, onlyTried: false },
    lastRecap: null,
    blocks: [],
    comingPlayerIds: [],
    helpers: 0,
    laidBefore: true,
    may: [],
    isHot: false,
    temperatureCelsius: null,
    humidityPercent: null,
    overrides: [],
    players: [],
    olderDrills: [],
  };
  beforeEach(() => localStorage.clear());
  test('comes back as long as the plan is the same version', () => {
    const typed = { ...planOf(session), title: 'Turning, quick' };
    rememberUnkept(7, 3, typed);
    expect(unkept(session)).toEqual(typed);
    expect(unkept({ ...session, version: 4 })).toBeUndefined();
    rememberUnkept(7, 3, undefined);
    expect(unkept(session)).toBeUndefined();
  });
  test('a broken note is ignored', () => {
    localStorage.setItem('plan-7', '{');
    expect(unkept(session)).toBeUndefined();
  });
});
