/**
 * Sends requests that are mostly wrong, made from docs/openapi.json and a seed, to a server that is there for nothing else, and
 * counts the answers. Fails on any answer of 500 and above, on any connection that breaks, and on any answer that takes over two
 * seconds and, asked again, over two hundred times an empty request: a machine that is held up for a moment is no fault of ours.
 *
 *   node tests/fuzz/fuzz.mjs http://127.0.0.1:8061 COUNT [SEED]
 */
import { readFileSync } from 'node:fs';

const [base, wanted = '1000', seed = '20261127'] = process.argv.slice(2);
const mostMs = 2000;
const mostTimesEmpty = 200;
const api = JSON.parse(readFileSync(new URL('../../docs/openapi.json', import.meta.url), 'utf8'));

/** Mulberry32: small, seeded, good enough to choose with. */
function randomOf(start) {
  let state = start >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
const random = randomOf(Number(seed));
const below = (n) => Math.floor(random() * n);
const oneOf = (list) => list[below(list.length)];
const chance = (p) => random() < p;

const deep = (levels) => (levels === 0 ? 'x' : chance(0.5) ? [deep(levels - 1)] : { a: deep(levels - 1) });
const hostile = [
  null, true, false, 0, -1, 1.5, -0.0, 1e308, -1e308, 9007199254740993, 4294967296, '', ' ', '0', '-1', '1e999', 'NaN', '١٢', '\u0000', 'a\u0000b', '\u202Eabc\u202C', '\uD800', 'é'.repeat(300),
  'x'.repeat(10_000), '💥'.repeat(200), '2026-02-31T18:00', '0001-01-01T00:00', '9999-12-31T23:59', '2026-19-40T99:99:99Z', '+002026-01-01T00:00:00Z', '2026-03-29T02:30',
  [], {}, [null], [[]], { a: 1 }, [{}], Array.from({ length: 500 }, (_, i) => i), "' OR 1=1 --", '<script>alert(1)</script>', '../../etc/passwd', '%00', '${7*7}', '{{7*7}}',
  '(a.in)x999999', '((((((((a.in)x9)x9)x9)x9)x9)x9)x9)x9', 'a.sole^^!!', '>a99999', '(a.in)x+ (b.out)x+', '('.repeat(500), 'a.in '.repeat(2000), '00000000-0000-4000-8000-00000000000A', 'own-', '"7"',
  () => deep(12), () => deep(28), () => 'k'.repeat(below(60_000)),
];
const bad = () => {
  const value = oneOf(hostile);
  return typeof value === 'function' ? value() : value;
};

/** As an address can hold it: half a letter cannot be written there at all. */
const text = (value) => String(value).toWellFormed();

const jar = {};
let account = 'coach';
/** Of a player's page at home: behind that door too something is there to be found wrong. */
let homeCode = '';
async function call(method, path, { body, raw, headers = {}, as = account } = {}) {
  const cookies = jar[as] ?? {};
  const began = performance.now();
  const content = raw ?? (body === undefined ? undefined : JSON.stringify(body));
  const response = await fetch(`${base}${path}`, {
    method,
    headers: {
      Accept: 'application/json',
      ...(content === undefined ? {} : { 'Content-Type': 'application/json' }),
      Cookie: Object.entries(cookies).map(([name, value]) => `${name}=${value}`).join('; '),
      'X-XSRF-TOKEN': decodeURIComponent(cookies['XSRF-TOKEN'] ?? ''),
      ...(path.startsWith('/api/v1/at-home') ? { Authorization: `Bearer ${homeCode}` } : {}),
      ...headers,
    },
    ...(content === undefined || method === 'GET' ? {} : { body: content }),
    redirect: 'manual',
  });
  const text = await response.text();
  const ms = performance.now() - began;
  jar[as] = cookies;
  for (const line of response.headers.getSetCookie()) {
    const [pair = ''] = line.split(';');
    const at = pair.indexOf('=');
    cookies[pair.slice(0, at)] = pair.slice(at + 1);
  }
  let json;
  try {
    json = JSON.parse(text);
  } catch {
    json = undefined;
  }
  return { status: response.status, ms, json, text };
}

async function signIn(as) {
  jar[as] = {};
  await call('GET', '/api/v1/pulse', { as });
  const answer = await call('POST', '/api/v1/sign-in', { as, body: { email: `${as}@heron-quay.example`, password: 'salt-marsh-42' } });
  if (answer.status !== 200) throw new Error(`${as} cannot sign in: ${answer.status} ${answer.text.slice(0, 200)}`);
  return answer.json;
}

/** Ids and records that are there, so that some requests come far before they are found wrong. */
async function pools() {
  const me = await signIn('coach');
  const { sheets } = (await call('GET', `/api/v1/squads/${me.squads[0].id}/home-sheets`)).json;
  homeCode = sheets.find((one) => one.link).link.code;
  const squad = me.squads[0].id;
  const get = async (path, as = 'coach') => (await call('GET', `/api/v1${path}`, { as })).json;
  const board = await get(`/squads/${squad}`);
  const today = await get(`/squads/${squad}/today`);
  const sessions = [today.next.id, today.last.id, ...today.upcoming.map((one) => one.id)];
  const session = await get(`/sessions/${today.next.id}`);
  const pack = await get(`/sessions/${today.next.id}/run`);
  await signIn('lead');
  const people = await get('/club/people', 'lead');
  const drills = (await get(`/squads/${squad}/drills`)).drills.map((one) => one.slug);
  const pages = [];
  for (const slug of drills.filter((_, i) => i % 12 === 0)) pages.push(await get(`/squads/${squad}/drills/${slug}`));
  const own = await call('POST', `/api/v1/squads/${squad}/drills`, { body: { fields: { ...pages[0].fields, name: 'One of our own' }, from: null } });
  return {
    ids: {
      squad: me.squads.map((one) => one.id),
      player: board.players.map((one) => one.id),
      session: sessions,
      // Never those who ask.
      person: people.people.filter((one) => !/^(lead|coach)@/.test(one.email)).map((one) => one.id),
      account: people.people.map((one) => one.id),
      invitation: [1, 2],
      signIn: [1],
      slug: [...drills, own.json?.drill?.slug ?? 'own-x', 'drag-back'],
      lineKey: board.lines.map((one) => one.key),
      token: ['nothing'],
    },
    plan: { title: session.title, place: session.place, startsAt: session.startsAt, slotMinutes: session.slotMinutes, blocks: session.blocks, comingPlayerIds: session.comingPlayerIds, helpers: 1, may: session.may, isHot: false, temperatureCelsius: 21, humidityPercent: 40, overrides: [] },
    marks: pack.segments.flatMap((segment) => segment.asks).slice(0, 5).map((ask, i) => ({ uuid: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`, playerId: ask.playerId, sessionId: session.id, lineKey: ask.lineKey, tryNumber: 1, value: 12, isVoid: false, recordedAt: '2026-03-10T11:00:00.000Z', supersedesUuids: [] })),
    drills: pages.map((page) => page.fields).filter(Boolean),
  };
}

/** A value that fits a schema. */
function fitting(schema, pool, depth = 0) {
  if (schema.$ref) return fitting(api.components.schemas[schema.$ref.split('/').at(-1)], pool, depth);
  if (schema.allOf) return Object.assign({}, ...schema.allOf.map((part) => fitting(part, pool, depth)));
  const choice = schema.oneOf ?? schema.anyOf;
  if (choice) return fitting(oneOf(choice), pool, depth);
  if (schema.enum) return oneOf(schema.enum);
  const type = Array.isArray(schema.type) ? oneOf(schema.type) : schema.type;
  switch (type) {
    case 'object':
      if (!schema.properties) return structuredClone(oneOf(pool.drills));
      return Object.fromEntries(Object.entries(schema.properties).map(([name, of]) => [name, fitting(of, pool, depth + 1)]));
    case 'array':
      return depth > 6 ? [] : Array.from({ length: below(4) }, () => fitting(schema.items ?? {}, pool, depth + 1));
    case 'integer':
      return oneOf([1, 2, 7, 30, oneOf(pool.ids.player)]);
    case 'number':
      return oneOf([1, 12.5, 60]);
    case 'boolean':
      return chance(0.5);
    case 'null':
      return null;
    default:
      return schema.format === 'date-time' ? '2026-03-10T17:00:00Z' : oneOf(['Turning', 'U12', '2026-03-12T18:00', 'turning', oneOf(pool.ids.slug), 'a@b.example']);
  }
}

/** Puts something hostile at a place chosen by chance, as deep as it may be. */
function spoil(value) {
  if (value === null || typeof value !== 'object' || chance(0.12)) return bad();
  const keys = Object.keys(value);
  if (keys.length === 0 || chance(0.05)) return Array.isArray(value) ? [...value, bad()] : { ...value, [oneOf(['x', '', '0', '__proto__', 'a.b', 'club_id', 'id'])]: bad() };
  const key = oneOf(keys);
  const copy = Array.isArray(value) ? [...value] : { ...value };
  if (chance(0.1)) {
    delete copy[key];
    return Array.isArray(copy) ? copy.filter(() => true) : copy;
  }
  copy[key] = spoil(copy[key]);
  return copy;
}

function bodyFor(schema, path, pool) {
  if (path.endsWith('/marks')) return { marks: structuredClone(pool.marks) };
  if (/preview|proposals|sessions(\/\{session\})?$/.test(path)) return structuredClone(pool.plan);
  if (/drill-files$/.test(path)) return { format: 'fleet-sparrow/drill', version: 1, drills: [structuredClone(oneOf(pool.drills))] };
  if (/drills(\/\{slug\})?$|drill-trials$/.test(path)) return { fields: structuredClone(oneOf(pool.drills)), from: oneOf([null, oneOf(pool.ids.slug)]) };
  return fitting(schema, pool);
}

function requestOf(operation, pool) {
  const { method, path, call: described } = operation;
  const filled = path.replace(/\{(\w+)\}/g, (_, name) => encodeURIComponent(text(chance(0.85) ? oneOf(pool.ids[name] ?? [1]) : bad())).slice(0, 2000) || '0');
  const query = new URLSearchParams();
  for (const parameter of described.parameters ?? [])
    if (parameter.in === 'query' && chance(0.6)) query.append(chance(0.5) ? parameter.name : `${parameter.name}[]`, text(chance(0.4) ? bad() : fitting(parameter.schema ?? {}, pool)).slice(0, 3000));
  const target = `/api/v1${filled}${[...query].length > 0 ? `?${query}` : ''}`;
  const headers = chance(0.8) ? { 'If-Match': chance(0.7) ? '"1"' : `"${String(bad()).replace(/[^\x20-\x7e]/g, '?').slice(0, 500)}"` } : {};
  const schema = described.requestBody?.content?.['application/json']?.schema;
  if (!schema || method === 'get') return { method, target, headers };
  if (chance(0.03)) return { method, target, headers, raw: oneOf(['{', '[', '{"a":', '"', 'null', '7', '\u0000', '['.repeat(5000), `{"a":"${'x'.repeat(1_200_000)}"}`, '{"a":"\\ud800"}', '\xff\xfe']) };
  let body = bodyFor(schema, path, pool);
  for (let times = chance(0.1) ? 0 : 1 + below(3); times > 0; times--) body = spoil(body);
  return { method, target, headers, body };
}

/** How many empty requests the same request takes, the best of three of each, one after the other. */
async function timesEmpty(request) {
  const empty = [];
  const again = [];
  for (let go = 0; go < 3; go++) {
    empty.push((await call('GET', '/api/v1/pulse')).ms);
    again.push((await call(request.method.toUpperCase(), request.target, request)).ms);
  }
  return Math.min(...again) / Math.min(...empty);
}

const operations = Object.entries(api.paths).flatMap(([path, calls]) => Object.entries(calls).map(([method, described]) => ({ method, path, call: described })));
// Ends the sign-in that asks.
const left = operations.filter(({ method, path }) => !(method === 'delete' && path === '/sign-in'));

const pool = await pools();
const counts = {};
const faults = [];
let slowest = { ms: 0 };
let heldUp = 0;
const count = Number(wanted);
for (let i = 0; i < count; i++) {
  const operation = i < left.length ? left[i] : oneOf(left);
  const request = requestOf(operation, pool);
  account = chance(0.06) ? 'stranger' : chance(0.35) ? 'lead' : 'coach';
  if (account !== 'stranger' && i % 400 === 0) await signIn(account);
  const name = `${operation.method.toUpperCase()} ${operation.path}`;
  try {
    const answer = await call(request.method.toUpperCase(), request.target, request);
    counts[answer.status] = (counts[answer.status] ?? 0) + 1;
    if (answer.ms > slowest.ms) slowest = { ms: answer.ms, name };
    const times = answer.ms > mostMs ? await timesEmpty(request) : 0;
    if (times > 0) heldUp += 1;
    if (answer.status >= 500 || times > mostTimesEmpty)
      faults.push({ i, name, status: answer.status, ms: Math.round(answer.ms), times: Math.round(times), request, said: answer.text.slice(0, 300) });
    if (answer.status === 401 && account !== 'stranger') await signIn(account);
  } catch (fault) {
    faults.push({ i, name, status: 'no answer', request, said: String(fault?.cause ?? fault) });
  }
}

console.log(`${count} requests by seed ${seed}, ${left.length} calls of the API, slowest ${Math.round(slowest.ms)} ms (${slowest.name})`);
for (const [status, number] of Object.entries(counts)) console.log(`  ${status}  ${number}`);
for (const fault of faults.slice(0, 20)) console.log(JSON.stringify(fault).slice(0, 1500));
console.log(faults.length === 0 ? `No answer of 500 or above; ${heldUp} over two seconds, none of them when asked again.` : `${faults.length} faults.`);
process.exit(faults.length === 0 ? 0 : 1);
