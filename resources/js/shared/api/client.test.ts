import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import * as z from 'zod/mini';

const fetched = vi.fn<() => Promise<Response>>();
const schema = z.object({ name: z.string(), size: z._default(z.number(), 5) });
const answer = (body: unknown, contract?: string, status = 200) =>
  fetched.mockResolvedValueOnce(
    new Response(status === 204 ? null : typeof body === 'string' ? body : JSON.stringify(body), {
      status,
      headers: contract === undefined ? {} : { 'X-Contract': contract },
    }),
  );

async function client(contract: string) {
  vi.resetModules();
  vi.stubEnv('VITE_CONTRACT', contract);
  return { ...(await import('./client')), ...(await import('./runQueries')) };
}

beforeEach(() => {
  vi.stubGlobal('fetch', fetched);
});
afterEach(() => {
  vi.unstubAllEnvs();
  vi.unstubAllGlobals();
});

test('a server of the same contract is believed, without the schemas being fetched', async () => {
  const { getJson } = await client('abc');
  const reader = vi.fn(() => Promise.resolve(schema));
  answer({ name: 'Bo', size: 4 }, 'abc');
  expect(await getJson('/one', reader)).toEqual({ name: 'Bo', size: 4 });
  expect(reader).not.toHaveBeenCalled();
});

test.each([['another'], [undefined]])('what a server of contract %s answers is read and filled up', async (other) => {
  const { getJson } = await client('abc');
  const reader = () => Promise.resolve(schema);
  answer({ name: 'Bo' }, other);
  expect(await getJson('/one', reader)).toEqual({ name: 'Bo', size: 5 });
  answer({ name: 7 }, other);
  await expect(getJson('/one', reader)).rejects.toMatchObject({ kind: 'contract' });
});

test('a page that knows no contract believes nobody', async () => {
  const { getJson } = await client('');
  answer({ name: 7 }, '');
  await expect(getJson('/one', schema)).rejects.toMatchObject({ kind: 'contract' });
});

test('what is no answer at all is no answer of the server, whatever stands in its head', async () => {
  const { getJson } = await client('abc');
  answer('<h1>Sign in to this network</h1>', 'abc');
  await expect(getJson('/one', schema)).rejects.toMatchObject({ kind: 'away' });
  answer('', 'abc', 204);
  await expect(getJson('/one', z.undefined())).resolves.toBeUndefined();
});

test('schemas that cannot be fetched are a connection that is missing', async () => {
  const { getJson } = await client('abc');
  answer({ name: 'Bo' }, 'other');
  await expect(getJson('/one', () => Promise.reject(new TypeError('Failed to fetch')))).rejects.toMatchObject({ kind: 'offline' });
});

test('what stands there instead comes with a stale write, read as the answer itself is', async () => {
  const { callApi } = await client('abc');
  const write = () => callApi('/one', schema, { method: 'PUT', body: {} });
  vi.stubGlobal('document', { cookie: '' });
  answer({ current: { name: 'Bo' } }, 'other', 412);
  await expect(write()).rejects.toMatchObject({ kind: 'stale', current: { name: 'Bo', size: 5 } });
  answer({ current: { name: 7 } }, 'other', 412);
  await expect(write()).rejects.toMatchObject({ kind: 'stale', current: undefined });
  answer({ current: { name: 'Bo', size: 4 } }, 'abc', 412);
  await expect(write()).rejects.toMatchObject({ kind: 'stale', current: { name: 'Bo', size: 4 } });
});

test('a pack that was kept by the same contract is taken as it is', async () => {
  const { keptPack } = await client('abc');
  const pack = { segments: 'whatever' };
  expect(await keptPack(pack, 'abc')).toBe(pack);
  expect(await keptPack(pack, 'before')).toBeUndefined();
});
