import 'fake-indexeddb/auto';
import { expect, test, vi } from 'vitest';

/** As the first version of the application left it on a phone. */
async function leaveFirstVersion(): Promise<void> {
  const request = indexedDB.open('fleet-sparrow', 10);
  request.onupgradeneeded = () => {
    for (const [name, keyPath] of [
      ['outbox', 'uuid'],
      ['entries', 'key'],
      ['finishes', 'sessionId'],
      ['runs', 'sessionId'],
    ] as const)
      request.result.createObjectStore(name, { keyPath });
    const outbox = request.transaction?.objectStore('outbox');
    outbox?.put({ uuid: 'a', mark: { value: 7, supersedesUuid: 'b' } });
    outbox?.put({ uuid: 'c', mark: { value: 8, supersedesUuid: null } });
  };
  await new Promise((opened) => {
    request.onsuccess = opened;
  });
  request.result.close();
}

test('what an older version kept is there, in the words of this one; all of what belongs together is kept or none of it', async () => {
  await leaveFirstVersion();
  const { storedAll, storedPut, storedRemove, storedTogether } = await import('./deviceStore');
  expect(await storedAll('outbox')).toEqual([
    { uuid: 'a', mark: { value: 7, supersedesUuids: ['b'] } },
    { uuid: 'c', mark: { value: 8 } },
  ]);
  await storedPut('notes', { uuid: 'n' });
  await storedRemove('outbox', 'a');
  expect([await storedAll('notes'), await storedAll('recaps'), await storedAll('outbox')]).toMatchObject([[{ uuid: 'n' }], [], [{ uuid: 'c' }]]);

  const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, item: unknown) {
    if (this.name === 'entries') throw new DOMException('full', 'QuotaExceededError');
    return this.add(item);
  });
  const both = () =>
    storedTogether([
      ['outbox', { uuid: 'd', mark: {} }],
      ['entries', { key: 'e' }],
    ]);
  await expect(both()).rejects.toThrow('full');
  full.mockRestore();
  expect([await storedAll('outbox'), await storedAll('entries')]).toMatchObject([[{ uuid: 'c' }], []]);
  await both();
  expect([await storedAll('outbox'), await storedAll('entries')]).toMatchObject([[{ uuid: 'c' }, { uuid: 'd' }], [{ key: 'e' }]]);
});
