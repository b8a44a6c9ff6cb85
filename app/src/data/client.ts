import { QueryClient, type Query } from '@tanstack/react-query';
import type { PersistedClient, Persister } from '@tanstack/react-query-persist-client';
import { del, get, set } from 'idb-keyval';
import {
  BOOK_FACT_KINDS,
  EMPTY_BOOK,
  EMPTY_ROOM,
  type Book,
  type BookFactKind,
  type FactKind,
  type FactOf,
  type RoomFactKind,
  type RoomFactsAnswer,
} from '@maquette/contract';
import { withFact } from './merge.ts';
import { answeredWrites, forget, noteReachable } from './outbox.ts';
import { Unreachable } from './api.ts';

export const bookKey = ['book'] as const;
export const roomKey = (roomId: string) => ['room', roomId] as const;

/** Queries are always tried: whether there is signal is learnt from the answer, not from the browser's guess. */
export const queryClient = new QueryClient({
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

queryClient.getQueryCache().subscribe((event) => {
  if (event.type !== 'updated') return;
  if (event.action.type === 'success') noteReachable(true);
  if (event.action.type === 'error' && event.action.error instanceof Unreachable) noteReachable(false);
});

const KEY = 'maquette-cache';
let timer: ReturnType<typeof setTimeout> | undefined;

/** What the server last said, kept in IndexedDB for a start without signal. The user's own writes are not in here: see the outbox. */
export const persister: Persister = {
  persistClient(client: PersistedClient) {
    clearTimeout(timer);
    // Everything answered by now is in this snapshot; what is answered later belongs to the next one.
    const kept = answeredWrites();
    timer = setTimeout(() => {
      void set(KEY, client).then(() => forget(kept));
    }, 250);
  },
  restoreClient: () => get<PersistedClient>(KEY),
  removeClient: () => del(KEY),
};

export const persistOptions = {
  persister,
  maxAge: Infinity,
  buster: '2',
  dehydrateOptions: {
    shouldDehydrateQuery: (query: Query) => query.state.data !== undefined,
    shouldDehydrateMutation: () => false,
  },
};

/** Lays a stored fact into what is cached, so that it does not vanish between leaving the outbox and the next read. */
export function cacheStored(kind: FactKind, fact: FactOf<FactKind>): void {
  if ((BOOK_FACT_KINDS as readonly FactKind[]).includes(kind)) {
    queryClient.setQueryData<Book>(bookKey, (book) => {
      const held = { ...EMPTY_BOOK, ...book };
      return { ...held, [kind]: withFact(held[kind as BookFactKind] as never[], fact as never) };
    });
    // A room made on this device has nothing in it on the server yet: the screen goes on without asking, and loses nothing open.
    if (kind === 'rooms' && fact.version === 1)
      queryClient.setQueryData<RoomFactsAnswer>(roomKey(fact.id), (held) => held ?? EMPTY_ROOM);
    return;
  }
  const roomId = (fact as FactOf<'readings'>).roomId;
  queryClient.setQueryData<RoomFactsAnswer>(roomKey(roomId), (facts) => {
    const held = { ...EMPTY_ROOM, ...facts };
    return { ...held, [kind]: withFact(held[kind as RoomFactKind] as never[], fact as never) };
  });
}
