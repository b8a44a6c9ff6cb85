import type { Link } from './links.ts';
import type { Prepared } from './prepared.ts';
import type { Calendar } from './calendar.ts';
import { calendarFor, endOfWork, isWork, type Placed, type Plan, type Work } from './task.ts';

/** So often a step is begun later for the sake of what has to come soon after it. */
const LATER_MOST = 12;

/** A job's tasks by their places in a plan. */
export const inOrder = ({ tasks }: Prepared, plan: Plan): number[] =>
  tasks
    .map((_, k) => k)
    .sort((a, b) => {
      const [one, other] = [plan.get(tasks[a]!.key)!, plan.get(tasks[b]!.key)!];
      return one.from - other.from || one.to - other.to || a - b;
    });

/** Where every task of a list lies: first quarters, and the first after each. */
export interface Along {
  from: Int32Array;
  to: Int32Array;
}

/** Everything in the plan's order with other times; a step is begun later rather than let what has to follow it soon come late. Null where the calendar ends before. */
export function timesAlong(
  { tasks, job, at, before }: Prepared,
  order: readonly number[],
  links: readonly (readonly Link[])[],
  times: ArrayLike<number>,
): Along | null {
  const count = tasks.length;
  const [least, from, to] = [new Int32Array(count), new Int32Array(count), new Int32Array(count)];
  const within = job.within.map(({ key, of, quarters }) => ({ key: at.get(key)!, of: at.get(of)!, quarters }));
  for (let tries = 0; tries < LATER_MOST; tries++) {
    for (const k of order) {
      const task = tasks[k]!;
      let first = Math.max(task.notBefore ?? 0, least[k]!);
      for (const link of links[k]!) if (to[link.from]! > first) first = to[link.from]!;
      if (!isWork(task) || times[k] === 0) {
        from[k] = first;
        to[k] = first + times[k]!;
        continue;
      }
      const place = placeFrom(calendarFor(job, task), task, times[k]!, first);
      if (!place) return null;
      from[k] = place.from;
      to[k] = place.to;
    }
    let isLate = false;
    for (const { key, of, quarters } of within) {
      const by = from[key]! - quarters - to[of]!;
      if (by <= 0) continue;
      isLate = true;
      for (const k of worksBefore(of)) least[k] = Math.max(least[k]!, from[k]! + by);
    }
    if (!isLate) break;
  }
  return { from, to };

  function worksBefore(k: number): number[] {
    return isWork(tasks[k]!) ? [k] : before[k]!.flatMap(worksBefore);
  }
}

/** The first place of a work of so many quarters; what was drawn longer than a day is not asked to end on it. */
function placeFrom(calendar: Calendar, task: Work, quarters: number, first: number): Placed | null {
  const work = { ...task, quarters };
  let from = first;
  for (let day = 0; ; day++) {
    from = calendar.nextOpen[Math.min(from, calendar.quarters)]!;
    if (from >= calendar.quarters) return null;
    const to = endOfWork(calendar, day > DAYS_TRIED ? { ...work, unbroken: false } : work, from);
    if (to !== null) return { from, to };
    if (!work.unbroken) return null;
    while (from < calendar.quarters && calendar.dayOf[from] === calendar.dayOf[from + 1]) from++;
    from++;
  }
}

/** The same as a plan, by keys. */
export function goneThrough(
  prepared: Prepared,
  order: readonly number[],
  links: readonly (readonly Link[])[],
  times: ArrayLike<number>,
): Plan | null {
  const gone = timesAlong(prepared, order, links, times);
  return gone && new Map(prepared.tasks.map(({ key }, k) => [key, { from: gone.from[k]!, to: gone.to[k]! }]));
}

/** Days on which an unbroken work is tried before it is let run over a night. */
const DAYS_TRIED = 10;
