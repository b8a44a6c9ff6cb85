import type { Fields } from '@maquette/core/fields';
import { fetchPart } from '../ui/fetch-part.ts';

/** The rules of every kind of fact and of every form come in a file of their own: a fifth of the app. */
function createRules() {
  let here: typeof import('./write-rules.ts') | null = null;
  const fetch = async () => (here ??= await fetchPart(() => import('./write-rules.ts')));
  return {
    here: () => here?.problemsOf ?? null,
    fetch: async () => (await fetch()).problemsOf,
    /** What a form asks of its fields. */
    resolverOf: async (fields: Fields) => (await fetch()).resolverOf(fields),
  };
}

export const rules = createRules();
