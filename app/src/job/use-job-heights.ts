import { useEffect, useMemo, useState } from 'react';
import type { HeightsOfRoom, RoomSet } from '@maquette/core';
import { nowUtc } from '../data/ids.ts';
import { useBook, type ShownBook } from '../data/use-facts.ts';
import { openDesk } from '../worker/ask.ts';
import { askLevelled, chosenOf } from './levelled-heights.ts';
import { useRoomSets } from '../worker/use-room-sets.ts';

/** A room of a job with its heights; null while they are worked out. */
export interface RoomOfJob {
  set: RoomSet;
  /** Every answer of the room: what was chosen among ways too. */
  answers: RoomSet['answers'];
  heights: HeightsOfRoom | null;
}

interface Known {
  writes: string;
  heights: HeightsOfRoom;
}

/**
 * One job with every room whose facts are here, each judged in turn in one worker; what has not changed is judged once. Over the floors as
 * they lie, or as the levelling that was chosen for each leaves them.
 */
export function useJobHeights(
  jobId: string,
  isLevelled = false,
): {
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
  const asked = useMemo(
    () =>
      questions.map((question) => ({
        ...question,
        key: isLevelled ? `levelled/${question.roomId}` : question.roomId,
        // What was chosen for the levelling moves the levelled floor alone.
        writes: isLevelled ? `${question.writes}/${chosenOf(question.answers())}` : question.writes,
      })),
    [questions, isLevelled],
  );
  const next = useMemo(
    () => asked.find(({ key, writes }) => known.get(key)?.writes !== writes) ?? null,
    [asked, known],
  );
  useEffect(() => {
    if (!next) return undefined;
    const { key, writes, set, answers } = next;
    const desk = openDesk();
    let left = false;
    const told = (heights: HeightsOfRoom | null, reason: string | null) => {
      if (left) return;
      setFailed(reason);
      if (heights) setKnown((before) => new Map(before).set(key, { writes, heights }));
    };
    if (isLevelled) askLevelled(desk, { set: set(), answers: answers() }, told);
    else desk.ask({ kind: 'heights', set: set(), atUtc: nowUtc(), after: null }, told);
    return () => {
      left = true;
      desk.stop();
    };
  }, [next, isLevelled]);
  const rooms = useMemo(
    () =>
      asked.map(({ key, set, answers }) => ({
        set: set(),
        answers: answers(),
        heights: known.get(key)?.heights ?? null,
      })),
    [asked, known],
  );
  return { book, rooms, left: asked.filter(({ key, writes }) => known.get(key)?.writes !== writes).length, failed };
}
