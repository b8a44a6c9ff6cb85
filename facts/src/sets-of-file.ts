import type { RoomSet } from '@maquette/core';
import { findCard } from '@maquette/core/coverings';
import type { FiledFact, JobFile } from './job-file.ts';
import { withoutCard } from './job-facts.ts';
import { joinedRooms } from './joined-rooms.ts';
import { BOOK_FACT_KINDS, listsOf, ROOM_FACT_KINDS, type FactKind, type RoomLists } from './kinds.ts';
import type { BookFacts, RoomFactsOf } from './fact-lists.ts';
import { createPlainFacts } from './plain-facts.ts';

/** One room of a job with all that it is judged from, and every answer of it: what was chosen among ways too. */
export interface SetOfRoom {
  set: RoomSet;
  answers: RoomSet['answers'];
}

/** A job as its file holds it, read as every phone reads it. */
export interface ReadJob {
  jobId: string;
  book: BookFacts;
  rooms: SetOfRoom[];
  /** Names of the rooms that have no card to be judged by. */
  unjudged: string[];
}

/** A fact as it stands: its body, and what storing added. */
const asStored = ({
  kind: _kind,
  replaced: _replaced,
  body,
  roomId,
  order = 0,
  made = null,
  first = null,
  ...of
}: FiledFact) => ({
  ...body,
  ...of,
  order,
  made,
  first,
  ...(roomId === null ? {} : { roomId }),
});

/**
 * Rooms of a job file as they are judged, in their order: what was removed is left out; a room whose card is gone is named.
 *
 * @throws TypeError where the file holds no job
 */
export function readJob({ facts }: Pick<JobFile, 'facts'>): ReadJob {
  const standing = facts.filter(({ deletedAt }) => deletedAt === null);
  const job = standing.find(({ kind }) => kind === 'jobs');
  if (!job) throw new TypeError('no-job');
  const of = (kind: FactKind, roomId: string | null = null) =>
    standing.filter((fact) => fact.kind === kind && (roomId === null || fact.roomId === roomId)).map(asStored);
  // Each list holds the facts of its kind: they passed their class when they were entered.
  const book = listsOf(BOOK_FACT_KINDS, (kind) => of(kind)) as object as BookFacts;
  const rooms = [...book.rooms].sort((a, b) => a.rank - b.rank || (a.id < b.id ? -1 : 1));
  const lists = new Map(
    rooms.map(({ id }) => [id, listsOf(ROOM_FACT_KINDS, (kind) => of(kind, id)) as object as RoomFactsOf]),
  );
  const maker = createPlainFacts();
  const testsOf = (roomId: string) => lists.get(roomId) as RoomLists | undefined;
  const cards = book.cards.map((card) => maker.card(card));
  return {
    jobId: job.id,
    book,
    unjudged: withoutCard(rooms, book.cards).map(({ name }) => name),
    rooms: rooms.flatMap((room): SetOfRoom[] => {
      const card = findCard(cards, room.cardId);
      if (!card) return [];
      const near = joinedRooms(room, rooms).map((other) => ({ room: other, lists: lists.get(other.id)! }));
      const plain = maker.factsOf(room, lists.get(room.id)!, book, testsOf, near);
      return [{ set: maker.setOf(plain, maker.room(room), card), answers: plain.answers }];
    }),
  };
}
