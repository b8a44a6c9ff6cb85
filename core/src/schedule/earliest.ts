import type { Prepared } from './prepared.ts';
import { calendarFor, endOfWork, isWork, type Placed } from './task.ts';

/**
 * Everything at its first place on the calendar with nothing in anything's way: no plan has a task earlier. `least` holds single tasks back. Null where something does not fit into
 * the calendar.
 */
export function earliestPlan(
  { tasks, before, job }: Prepared,
  least: ReadonlyMap<number, number> = new Map(),
): Placed[] | null {
  const placed: Placed[] = [];
  for (const [k, task] of tasks.entries()) {
    let from = Math.max(0, task.notBefore ?? 0, least.get(k) ?? 0, ...before[k]!.map((b) => placed[b]!.to));
    if (!isWork(task)) {
      placed.push({ from, to: from + task.quarters });
      continue;
    }
    const calendar = calendarFor(job, task);
    let to: number | null = null;
    while (to === null) {
      from = calendar.nextOpen[Math.min(from, calendar.quarters)]!;
      if (from >= calendar.quarters) return null;
      to = endOfWork(calendar, task, from);
      if (to === null) from++;
    }
    placed.push({ from, to });
  }
  return placed;
}
