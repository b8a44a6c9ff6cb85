import { useEffect, useMemo, useState } from 'react';
import type { RoomSet } from '@maquette/core';
import type { CoveringCard } from '@maquette/core/coverings';
import type { JobCourse, WhatIf } from '@maquette/core/planning';
import { jobFactsOf, jobWrites, withoutCard } from '@maquette/facts/job-facts';
import { deviceZone } from '@maquette/words';
import { nowUtc } from '../data/ids.ts';
import { useBook, type ShownBook } from '../data/use-facts.ts';
import { openDesk, type Desk } from '../worker/ask.ts';
import type { CourseAsk } from '../worker/messages.ts';
import { useRoomSets } from '../worker/use-room-sets.ts';
import { useLatest } from '../ui/use-latest.ts';
import { keptCourses } from './kept-courses.ts';
import { chosenOf } from './chosen-of.ts';

/** The job as it stands on this device, with what was worked out of it. */
export interface CourseShown {
  book: ShownBook;
  job: ShownBook['jobs'][number] | null;
  rooms: ShownBook['rooms'];
  /** Rooms whose covering has no card any more: nothing is worked out for them. */
  unjudged: ShownBook['rooms'];
  course: JobCourse | null;
  /** It is of the facts as they are now; else of those before. */
  isNow: boolean;
  /** Share done while it is worked out; null where nothing is. */
  working: number | null;
  failed: string | null;
  stop: () => void;
  again: () => void;
  /** Every write it is made from, in one line: it changes with any of them. */
  writes: string;
  /** Everything it is asked with; null while rooms are still read. */
  ask: () => CourseAsk | null;
}

/** One worker for the pages of jobs: what took long of a room is kept in it from page to page. */
let desk: Desk | null = null;
const courseDesk = (): Desk => (desk ??= openDesk());

/** Days are planned from the quarter of an hour it is. */
const QUARTER_MS = 15 * 60_000;
const quarterNow = () => Math.floor(Date.now() / QUARTER_MS);

function useQuarter(): number {
  const [quarter, setQuarter] = useState(quarterNow);
  useEffect(() => {
    const timer = setInterval(() => setQuarter(quarterNow()), QUARTER_MS / 5);
    return () => clearInterval(timer);
  }, []);
  return quarter;
}

interface Held {
  of: string;
  course: JobCourse | null;
  failed: string | null;
}

/** A job's days, bill and price, worked out anew when a fact of it changes or a quarter of an hour has gone. */
export function useCourse(jobId: string, wanted = true): CourseShown {
  const book = useBook();
  const own = useMemo(() => ({ ...book, rooms: book.rooms.filter((room) => room.jobId === jobId) }), [book, jobId]);
  const questions = useRoomSets(own);
  const quarter = useQuarter();
  const [round, setRound] = useState(0);
  const writes = `${jobWrites(book, jobId)}|${questions.map((one) => `${one.roomId} ${one.writes}`).join('/')}`;
  const of = `${round} ${quarter} ${writes}`;
  const [held, setHeld] = useState<Held>({ of: '', course: keptCourses.held(jobId, writes), failed: null });
  const [share, setShare] = useState(0);
  const unjudged = useMemo(() => withoutCard(own.rooms, book.cards), [own.rooms, book.cards]);
  const judgedCount = own.rooms.length - unjudged.length;
  const isWhole = !book.loading && judgedCount > 0 && questions.length === judgedCount;
  const isWanted = wanted && isWhole && held.of !== of;
  const ask = (): CourseAsk | null =>
    isWhole
      ? {
          rooms: questions.map((one) => {
            const answers: RoomSet['answers'] = one.answers();
            return { roomId: one.roomId, key: `${one.writes} ${chosenOf(answers)}`, set: one.set(), answers };
          }),
          facts: jobFactsOf(book, jobId, deviceZone()),
          atUtc: nowUtc(),
        }
      : null;
  const latest = useLatest(ask);
  useEffect(() => {
    if (!isWanted) return undefined;
    let left = false;
    void keptCourses.find(jobId, writes).then((kept) => {
      if (left) return;
      if (kept) setHeld((before) => (before.course ? before : { ...before, course: kept }));
      const course = latest.current();
      if (!course) return;
      courseDesk().ask(
        { kind: 'course', course },
        (made, failed) => {
          if (made) keptCourses.keep(jobId, writes, made);
          if (left) return;
          setShare(0);
          setHeld((before) => ({ of, course: made ?? before.course, failed }));
        },
        'now',
        (progress) => setShare(progress.share),
      );
    });
    return () => {
      left = true;
    };
  }, [isWanted, of, jobId, writes, latest]);
  return {
    book,
    job: book.jobs.find(({ id }) => id === jobId) ?? null,
    rooms: own.rooms,
    unjudged,
    // Where nothing is to be worked out, what is shown is of the facts as they are, or nothing is.
    course: wanted ? held.course : keptCourses.held(jobId, writes),
    isNow: !wanted || held.of === of,
    working: isWanted ? share : null,
    failed: isWanted ? null : held.failed,
    stop: () => {
      courseDesk().stop();
      setHeld((before) => ({ ...before, of, failed: 'Stopped. Press “Work it out” to go on.' }));
    },
    again: () => setRound(round + 1),
    writes,
    ask,
  };
}

/** What a job would come to otherwise: asked for, and dropped when it changes. */
export function useWhatIfs(ask: CourseShown['ask'], of: JobCourse | null) {
  const [held, setHeld] = useState<{ of: JobCourse | null; rows: WhatIf[] | null; failed: string | null }>({
    of: null,
    rows: null,
    failed: null,
  });
  const [share, setShare] = useState<number | null>(null);
  return {
    rows: held.of === of ? held.rows : null,
    failed: held.of === of ? held.failed : null,
    working: share,
    work: (otherCard: CoveringCard | null) => {
      const asked = ask();
      if (!asked) return;
      const course = otherCard ? { ...asked, otherCard } : asked;
      setShare(0);
      courseDesk().ask(
        { kind: 'whatIfs', course },
        (rows, failed) => {
          setShare(null);
          setHeld({ of, rows, failed });
        },
        'now',
        (progress) => setShare(progress.share),
      );
    },
    stop: () => {
      courseDesk().stop();
      setShare(null);
    },
  };
}

/** A course with a task held back, beside the one that stands: what would move. */
export function askHeld(
  ask: CourseAsk,
  hold: { key: string; notBefore: string | null },
  told: (course: JobCourse | null, failed: string | null) => void,
): void {
  const taskHolds = [
    ...ask.facts.taskHolds.filter(({ key }) => key !== hold.key),
    { id: 'held', jobId: ask.facts.jobId, ...hold, note: '' },
  ];
  courseDesk().ask({ kind: 'course', course: { ...ask, facts: { ...ask.facts, taskHolds } } }, told);
}
