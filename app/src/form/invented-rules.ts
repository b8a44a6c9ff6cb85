import type { Fields } from '@maquette/core/fields';
import { problemsOf, resolverOf } from '../data/write-rules.ts';

/** The rules as tests have them: at once, where the app fetches them. */
export const rules = {
  here: () => problemsOf,
  fetch: async () => problemsOf,
  resolverOf: async (fields: Fields) => resolverOf(fields),
};
