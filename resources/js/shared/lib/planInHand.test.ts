// @vitest-environment jsdom
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { Session } from '../api/schemas';
import { inHand, planOf, rememberUnkept, unkept } from './planInHand';

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
  test('comes back with the version it changes', () => {
    const typed = { ...planOf(session), title: 'Turning, quick' };
    rememberUnkept(7, 3, typed);
    expect(unkept(session)).toEqual({ version: 3, plan: typed });
    expect(unkept({ ...session, version: 4, title: 'Passing' })).toEqual({ version: 3, plan: typed });
    expect(inHand(session).plan).toEqual(typed);
    rememberUnkept(7, 3, undefined);
    expect(unkept(session)).toBeUndefined();
    expect(inHand(session)).toEqual({ version: 3, plan: planOf(session) });
  });
  test('goes before what the device could keep earlier', () => {
    rememberUnkept(7, 3, planOf(session));
    vi.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    rememberUnkept(7, 3, { ...planOf(session), title: 'Turning, quick' });
    vi.restoreAllMocks();
    expect(inHand(session).plan.title).toBe('Turning, quick');
    rememberUnkept(7, 3, undefined);
    expect(inHand(session).plan.title).toBe('Turning');
  });
  test('a broken note is ignored', () => {
    localStorage.setItem('plan-7', '{');
    expect(unkept(session)).toBeUndefined();
  });
});
