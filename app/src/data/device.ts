import { createFactStore } from './fact-store.ts';
import { createHistory, type Rules } from './history.ts';
import { createPersistence, createQueries } from './client.ts';
import { createOutbox } from './outbox.ts';
import { fetchPart } from '../ui/fetch-part.ts';
import { browserDisk } from './outbox-disk.ts';
import { thisDevice } from './who.ts';

/** The rules of every kind of fact come in a file of their own. */
function createRules(): Rules {
  let check: ReturnType<Rules['here']> = null;
  return {
    here: () => check,
    fetch: async () => (check ??= (await fetchPart(() => import('./write-rules.ts'))).problemsOf),
  };
}

/** What this device holds and does with facts, put together once: everything else is handed what it needs of it. */
export const outbox = createOutbox(browserDisk(), thisDevice);
export const queries = createQueries(outbox);
export const persistence = createPersistence(outbox);
export const store = createFactStore(queries, outbox);
export const rules = createRules();
export const history = createHistory(store, outbox, rules);
