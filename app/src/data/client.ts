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
import { api, Unreachable } from './api.ts';

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

/** How long until a read is made again when nothing has come back yet, ms: somebody is looking at an empty screen. */
const AGAIN_MS = 1_500;

/** Time to the next read: `usualMs`, but soon while there is nothing to show. */
export const nextRead =
  (usualMs: number) =>
  ({ state }: { state: { data: unknown } }): number =>
    state.data === undefined ? AGAIN_MS : usualMs;

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

/** Facts answered while some read was on its way: that read may have been made before they were stored. */
const meanwhile: { kind: FactKind; fact: FactOf<FactKind> }[] = [];
let reading = 0;

/** Reads what the server holds, with what it has taken since the question was put laid over the answer. */
async function freshly<T extends Book | RoomFactsAnswer>(
  read: () => Promise<T>,
  lay: (held: T, kind: FactKind, fact: FactOf<FactKind>) => T,
): Promise<T> {
  const from = meanwhile.length;
  reading++;
  try {
    const answer = await read();
    return meanwhile.slice(from).reduce((held, { kind, fact }) => lay(held, kind, fact), answer);
  } finally {
    reading--;
    if (reading === 0) meanwhile.length = 0;
  }
}

const isBookKind = (kind: FactKind): kind is BookFactKind => (BOOK_FACT_KINDS as readonly FactKind[]).includes(kind);

function layInBook(book: Book, kind: FactKind, fact: FactOf<FactKind>): Book {
  return isBookKind(kind) ? { ...book, [kind]: withFact(book[kind] as never[], fact as never) } : book;
}

function layInRoom(roomId: string, held: RoomFactsAnswer, kind: FactKind, fact: FactOf<FactKind>): RoomFactsAnswer {
  if (isBookKind(kind) || (fact as FactOf<'readings'>).roomId !== roomId) return held;
  return { ...held, [kind]: withFact((held[kind as RoomFactKind] ?? []) as never[], fact as never) };
}

export const readBook = (): Promise<Book> => freshly(() => api<Book>('/api/book'), layInBook);

export const readRoom = (roomId: string): Promise<RoomFactsAnswer> =>
  freshly(
    () => api<RoomFactsAnswer>(`/api/rooms/${roomId}/facts`),
    (held, kind, fact) => layInRoom(roomId, held, kind, fact),
  );

/** Lays a stored fact into what is cached, so that it does not vanish between leaving the outbox and the next read. */
export function cacheStored(kind: FactKind, fact: FactOf<FactKind>): void {
  if (reading > 0) meanwhile.push({ kind, fact });
  if (isBookKind(kind)) {
    queryClient.setQueryData<Book>(bookKey, (book) => layInBook({ ...EMPTY_BOOK, ...book }, kind, fact));
    // A room made on this device has nothing in it on the server yet: the screen goes on without asking, and loses nothing open.
    if (kind === 'rooms' && fact.version === 1)
      queryClient.setQueryData<RoomFactsAnswer>(roomKey(fact.id), (held) => held ?? EMPTY_ROOM);
    return;
  }
  const roomId = (fact as FactOf<'readings'>).roomId;
  queryClient.setQueryData<RoomFactsAnswer>(roomKey(roomId), (held) =>
    layInRoom(roomId, { ...EMPTY_ROOM, ...held }, kind, fact),
  );
}
