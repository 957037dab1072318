import type { output, ZodMiniType } from 'zod/mini';
import type * as schemas from './schemas';

type Schemas = typeof schemas;

/** A schema by its name, fetched when there is something to read. */
export const read =
  <Name extends keyof Schemas>(name: Name) =>
  async (): Promise<ZodMiniType<output<Schemas[Name]>>> =>
    (await import('./schemas'))[name] as unknown as ZodMiniType<output<Schemas[Name]>>;
