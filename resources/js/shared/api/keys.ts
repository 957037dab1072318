import type { Query } from '@tanstack/react-query';

/**
 * The names under which answers are kept, from wide to narrow: what is no longer true of a squad is forgotten with all below it. Nothing
 * else writes one.
 */
export const keys = {
  me: ['me'] as const,
  signIns: ['sign-ins'] as const,
  people: ['people'] as const,
  invitation: (token: string) => ['invitation', token] as const,
  reset: (account: string, signed: string) => ['reset', account, signed] as const,
  settings: (path: string) => ['settings', path] as const,
  trail: ['settings', 'trail'] as const,

  moves: ['book', 'moves'] as const,
  move: (slug: string) => ['book', 'move', slug] as const,
  choices: ['book', 'choices'] as const,

  squad: (squadId: number) => ['squad', squadId] as const,
  today: (squadId: number) => ['squad', squadId, 'today'] as const,
  board: (squadId: number, endedId?: number) => ['squad', squadId, 'board', endedId ?? 'now'] as const,
  season: (squadId: number, endedId: number | undefined) => ['squad', squadId, 'season', endedId ?? 'now'] as const,
  whatIf: (squadId: number) => ['squad', squadId, 'what-if'] as const,
  home: (squadId: number) => ['squad', squadId, 'home'] as const,
  homeSheets: (squadId: number) => ['squad', squadId, 'home', 'sheets'] as const,
  ladders: (squadId: number) => ['squad', squadId, 'ladders'] as const,
  drills: (squadId: number) => ['squad', squadId, 'drills'] as const,
  drill: (squadId: number, slug: string) => ['squad', squadId, 'drills', 'one', slug] as const,
  drillsFound: (squadId: number, wishes: object) => ['squad', squadId, 'drills', 'found', wishes] as const,
  searchIndex: (squadId: number) => ['squad', squadId, 'drills', 'search-index'] as const,
  lastTime: (squadId: number, slug: string, before: string) => ['squad', squadId, 'drills', 'last-time', slug, before] as const,
  drillReset: (squadId: number, from: string, to: string) => ['squad', squadId, 'drills', 'reset', from, to] as const,
  trial: (squadId: number, fields: object, from: string | null) => ['trial', squadId, fields, from] as const,
  preview: (squadId: number, draft: object, playersOf: string | undefined) => ['preview', squadId, draft, playersOf] as const,

  players: ['player'] as const,
  player: (playerId: number) => ['player', playerId] as const,
  playerSeason: (playerId: number, endedId: number | undefined) => ['player', playerId, 'season', endedId ?? 'now'] as const,
  routine: (playerId: number, asked: object) => ['player', playerId, 'routine', asked] as const,
  homeLink: (playerId: number) => ['player', playerId, 'home-link'] as const,
  note: (playerId: number) => ['player', playerId, 'note'] as const,
  line: (playerId: number, lineKey: string) => ['player', playerId, 'line', lineKey] as const,

  session: (sessionId: number) => ['session', sessionId] as const,
  actual: (sessionId: number) => ['session', sessionId, 'actual'] as const,
  holdings: (sessionId: number) => ['session', sessionId, 'holdings'] as const,
  feed: (sessionId: number, from: string) => ['session', sessionId, 'feed', from] as const,
  run: (sessionId: number) => ['run', sessionId] as const,
  position: (sessionId: number) => ['position', sessionId] as const,

  keptRun: (sessionId: number) => ['kept-run', sessionId] as const,
  entries: (sessionId: number) => ['entries', sessionId] as const,
  notedRecap: (sessionId: number) => ['noted-recap', sessionId] as const,
  waiting: (state: object) => ['waiting', state] as const,
  ready: ['device', 'ready'] as const,
  readyFor: (sessionId: number) => ['device', 'ready', sessionId] as const,
  takeAlong: (sessionIds: string) => ['device', 'take-along', sessionIds] as const,
};

/** Whether an answer is of one of these kinds. */
export const isOf =
  (...kinds: ('squad' | 'session' | 'player' | 'run' | 'settings' | 'me' | 'preview')[]) =>
  ({ queryKey }: Pick<Query, 'queryKey'>): boolean =>
    kinds.some((kind) => kind === queryKey[0]);
