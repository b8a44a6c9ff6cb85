import { createFactStore } from './fact-store.ts';
import { createHistory } from './history.ts';
import { createPersistence, createQueries } from './client.ts';
import { createOutbox } from './outbox.ts';
import { rules } from './rules.ts';
import { browserDisk } from './outbox-disk.ts';
import { thisDevice } from './who.ts';

/** What this device holds and does with facts, put together once: everything else is handed what it needs of it. */
export const outbox = createOutbox(browserDisk(), thisDevice);
export const queries = createQueries(outbox);
export const persistence = createPersistence(outbox);
export const store = createFactStore(queries, outbox);
export const history = createHistory(store, outbox, rules);
