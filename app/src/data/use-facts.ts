import { useMemo, useSyncExternalStore } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { Book, RoomFactsAnswer } from '@maquette/contract';
import { findCard, type CoveringCard } from '@maquette/core/coverings';
import type { FlatFacts } from '@maquette/core/flat';
import type { RoomFacts } from '@maquette/core/room';
import { api } from './api.ts';
import { bookKey, roomKey } from './client.ts';
import { overlay, type Shown } from './merge.ts';
import { outbox, type OutboxState } from './outbox.ts';

export function useOutbox(): OutboxState {
  return useSyncExternalStore(outbox.subscribe, outbox.get, outbox.get);
}

export interface ShownBook {
  loading: boolean;
  jobs: Shown<'jobs'>[];
  rooms: Shown<'rooms'>[];
  cards: Shown<'cards'>[];
}

const byRank = (a: { rank: number; id: string }, b: { rank: number; id: string }) =>
  a.rank - b.rank || (a.id < b.id ? -1 : 1);

/** Jobs, rooms and cards as they are on this device. */
export function useBook(): ShownBook {
  const { data, isPending } = useQuery({
    queryKey: bookKey,
    queryFn: () => api<Book>('/api/book'),
    refetchInterval: 20_000,
  });
  const { waiting, loaded } = useOutbox();
  return useMemo(
    () => ({
      loading: (isPending && !data) || !loaded,
      jobs: overlay('jobs', data?.jobs ?? [], waiting).sort(byRank),
      rooms: overlay('rooms', data?.rooms ?? [], waiting).sort(byRank),
      cards: overlay('cards', data?.cards ?? [], waiting),
    }),
    [data, isPending, waiting, loaded],
  );
}

export interface ShownRoom {
  room: Shown<'rooms'> | null;
  facts: RoomFacts | null;
  flat: FlatFacts;
  readings: Shown<'readings'>[];
  setups: Shown<'setups'>[];
  stations: Shown<'stations'>[];
  card: CoveringCard | null;
  loading: boolean;
}

/** Everything of one room as it is on this device. */
export function useRoom(roomId: string): ShownRoom {
  const book = useBook();
  const { waiting } = useOutbox();
  const room = book.rooms.find((other) => other.id === roomId) ?? null;
  const unsent = waiting.some((write) => write.kind === 'rooms' && write.id === roomId && write.baseVersion === 0);
  const { data, isPending } = useQuery({
    queryKey: roomKey(roomId),
    queryFn: () => api<RoomFactsAnswer>(`/api/rooms/${roomId}/facts`),
    enabled: !unsent,
    refetchInterval: 12_000,
  });
  const parts = useMemo(
    () => ({
      setups: overlay('setups', data?.setups ?? [], waiting, roomId),
      stations: overlay('stations', data?.stations ?? [], waiting, roomId),
      readings: overlay('readings', data?.readings ?? [], waiting, roomId),
    }),
    [data, waiting, roomId],
  );
  const absent = data === undefined;
  const card = room ? findCard(book.cards as unknown as CoveringCard[], room.cardId) : null;
  return useMemo(
    () => ({
      room,
      facts: room as unknown as RoomFacts | null,
      flat: parts as unknown as FlatFacts,
      ...parts,
      card,
      loading: book.loading || (isPending && absent && !unsent),
    }),
    // The room object is rebuilt with the book; its version and write tell whether it changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [room?.writeId, room?.version, parts, card, book.loading, isPending, absent, unsent],
  );
}
