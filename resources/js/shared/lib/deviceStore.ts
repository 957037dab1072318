import { openDB, type IDBPDatabase } from 'idb';

/** What is kept on this device, table by table, and by which field its items are told apart. */
const tables = { outbox: 'uuid', entries: 'key', finishes: 'sessionId', runs: 'sessionId', recaps: 'sessionId', notes: 'uuid' };
export type TableName = keyof typeof tables;
const names = Object.keys(tables) as TableName[];

const NAME = 'fleet-sparrow';
/** Counted in tens from the beginning. */
const VERSION = 40;
/** From here on a mark names all it corrects. */
const NAMES_ALL = 20;

let opened: Promise<IDBPDatabase> | undefined;

/** Opened at the first need, and again where the browser has closed it; rejects where there is none or it is denied. */
function database(): Promise<IDBPDatabase> {
  opened ??= open();
  opened.catch(forget);
  return opened;
}
const forget = (): void => {
  opened = undefined;
};

type Waiting = { mark: { supersedesUuid?: string | null; supersedesUuids?: string[] } }[];
interface Marks {
  getAll: () => Promise<unknown[]>;
  put: (waiting: object) => Promise<unknown>;
}

async function nameAllCorrected(marks: Marks): Promise<void> {
  for (const waiting of (await marks.getAll()) as Waiting) {
    const { supersedesUuid, ...mark } = waiting.mark;
    if (supersedesUuid !== undefined) await marks.put({ ...waiting, mark: supersedesUuid ? { ...mark, supersedesUuids: [supersedesUuid] } : mark });
  }
}

async function open(): Promise<IDBPDatabase> {
  const store: IDBPDatabase = await openDB(NAME, VERSION, {
    upgrade(made, from, _to, change) {
      for (const name of names) if (!made.objectStoreNames.contains(name)) made.createObjectStore(name, { keyPath: tables[name] });
      if (from > 0 && from < NAMES_ALL) void nameAllCorrected(change.objectStore('outbox'));
    },
    // A newer version in another tab must not wait for this one.
    blocking() {
      store.close();
      forget();
    },
    terminated: forget,
  });
  return store;
}

export const storedAll = async (name: TableName): Promise<unknown[]> => (await database()).getAll(name);

export const storedPut = async (name: TableName, item: object): Promise<unknown> => (await database()).put(name, item);

export const storedRemove = async (name: TableName, key: string | number): Promise<void> => (await database()).delete(name, key);

/** All of them or none. */
export async function storedTogether(items: [TableName, object][]): Promise<void> {
  const change = (await database()).transaction(
    items.map(([name]) => name),
    'readwrite',
  );
  const done = change.done;
  done.catch(() => undefined);
  try {
    await Promise.all(items.map(async ([name, item]) => change.objectStore(name).put(item)));
  } catch (fault) {
    change.abort();
    throw fault;
  }
  await done;
}
