import type { Link } from './links.ts';
import type { Prepared } from './prepared.ts';
import { calendarFor, endOfWork, isWork, type Placed, type Plan } from './task.ts';

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

/** Everything in the plan's order with other times; a step is begun later rather than let what has to follow it soon come late. Null where the calendar ends before. */
export function goneThrough(
  { tasks, job, at, before }: Prepared,
  order: readonly number[],
  links: readonly (readonly Link[])[],
  times: readonly number[],
): Plan | null {
  const least = new Array<number>(tasks.length).fill(0);
  const placed: Placed[] = [];
  for (let tries = 0; tries < LATER_MOST; tries++) {
    for (const k of order) {
      const task = tasks[k]!;
      let from = Math.max(0, task.notBefore ?? 0, least[k]!, ...links[k]!.map((link) => placed[link.from]?.to ?? 0));
      if (!isWork(task) || times[k] === 0) {
        placed[k] = { from, to: from + times[k]! };
        continue;
      }
      const calendar = calendarFor(job, task);
      // What was drawn longer than a day is not asked to end on it.
      const work = { ...task, quarters: times[k]! };
      let to: number | null = null;
      for (let day = 0; to === null; day++) {
        from = calendar.nextOpen[Math.min(from, calendar.quarters)]!;
        if (from >= calendar.quarters) return null;
        to = endOfWork(calendar, day > DAYS_TRIED ? { ...work, unbroken: false } : work, from);
        if (to === null && !work.unbroken) return null;
        if (to === null) while (from < calendar.quarters && calendar.dayOf[from] === calendar.dayOf[from + 1]) from++;
        if (to === null) from++;
      }
      placed[k] = { from, to };
    }
    const late = job.within.filter(
      ({ key, of, quarters }) => placed[at.get(key)!]!.from > placed[at.get(of)!]!.to + quarters,
    );
    if (late.length === 0) break;
    for (const { key, of, quarters } of late) {
      const by = placed[at.get(key)!]!.from - quarters - placed[at.get(of)!]!.to;
      for (const k of worksBefore(at.get(of)!)) least[k] = Math.max(least[k]!, placed[k]!.from + by);
    }
  }
  return new Map(tasks.map(({ key }, k) => [key, placed[k]!]));

  function worksBefore(k: number): number[] {
    return isWork(tasks[k]!) ? [k] : before[k]!.flatMap(worksBefore);
  }
}

/** Days on which an unbroken work is tried before it is let run over a night. */
const DAYS_TRIED = 10;
