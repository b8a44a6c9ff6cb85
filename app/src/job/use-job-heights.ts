import { useEffect, useMemo, useState } from 'react';
import type { HeightsOfRoom, RoomSet } from '@maquette/core';
import { nowUtc } from '../data/ids.ts';
import { useBook, type ShownBook } from '../data/use-facts.ts';
import { openDesk } from '../worker/ask.ts';
import { useRoomSets } from '../worker/use-room-sets.ts';

/** A room of a job with its heights; null while they are worked out. */
export interface RoomOfJob {
  set: RoomSet;
  heights: HeightsOfRoom | null;
}

interface Known {
  writes: string;
  heights: HeightsOfRoom;
}

/** One job with every room whose facts are here, each judged in turn in one worker; what has not changed is judged once. */
export function useJobHeights(jobId: string): {
  book: ShownBook;
  rooms: RoomOfJob[];
  left: number;
  failed: string | null;
} {
  const book = useBook();
  const own = useMemo(() => ({ ...book, rooms: book.rooms.filter((room) => room.jobId === jobId) }), [book, jobId]);
  const questions = useRoomSets(own);
  const [known, setKnown] = useState<ReadonlyMap<string, Known>>(new Map());
  const [failed, setFailed] = useState<string | null>(null);
  const next = useMemo(
    () => questions.find(({ roomId, writes }) => known.get(roomId)?.writes !== writes) ?? null,
    [questions, known],
  );
  useEffect(() => {
    if (!next) return undefined;
    const { roomId, writes, set } = next;
    const desk = openDesk();
    let left = false;
    desk.ask({ kind: 'heights', set: set(), atUtc: nowUtc(), after: null }, (heights, reason) => {
      if (left) return;
      setFailed(reason);
      if (heights) setKnown((before) => new Map(before).set(roomId, { writes, heights }));
    });
    return () => {
      left = true;
      desk.stop();
    };
  }, [next]);
  const rooms = useMemo(
    () => questions.map((question) => ({ set: question.set(), heights: known.get(question.roomId)?.heights ?? null })),
    [questions, known],
  );
  return { book, rooms, left: questions.filter((one) => known.get(one.roomId)?.writes !== one.writes).length, failed };
}
