import { storedAll, storedPut, storedRemove, type TableName } from './deviceStore';

/**
 * A table of the device's store that never fails: what the store will not take (full, denied, absent) is kept in the page, and
 * whoever asks is told. What the page keeps counts before what the store has.
 */
export class Shelf<T extends object, K extends string | number> {
  private readonly inPage = new Map<string, T>();

  constructor(
    private readonly table: TableName,
    private readonly keyOf: (item: T) => K,
    private readonly onTrouble: () => void,
  ) {}

  /** How many items only this page keeps. */
  get unkept(): number {
    return this.inPage.size;
  }

  /** Whether the store took it; in any case it is there. */
  async put(item: T): Promise<boolean> {
    try {
      await storedPut(this.table, item);
      this.storeHas(item);
      return true;
    } catch {
      this.inPage.set(String(this.keyOf(item)), item);
      this.onTrouble();
      return false;
    }
  }

  /** The store took it in a transaction with others: what the page kept of it before is past. */
  storeHas(item: T): void {
    this.inPage.delete(String(this.keyOf(item)));
  }

  async all(): Promise<T[]> {
    let stored: T[] = [];
    try {
      stored = (await storedAll(this.table)) as T[];
    } catch {
      this.onTrouble();
    }
    return [...stored.filter((item) => !this.inPage.has(String(this.keyOf(item)))), ...this.inPage.values()];
  }

  async get(key: K): Promise<T | undefined> {
    return this.inPage.get(String(key)) ?? (await this.all()).find((item) => String(this.keyOf(item)) === String(key));
  }

  async remove(key: K): Promise<void> {
    this.inPage.delete(String(key));
    try {
      await storedRemove(this.table, key);
    } catch {
      // It would be sent once more, and the server would say that it has it.
      this.onTrouble();
    }
  }
}
