import { describe, expect, test } from 'vitest';
import type { RunPack } from '../../shared/api/schemas';
import { whoIsWhere } from './whoIsWhere';

const seat = (playerId: number, role: string, more = {}) => ({ playerId, role, slot: 0, ball: role === 'works' ? 1 : 0, wait: 0, isExtra: false, ...more });
const stretch = (kind: string, seats: ReturnType<typeof seat>[] = [], more = {}) => ({ blockId: 'b', kind, seats, stations: [], ...more });
const packOf = (segments: object[], groups: object[] = []) =>
  ({
    players: ['', 'Amina', 'Bo', 'Chiara', 'Dag'].map((name, id) => ({ id, name })),
    blocks: [{ id: 'b', title: 'Corner', groups }],
    segments,
  }) as unknown as RunPack;
const said = (pack: RunPack, at: number) => whoIsWhere(pack, at).map(({ at: where, doing }) => `${where} ${doing}`.trim());
const pairs = [
  { workers: [1, 2], servers: [], isHelped: false },
  { workers: [3], servers: [4], isHelped: false },
];

describe('who is where', () => {
  test('everybody alike is one line, however many groups, where nobody is at work', () => {
    const alone = [1, 2, 3, 4].map((id) => ({ workers: [id], servers: [], isHelped: false }));
    const all = (role: string) => [1, 2, 3, 4].map((id) => seat(id, role));
    expect(said(packOf([stretch('work', all('works'))], alone), 0)).toEqual(['All 4 work']);
    expect(said(packOf([stretch('rest', all('rests'))], pairs), 0)).toEqual(['All 4 rest']);
    expect(said(packOf([stretch('work', all('works'))], pairs), 0)).toEqual(['1 Amina and Bo work', '2 Chiara and Dag work']);
  });

  test('a line a group: who works first, then who serves or rests', () => {
    const work = stretch('work', [seat(1, 'rests'), seat(2, 'works'), seat(3, 'works'), seat(4, 'serves')]);
    expect(said(packOf([work], pairs), 0)).toEqual(['1 Bo works; Amina rests', '2 Chiara works; Dag serves']);
    expect(said(packOf([stretch('change', []), work], pairs), 0)).toEqual(['1 Bo works; Amina rests', '2 Chiara works; Dag serves']);
  });

  test('who rests for a go to come is named after whoever has it; who has none left waits', () => {
    const turn = (one: number, other: number) => stretch('work', [seat(one, 'works'), seat(other, 'rests'), seat(3, 'works'), seat(4, 'works')]);
    const pack = packOf([turn(1, 2), turn(2, 1)], pairs);
    expect(said(pack, 0)[0]).toBe('1 Amina, then Bo');
    expect(said(pack, 1)[0]).toBe('1 Bo works; Amina rests');
  });

  test('those to come are named in the order of their goes, and not all of many', () => {
    const turn = (one: number) =>
      stretch(
        'work',
        [1, 2, 3, 4].map((id) => seat(id, id === one ? 'works' : 'rests')),
      );
    const one = [{ workers: [1, 2, 3, 4], servers: [], isHelped: false }];
    expect(said(packOf([turn(2), turn(3), turn(4), turn(1), turn(2)], one), 0)).toEqual(['Bo, then Chiara, Dag and Amina']);
    const many = Array.from({ length: 9 }, (_, i) => i + 1);
    const of = (at: number) =>
      stretch(
        'work',
        many.map((id) => seat(id, id === at ? 'works' : 'rests')),
      );
    const pack = packOf([...many.map(of), ...many.map(of)], [{ workers: many, servers: [], isHelped: false }]);
    expect(said(pack, 1)).toEqual(['Bo, then Chiara, Dag, 5 and 5 more']);
  });

  test('who belongs to no group is named after them', () => {
    const work = stretch('work', [seat(1, 'works'), seat(2, 'works'), seat(3, 'works'), seat(4, 'counts')]);
    expect(
      said(
        packOf(
          [work],
          [
            { workers: [1, 2], servers: [], isHelped: false },
            { workers: [3], servers: [], isHelped: false },
          ],
        ),
        0,
      ),
    ).toEqual(['1 Amina and Bo work', '2 Chiara works', 'Dag counts']);
  });

  test('before the work who will be together, and with whom of the grown-ups', () => {
    const groups = [...pairs.slice(0, 1), { workers: [3], servers: [], isHelped: true }];
    expect(said(packOf([stretch('explain')], groups), 0)).toEqual(['1 Amina and Bo', '2 Chiara with a helper']);
    expect(said(packOf([stretch('explain')], []), 0)).toEqual([]);
  });

  test('in a round who is at which station; an empty one is not named', () => {
    const round = stretch('work', [seat(1, 'works')], {
      stations: [
        { blockId: 'b', playerIds: [1, 3] },
        { blockId: 'other', playerIds: [] },
      ],
    });
    expect(said(packOf([round], pairs), 0)).toEqual(['Corner Amina and Chiara']);
  });

  test('a game says how many play; water and talk need no names', () => {
    const of = (kind: string, roles: string[]) =>
      said(
        packOf([
          stretch(
            kind,
            roles.map((role, i) => seat(i + 1, role)),
          ),
        ]),
        0,
      );
    expect(of('game', ['plays', 'plays', 'plays', 'plays'])).toEqual(['All 4 play']);
    expect(of('game', ['plays', 'counts', 'plays', 'plays'])).toEqual(['3 play']);
    expect(of('game', ['plays', 'counts'])).toEqual(['One plays, with a grown-up']);
    expect(of('game', ['counts'])).toEqual(['Nobody may play']);
    expect(of('water', ['drinks', 'drinks', 'drinks'])).toEqual([]);
    expect(of('talk', ['listens', 'listens', 'listens'])).toEqual([]);
  });

  test('one or two alone are named', () => {
    expect(said(packOf([stretch('work', [seat(1, 'works'), seat(2, 'works')])]), 0)).toEqual(['Amina and Bo work']);
  });
});
