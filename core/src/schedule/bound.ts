import type { Calendar } from './calendar.ts';
import { reached, type Prepared } from './prepared.ts';
import { earliestPlan } from './earliest.ts';
import { isWork, type Work } from './task.ts';
import { turnsBound } from './bound-turns.ts';

/** What a bound knows of one work that has to be done before the last room is laid. */
interface Needed {
  work: Work;
  /** No earlier start, and no less elapsed time from its end to the laying it leads to. */
  from: number;
  tail: number;
}

/**
 * The earliest half day on which the last room's laying could begin, whatever the order: by the longest chain on the calendar, by the turns of what is held, and by the working time of the people, of each
 * room and of each machine between earliest starts and latest ends. -1 where nothing is laid; null where even that is beyond the calendar.
 */
export function layingBound(prepared: Prepared): number | null {
  const { tasks, before, next, job } = prepared;
  const { calendar } = job;
  const earliest = earliestPlan(prepared);
  if (!earliest) return null;
  const from = earliest.map((one) => one.from);
  const laying = tasks.flatMap((task, k) => (isWork(task) && task.isLaying ? [k] : []));
  if (laying.length === 0) return -1;
  const needed = new Set(laying.flatMap((k) => [...reached(k, before)]));
  const onward = tasks.map((_, k) => next[k]!.filter((n) => needed.has(n)));
  // What leads to nothing else is a laying: it has to have begun, and no more.
  const tails = new Array<number>(tasks.length).fill(0);
  for (let k = tasks.length - 1; k >= 0; k--)
    tails[k] = Math.max(0, ...onward[k]!.map((n) => (onward[n]!.length === 0 ? 0 : tasks[n]!.quarters + tails[n]!)));
  const works = [...needed].flatMap((k): Needed[] => {
    const task = tasks[k]!;
    return isWork(task) && onward[k]!.length > 0 ? [{ work: task, from: from[k]!, tail: tails[k]! }] : [];
  });
  // When the last laying begins no more of them are under way than there are people: all others are done, whichever they are.
  const done = laying
    .filter((k) => onward[k]!.length === 0)
    .flatMap((k): Needed[] => {
      const task = tasks[k]!;
      return isWork(task) && task.trade === null && task.people > 0 ? [{ work: task, from: from[k]!, tail: 0 }] : [];
    });
  const turns = turnsBound(prepared, laying);
  if (turns === null) return null;
  const chain = Math.max(turns, ...laying.map((k) => from[k]!));
  const lanes = lanesOf(prepared, works, done);
  // A half day is refuted where something needs more working time than there is until its last quarter.
  for (let end = chain; end < calendar.quarters; end++) {
    const half = calendar.halfOf[end]!;
    const isLast = end + 1 === calendar.quarters || calendar.halfOf[end + 1] !== half;
    if (isLast && lanes.every((lane) => !isOverfull(lane, end))) return half;
  }
  return null;
}

/** Something that works take turns at. */
interface Lane {
  /** Open quarters up to each. */
  open: Int32Array;
  most: number;
  takes: Take[];
}

interface Take {
  from: number;
  tail: number;
  quarters: number;
  /** A laying: it may still be under way when the last one begins. */
  mayBeUnderWay: boolean;
}

const openUpTo = ({ isOpen, quarters }: Calendar): Int32Array => {
  const sum = new Int32Array(quarters + 1);
  for (let q = 0; q < quarters; q++) sum[q + 1] = sum[q]! + isOpen[q]!;
  return sum;
};

function lanesOf({ job }: Prepared, works: readonly Needed[], done: readonly Needed[]): Lane[] {
  const own = works.filter(({ work }) => work.trade === null);
  const lane = (
    of: readonly Needed[],
    most: number,
    share: (work: Work) => number,
    layings: readonly Needed[] = [],
  ): Lane => ({
    open: openUpTo(job.calendar),
    most,
    takes: [of, layings].flatMap((all, i) =>
      all.map(({ work, from, tail }) => ({
        from,
        tail,
        quarters: work.quarters * share(work),
        mayBeUnderWay: i === 1,
      })),
    ),
  });
  const rooms = [...new Set(own.flatMap(({ work }) => (work.room === null ? [] : [work.room])))];
  return [
    lane(own, job.people, ({ people }) => people, done),
    ...rooms.map((room) =>
      lane(
        own.filter(({ work }) => work.room === room),
        1,
        () => 1,
      ),
    ),
    ...Object.entries(job.machines).map(([name, most]) =>
      lane(
        own.filter(({ work }) => work.machines.includes(name)),
        most,
        () => 1,
      ),
    ),
  ];
}

/** Whether works that lie between some start and some end take more than there is, laying beginning with quarter `end` at the latest. */
function isOverfull({ open, most, takes }: Lane, end: number): boolean {
  const starts = [...new Set(takes.map(({ from }) => from))];
  for (const start of starts) {
    const later = takes.filter(({ from }) => from >= start).sort((a, b) => b.tail - a.tail);
    let sum = 0;
    // Of the layings as many as may be under way then are left out: of those between this start and this end the longest.
    const leftOut: number[] = [];
    // The longer what follows, the sooner it has to end: each adds itself to those that have to end sooner.
    for (const [k, { tail, quarters, mayBeUnderWay }] of later.entries()) {
      if (mayBeUnderWay) {
        leftOut.push(quarters);
        leftOut.sort((a, b) => b - a);
        sum += leftOut.length > most ? leftOut.pop()! : 0;
      } else sum += quarters;
      if (later[k + 1]?.tail === tail) continue;
      const to = Math.min(open.length - 1, end - tail);
      // What cannot begin after its own end has no place at all.
      if ((to < start && sum > 0) || sum > (open[to]! - open[start]!) * most) return true;
    }
  }
  return false;
}
