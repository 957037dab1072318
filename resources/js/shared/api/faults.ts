import { ApiError } from './client';

/** What a refused write says, by field; `form` is what belongs to none. */
export function faultsOf(error: Error | null): { at: (path: string) => string | undefined; form: string | undefined } {
  const fields = error instanceof ApiError ? error.fields : [];
  return {
    at: (path) => fields.find((field) => field.path === path)?.message,
    form: error !== null && fields.length === 0 ? error.message : undefined,
  };
}
