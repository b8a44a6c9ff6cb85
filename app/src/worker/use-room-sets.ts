import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useQueries } from '@tanstack/react-query';
import type { RoomSet } from '@maquette/core';
import { findCard } from '@maquette/core/coverings';
import { joinedRooms } from '@maquette/facts/joined-rooms';
import { createPlainFacts } from '@maquette/facts/plain-facts';
import { nextRead, roomKey } from '../data/client.ts';
import { store } from '../data/device.ts';
import { writesOf } from '../data/judged-from.ts';
import { testsOf, type ShownBook } from '../data/use-facts.ts';
import { whenIdle } from '../data/when-idle.ts';

/** One room to be judged, with what tells whether it was judged before. */
export interface RoomToJudge {
  roomId: string;
  set: () => RoomSet;
  /** Every answer of the room: what was chosen among ways too, which nothing is judged by. */
  answers: () => RoomSet['answers'];
  writes: string;
}

/** Every room of a book whose facts are here, with all that it is judged from. */
export function useRoomSets(book: ShownBook): RoomToJudge[] {
  const [maker] = useState(createPlainFacts);
  // What is held of a room is shown first; whether it has changed since is asked once the screen stands.
  const [standing, setStanding] = useState(false);
  useEffect(() => whenIdle(() => setStanding(true)), []);
  const rooms = useQueries({
    queries: book.rooms.map((room) => ({
      queryKey: roomKey(room.id),
      queryFn: () => store.readRoom(room.id),
      enabled: !store.isUnsent(room.id) && (standing || testsOf(room.id) === undefined),
      staleTime: 10_000,
      refetchInterval: nextRead(0),
    })),
    combine: (answers) => answers.map(({ data }) => data),
  });
  // Rooms read and rooms changed on this device alike: the store tells of both.
  const ids = useMemo(() => book.rooms.map((room) => room.id), [book.rooms]);
  const lists = useSyncExternalStore(store.subscribe, () => store.rooms(ids));
  return useMemo(
    () =>
      book.rooms.flatMap((room, i): RoomToJudge[] => {
        const own = book.cards.map((card) => maker.card(card));
        const card = findCard(own, room.cardId);
        const shown = lists[i];
        if (!card || !shown || (!rooms[i] && !store.isUnsent(room.id))) return [];
        const like = maker.like(room, book, testsOf);
        const near = joinedRooms(room, book.rooms).flatMap((other) => {
          const there = lists[book.rooms.indexOf(other)];
          return there ? [{ room: other, lists: there }] : [];
        });
        // Most rooms were judged before: the set is made of those alone that were not.
        const facts = () => maker.factsOf(room, shown, book, testsOf, near);
        const set = () => maker.setOf(facts(), maker.room(room), card);
        return [
          {
            roomId: room.id,
            set,
            answers: () => facts().answers,
            writes: writesOf(room, card.id, book, shown, like, near),
          },
        ];
      }),
    [book, lists, rooms, maker],
  );
}
