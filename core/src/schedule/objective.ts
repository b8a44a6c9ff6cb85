import { isWork, type Job, type Plan } from './task.ts';

/** What a plan is judged by, the first that differs deciding: half days from the first day on, days, and days on which a machine is kept. */
export interface Reached {
  /** Half day on which the last room's laying begins; -1 where nothing is laid. */
  layingHalf: number;
  /** Day of the end of all. */
  endDay: number;
  hireDays: number;
}

export function reachedBy({ tasks, calendar }: Pick<Job, 'tasks' | 'calendar'>, plan: Plan): Reached {
  const { halfOf, dayOf } = calendar;
  const at = <T extends Int32Array>(of: T, q: number) => of[Math.max(0, Math.min(q, of.length - 1))]!;
  let [layingHalf, endQuarter] = [-1, 0];
  const hired = new Map<string, Set<number>>();
  for (const task of tasks) {
    const { from, to } = plan.get(task.key)!;
    endQuarter = Math.max(endQuarter, to);
    if (!isWork(task)) continue;
    if (task.isLaying) layingHalf = Math.max(layingHalf, at(halfOf, from));
    for (const name of task.machines) {
      const days = hired.get(name) ?? new Set<number>();
      for (let day = at(dayOf, from); day <= at(dayOf, to - 1); day++) days.add(day);
      hired.set(name, days);
    }
  }
  return {
    layingHalf,
    endDay: at(dayOf, endQuarter - 1),
    hireDays: [...hired.values()].reduce((sum, days) => sum + days.size, 0),
  };
}

/** Below nothing where the first is better. */
export const compareReached = (a: Reached, b: Reached): number =>
  a.layingHalf - b.layingHalf || a.endDay - b.endDay || a.hireDays - b.hireDays;
