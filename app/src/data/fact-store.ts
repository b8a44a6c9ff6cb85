import type { QueryClient } from '@tanstack/react-query';
import {
  bodyOf,
  BOOK_FACT_KINDS,
  emptyBook,
  emptyRoom,
  isBookKind,
  ROOM_FACT_KINDS,
  type Book,
  type FactKind,
  type FactOf,
  type RoomLists,
  type Stored,
} from '@maquette/facts';
import { api } from './api.ts';
import { bookKey, roomKey } from './client.ts';
import { factOf, laidOver, type Laid, type Shown } from './lay.ts';
import type { Answered, Outbox } from './outbox.ts';
import type { Waiting } from './waiting.ts';

type Lists<K extends FactKind> = { [Name in K]: Shown<Name>[] };
export type ShownBookLists = Lists<keyof Book>;
export type ShownRoomLists = Lists<keyof RoomLists>;

/** The newest version of a fact this device knows of, removed ones included. */
interface Held {
  version: number;
  body: Record<string, unknown>;
  deleted: boolean;
}

/**
 * What this device knows: what the server last said (held by the query client), what waits (the outbox), and what was answered
 * while a read was on its way, laid over one another by one rule. Lists whose facts are the same stay the very same lists, so
 * that whoever shows or judges one is not troubled by a change of another.
 */
export interface FactStore {
  readBook: () => Promise<Book>;
  readRoom: (roomId: string) => Promise<RoomLists>;
  /** Lays stored facts into what is cached, so that they do not vanish between leaving the outbox and the next read. */
  stored: (answered: readonly Answered[]) => void;
  book: () => ShownBookLists;
  room: (roomId: string) => ShownRoomLists;
  /** Several rooms, in the order asked for. */
  rooms: (roomIds: readonly string[]) => readonly ShownRoomLists[];
  /** Whether a room was made on this device and the server does not know of it yet. */
  isUnsent: (roomId: string) => boolean;
  held: (kind: FactKind, id: string, roomId: string | null) => Held | null;
  subscribe: (listener: () => void) => () => void;
}

type AnyLists = Record<string, readonly Stored[]>;

/** Keeps the lists made last, each with what it was made from. */
function createMemory() {
  const made = new Map<string, { data: unknown; waiting: readonly Waiting[]; list: Shown<FactKind>[] }>();
  const whole = new Map<string, Record<string, Shown<FactKind>[]>>();
  /** What the lists of a scope were last made from: most that is told of changes nothing in most scopes. */
  const from = new Map<string, { data: unknown; outbox: readonly Waiting[] }>();

  function listOf(name: string, data: readonly Stored[] | undefined, waiting: readonly Waiting[]): Shown<FactKind>[] {
    const before = made.get(name);
    const sameWaiting = before?.waiting.length === waiting.length && waiting.every((w, i) => w === before.waiting[i]);
    if (before && before.data === data && sameWaiting) return before.list;
    const held = (data ?? []).map((fact) => ({ ...(fact as FactOf<FactKind>), waiting: false }));
    const over = waiting.map((w): Laid<Shown<FactKind>> => ({ fact: { ...factOf(w), waiting: true }, waiting: true }));
    const list = laidOver(held, over);
    made.set(name, { data, waiting, list });
    return list;
  }

  return {
    /** A list of each kind under one scope; the same object while every list is. */
    lists<K extends FactKind>(
      scope: string,
      kinds: readonly K[],
      data: object | undefined,
      outbox: readonly Waiting[],
      own: (write: Waiting) => boolean,
    ) {
      const last = from.get(scope);
      let kept = whole.get(scope);
      if (!kept || last?.data !== data || last?.outbox !== outbox) {
        from.set(scope, { data, outbox });
        const waiting = outbox.filter(own);
        const before = kept;
        const next = Object.fromEntries(
          kinds.map((kind) => [
            kind,
            listOf(
              `${scope}/${kind}`,
              (data as AnyLists | undefined)?.[kind],
              waiting.filter((w) => w.kind === kind),
            ),
          ]),
        );
        kept = before && kinds.every((kind) => before[kind] === next[kind]) ? before : next;
        whole.set(scope, kept);
      }
      return kept as unknown as Lists<K>;
    },
  };
}

export function createFactStore(queries: QueryClient, outbox: Pick<Outbox, 'get' | 'subscribe'>): FactStore {
  const memory = createMemory();
  /** Facts answered while some read was on its way: that read may have been made before they were stored. */
  const meanwhile: Answered[] = [];
  let reading = 0;
  /** What `rooms` gave last for the same rooms: given again while each is the same. Several screens may ask for different ones. */
  const several = new Map<string, readonly ShownRoomLists[]>();

  const inScope = (kind: FactKind, fact: object, roomId: string | null) =>
    roomId === null ? isBookKind(kind) : !isBookKind(kind) && (fact as { roomId?: string }).roomId === roomId;

  /** Answers laid into lists of the book (`roomId` null) or of a room. */
  function laidIn<T extends Book | RoomLists>(lists: T, answers: readonly Answered[], roomId: string | null): T {
    const held: AnyLists = { ...lists };
    const next: Record<string, Stored[]> = {};
    for (const { kind, fact } of answers) {
      if (!inScope(kind, fact, roomId)) continue;
      const before = next[kind] ?? held[kind] ?? [];
      next[kind] = laidOver(before, [{ fact, waiting: false }]);
    }
    return { ...lists, ...next };
  }

  /** Reads what the server holds, with what it has taken since the question was put laid over the answer. */
  async function freshly<T extends Book | RoomLists>(path: string, roomId: string | null): Promise<T> {
    const from = meanwhile.length;
    reading++;
    try {
      const answer = await api<T>(path);
      return laidIn(answer, meanwhile.slice(from), roomId);
    } finally {
      reading--;
      if (reading === 0) meanwhile.length = 0;
    }
  }

  const ofBook = (write: Waiting) => isBookKind(write.kind);

  const store: FactStore = {
    readBook: () => freshly<Book>('/api/book', null),
    readRoom: (roomId) => freshly<RoomLists>(`/api/rooms/${roomId}/facts`, roomId),
    stored(answered) {
      if (reading > 0) meanwhile.push(...answered);
      if (answered.some(({ kind }) => isBookKind(kind)))
        queries.setQueryData<Book>(bookKey, (book) => laidIn({ ...emptyBook(), ...book }, answered, null));
      const rooms = new Set(answered.flatMap(({ fact }) => ('roomId' in fact ? [fact.roomId] : [])));
      // A room made on this device has nothing in it on the server yet: the screen goes on without asking, and loses nothing open.
      for (const { kind, fact } of answered) if (kind === 'rooms' && fact.version === 1) rooms.add(fact.id);
      for (const roomId of rooms)
        queries.setQueryData<RoomLists>(roomKey(roomId), (held) =>
          laidIn({ ...emptyRoom(), ...held }, answered, roomId),
        );
    },
    book: () =>
      memory.lists('book', BOOK_FACT_KINDS, queries.getQueryData<Book>(bookKey), outbox.get().waiting, ofBook),
    room: (roomId) =>
      memory.lists(
        roomId,
        ROOM_FACT_KINDS,
        queries.getQueryData<RoomLists>(roomKey(roomId)),
        outbox.get().waiting,
        (write) => write.roomId === roomId,
      ),
    rooms(roomIds) {
      const now = roomIds.map(store.room);
      const name = roomIds.join(' ');
      const before = several.get(name);
      if (before && now.every((lists, i) => lists === before[i])) return before;
      several.set(name, now);
      return now;
    },
    isUnsent: (roomId) =>
      outbox.get().waiting.some((w) => w.kind === 'rooms' && w.id === roomId && w.baseVersion === 0),
    held(kind, id, roomId) {
      const last = outbox.get().waiting.findLast((w) => w.id === id);
      if (last) return { version: last.baseVersion + 1, body: last.body, deleted: last.deleted };
      const lists: AnyLists = roomId === null ? store.book() : store.room(roomId);
      const fact = lists[kind]?.find((other) => other.id === id);
      return fact ? { version: fact.version, body: bodyOf(fact), deleted: false } : null;
    },
    subscribe(listener) {
      const stops = [outbox.subscribe(listener), queries.getQueryCache().subscribe(listener)];
      return () => stops.forEach((stop) => stop());
    },
  };
  return store;
}
