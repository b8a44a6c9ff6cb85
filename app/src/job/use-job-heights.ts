import { useEffect, useMemo, useState } from 'react';
import type { HeightsOfRoom, LevelledBy, RoomSet } from '@maquette/core';
import { nowUtc } from '../data/ids.ts';
import { useBook, type ShownBook } from '../data/use-facts.ts';
import { openDesk, type Desk } from '../worker/ask.ts';
import { chosenOf } from './chosen-of.ts';
import { askChange } from './levelled-heights.ts';
import { useRoomSets, type RoomToJudge } from '../worker/use-room-sets.ts';

/** A room of a job with its heights; null while they are worked out. */
export interface RoomOfJob {
  set: RoomSet;
  /** Every answer of the room: what was chosen among ways too. */
  answers: RoomSet['answers'];
  heights: HeightsOfRoom | null;
}

type Known = { writes: string } & ({ heights: HeightsOfRoom } | { change: LevelledBy | null });

/** One thing to work out: what levels a room, or its heights; `writes` tells whether it was worked out before. */
interface Task {
  key: string;
  isOf: 'change' | 'heights';
  writes: string;
  run: (desk: Desk, told: (known: Known | null, failed: string | null) => void) => void;
}

/** What has to be known, in its order: over levelled floors first what levels each room, for a step stands between two of them. */
function tasksOf(questions: readonly RoomToJudge[], isLevelled: boolean, known: ReadonlyMap<string, Known>): Task[] {
  const ofChange = ({ roomId }: RoomToJudge) => `change/${roomId}`;
  const changed = (question: RoomToJudge) => `${question.writes}/${chosenOf(question.answers())}`;
  const changes: Task[] = isLevelled
    ? questions.map((question): Task => ({
        key: ofChange(question),
        isOf: 'change',
        writes: changed(question),
        run: (desk, told) =>
          askChange(desk, { set: question.set(), answers: question.answers() }, (change, failed) =>
            told(failed ? null : { writes: changed(question), change }, failed),
          ),
      }))
    : [];
  const all = questions.map(changed).join('/');
  const levelling = (question: RoomToJudge) => {
    const held = known.get(ofChange(question));
    return held && 'change' in held ? held.change : null;
  };
  return [
    ...changes,
    ...questions.map((question): Task => {
      const writes = isLevelled ? all : question.writes;
      return {
        key: heightsKey(question.roomId, isLevelled),
        isOf: 'heights',
        writes,
        run: (desk, told) => {
          const others = new Map(
            questions.flatMap((one): [string, LevelledBy][] => {
              const change = isLevelled ? levelling(one) : null;
              return change ? [[one.roomId, change]] : [];
            }),
          );
          const after = others.get(question.roomId) ?? null;
          desk.ask({ kind: 'heights', set: question.set(), atUtc: nowUtc(), after, others }, (heights, failed) =>
            told(heights && { writes, heights }, failed),
          );
        },
      };
    }),
  ];
}

const heightsKey = (roomId: string, isLevelled: boolean) => (isLevelled ? `levelled/${roomId}` : roomId);

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
  const tasks = useMemo(() => tasksOf(questions, isLevelled, known), [questions, isLevelled, known]);
  const undone = useMemo(() => tasks.filter(({ key, writes }) => known.get(key)?.writes !== writes), [tasks, known]);
  const next = undone[0] ?? null;
  useEffect(() => {
    if (!next) return undefined;
    const desk = openDesk();
    let left = false;
    next.run(desk, (made, reason) => {
      if (left) return;
      setFailed(reason);
      if (made) setKnown((before) => new Map(before).set(next.key, made));
    });
    return () => {
      left = true;
      desk.stop();
    };
  }, [next]);
  const rooms = useMemo(
    () =>
      questions.map(({ roomId, set, answers }) => {
        const held = known.get(heightsKey(roomId, isLevelled));
        return { set: set(), answers: answers(), heights: held && 'heights' in held ? held.heights : null };
      }),
    [questions, known, isLevelled],
  );
  return { book, rooms, left: undone.filter(({ isOf }) => isOf === 'heights').length, failed };
}
