import type { output, ZodMiniType } from 'zod/mini';

/** Schemas of one file by their names; the file is fetched when there is something to read. */
export const readerOf =
  <Schemas extends object>(load: () => Promise<Schemas>) =>
  <Name extends keyof Schemas>(name: Name) =>
  async (): Promise<ZodMiniType<output<Schemas[Name]>>> =>
    (await load())[name] as unknown as ZodMiniType<output<Schemas[Name]>>;

export const read = readerOf(() => import('./schemas'));
