import { useMemo, useState, useSyncExternalStore } from 'react';
import { useQueries, useQuery } from '@tanstack/react-query';
import type { RoomSet } from '@maquette/core';
import { findCard, type CoveringCard } from '@maquette/core/coverings';
import type { RoomFacts } from '@maquette/core/room';
import type { RoomLists } from '@maquette/facts';
import { bookKey, nextRead, roomKey } from './client.ts';
import { joinedRooms, type Near } from '@maquette/facts/joined-rooms';
import { outbox, queries, store } from './device.ts';
import { writesOf } from './judged-from.ts';
import type { ShownBookLists, ShownRoomLists } from './fact-store.ts';
import type { Shown } from './lay.ts';
import type { OutboxState } from './outbox.ts';
import { createPlainFacts, type PlainFacts } from '@maquette/facts/plain-facts';

export function useOutbox(): OutboxState {
  return useSyncExternalStore(outbox.subscribe, outbox.get, outbox.get);
}

/** A part of the outbox: whoever shows it is not troubled by the rest. */
function useOutboxPart<T extends string | number | boolean>(part: (state: OutboxState) => T): T {
  return useSyncExternalStore(outbox.subscribe, () => part(outbox.get()));
}

export interface ShownBook extends ShownBookLists {
  loading: boolean;
}

const byRank = (a: { rank: number; id: string }, b: { rank: number; id: string }) =>
  a.rank - b.rank || (a.id < b.id ? -1 : 1);

/** Jobs, rooms and cards as they are on this device. */
export function useBook(): ShownBook {
  const { data, isPending } = useQuery({
    queryKey: bookKey,
    queryFn: store.readBook,
    refetchInterval: nextRead(20_000),
  });
  const lists = useSyncExternalStore(store.subscribe, store.book);
  const loaded = useOutboxPart((state) => state.loaded);
  const loading = (isPending && !data) || !loaded;
  return useMemo(
    () => ({
      ...lists,
      loading,
      jobs: [...lists.jobs].sort(byRank),
      rooms: [...lists.rooms].sort(byRank),
    }),
    [lists, loading],
  );
}

export interface ShownRoom extends ShownRoomLists {
  room: Shown<'rooms'> | null;
  /** The room without what storing added: the same object while nothing of it changes. */
  facts: RoomFacts | null;
  job: Shown<'jobs'> | null;
  card: CoveringCard | null;
  /** Its facts, and what of the job bears on it, as they are judged. */
  plain: PlainFacts;
  /** All that it is judged from; null until room and card are here. */
  set: RoomSet | null;
  /** Every write that bears on it, in one line. */
  writes: string;
  loading: boolean;
}

/** Damp tests of a room as this device last heard of them. */
export const testsOf = (roomId: string) => queries.getQueryData<RoomLists>(roomKey(roomId));

/** Everything of one room as it is on this device. */
export function useRoom(roomId: string): ShownRoom {
  const book = useBook();
  const [maker] = useState(createPlainFacts);
  const unsent = useOutboxPart(() => store.isUnsent(roomId));
  const { data, isPending } = useQuery({
    queryKey: roomKey(roomId),
    queryFn: () => store.readRoom(roomId),
    enabled: !unsent,
    refetchInterval: nextRead(12_000),
  });
  const lists = useSyncExternalStore(store.subscribe, () => store.room(roomId));
  const room = book.rooms.find((other) => other.id === roomId) ?? null;
  const job = book.jobs.find((other) => other.id === room?.jobId) ?? null;
  const near = useNear(room, book);
  const own = useMemo(() => book.cards.map((card) => maker.card(card)), [book.cards, maker]);
  const card = room ? findCard(own, room.cardId) : null;
  const plain = useMemo(
    () => maker.factsOf(room ?? NO_ROOM, lists, book, testsOf, near),
    [maker, room, lists, book, near],
  );
  const facts = useMemo(() => room && maker.room(room), [maker, room]);
  const set = useMemo(() => (facts && card ? maker.setOf(plain, facts, card) : null), [maker, plain, facts, card]);
  const writes = useMemo(
    () => (room && card ? writesOf(room, card.id, book, lists, plain.like, near) : ''),
    [room, card, book, lists, plain, near],
  );
  const loading = book.loading || (isPending && data === undefined && !unsent);
  return useMemo(
    () => ({ ...lists, room, facts, job, card, plain, set, writes, loading }),
    [lists, room, facts, job, card, plain, set, writes, loading],
  );
}

/** Rooms joined to a room by shared openings, with their facts as they are on this device: fetched where they are not here yet. */
function useNear(room: Shown<'rooms'> | null, book: ShownBook): Near[] {
  const joined = useMemo(() => (room ? joinedRooms(room, book.rooms) : []), [room, book.rooms]);
  useQueries({
    queries: joined.map(({ id }) => ({
      queryKey: roomKey(id),
      queryFn: () => store.readRoom(id),
      enabled: !store.isUnsent(id),
      staleTime: 10_000,
    })),
  });
  const ids = useMemo(() => joined.map(({ id }) => id), [joined]);
  const lists = useSyncExternalStore(store.subscribe, () => store.rooms(ids));
  return useMemo(
    () => joined.flatMap((other, i) => (lists[i] ? [{ room: other, lists: lists[i] }] : [])),
    [joined, lists],
  );
}

/** Stands where the room is not here yet: nothing of it is shown. */
const NO_ROOM = { id: '', jobId: '' } as Shown<'rooms'>;
