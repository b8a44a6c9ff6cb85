import { QueryClient, type Query } from '@tanstack/react-query';
import type { PersistedClient, Persister } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import { Unreachable } from './api.ts';
import type { Outbox } from './outbox.ts';

export const bookKey = ['book'] as const;
export const roomKey = (roomId: string) => ['room', roomId] as const;

/** Queries are always tried: whether there is signal is learnt from the answer, not from the browser's guess. */
export function createQueries(outbox: Pick<Outbox, 'noteReachable'>): QueryClient {
  const queries = new QueryClient({
    defaultOptions: {
      queries: {
        networkMode: 'always',
        retry: false,
        staleTime: 5_000,
        gcTime: Infinity,
        refetchOnMount: 'always',
        refetchOnWindowFocus: true,
      },
    },
  });
  queries.getQueryCache().subscribe((event) => {
    if (event.type !== 'updated') return;
    if (event.action.type === 'success') outbox.noteReachable(true);
    if (event.action.type === 'error' && event.action.error instanceof Unreachable) outbox.noteReachable(false);
  });
  return queries;
}

/** How long until a read is made again when nothing has come back yet, ms: somebody is looking at an empty screen. */
const AGAIN_MS = 1_500;

/** Time to the next read: `usualMs`, but soon while there is nothing to show. */
export const nextRead =
  (usualMs: number) =>
  ({ state }: { state: { data: unknown } }): number =>
    state.data === undefined ? AGAIN_MS : usualMs;

const KEY = 'maquette-cache';
const KEEP_AFTER_MS = 250;

/** What the server last said, kept in IndexedDB for a start without signal. The user's own writes are not in here: see the outbox. */
export function createPersistence(outbox: Pick<Outbox, 'answered' | 'forget'>) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const persister: Persister = {
    persistClient(client: PersistedClient) {
      clearTimeout(timer);
      // Everything answered by now is in this snapshot; what is answered later belongs to the next one.
      const kept = outbox.answered();
      timer = setTimeout(() => {
        void set(KEY, client).then(() => outbox.forget(kept));
      }, KEEP_AFTER_MS);
    },
    restoreClient: () => get<PersistedClient>(KEY),
    removeClient: () => del(KEY),
  };
  return {
    persister,
    maxAge: Infinity,
    // Facts of an earlier shape are read anew; what the user entered and has not sent lies in the outbox.
    buster: '4',
    dehydrateOptions: {
      shouldDehydrateQuery: (query: Query) => query.state.data !== undefined,
      shouldDehydrateMutation: () => false,
    },
  };
}
