import { openBoard, type Board } from './board.ts';
import { isWork, type Job, type NoPlan, type Task, type Work } from './task.ts';

/** A job's tasks as they are planned: in an order that follows what comes after what, and what has to be planned in one. */
export interface Prepared {
  job: Job;
  tasks: readonly Task[];
  at: ReadonlyMap<string, number>;
  before: readonly (readonly number[])[];
  next: readonly (readonly number[])[];
  /** Tasks that a limit of time ties together, with all that lies between them; every task is in one group, most alone. */
  groups: readonly (readonly number[])[];
  groupOf: readonly number[];
  /** Quarters for which a work's room stays shut after its end. */
  shutMore: (work: Work) => number;
  /** The holds that end with a task. */
  freedBy: ReadonlyMap<string, readonly string[]>;
  /** What plans are made on, one after another. */
  board: Board;
}

/** Tasks in an order in which each comes after all it follows; the circle where there is none. */
function ordered(before: readonly (readonly number[])[]): { order: number[] } | { circle: number[] } {
  const left = before.map((all) => all.length);
  const next: number[][] = before.map(() => []);
  before.forEach((all, k) => all.forEach((b) => next[b]!.push(k)));
  const order: number[] = [];
  const free = left.flatMap((count, k) => (count === 0 ? [k] : []));
  for (let k = free.shift(); k !== undefined; k = free.shift()) {
    order.push(k);
    for (const n of next[k]!) if (--left[n]! === 0) free.push(n);
  }
  return order.length === before.length
    ? { order }
    : { circle: before.map((_, k) => k).filter((k) => !order.includes(k)) };
}

/** All that can be come to from a task. */
export function reached(from: number, by: readonly (readonly number[])[]): Set<number> {
  const found = new Set<number>([from]);
  const waiting = [from];
  for (let k = waiting.pop(); k !== undefined; k = waiting.pop())
    for (const n of by[k]!)
      if (!found.has(n)) {
        found.add(n);
        waiting.push(n);
      }
  return found;
}

/** A job made ready for planning, or why it cannot be planned. */
export function prepare(job: Job): Prepared | NoPlan {
  const at = new Map(job.tasks.map(({ key }, k) => [key, k]));
  for (const task of job.tasks) {
    const names = [
      ...task.after,
      ...(isWork(task) ? [...task.holds.map(({ until }) => until), ...(task.shutUntil ? [task.shutUntil] : [])] : []),
    ];
    const unknown = names.find((key) => !at.has(key));
    if (unknown !== undefined) return { why: 'unknown', key: task.key, names: unknown };
  }
  const lost = job.within.find(({ key, of }) => !at.has(key) || !at.has(of));
  if (lost) return { why: 'unknown', key: lost.key, names: lost.of };
  const before = job.tasks.map(({ after }) => [...new Set(after.map((key) => at.get(key)!))]);
  // What comes within so long of another comes after it.
  for (const { key, of } of job.within)
    if (!before[at.get(key)!]!.includes(at.get(of)!)) before[at.get(key)!]!.push(at.get(of)!);
  const found = ordered(before);
  if ('circle' in found) return { why: 'circle', keys: found.circle.map((k) => job.tasks[k]!.key) };
  const tasks = found.order.map((k) => job.tasks[k]!);
  const place = new Map(found.order.map((k, i) => [k, i]));
  const sorted = found.order.map((k) => before[k]!.map((b) => place.get(b)!));
  const next: number[][] = tasks.map(() => []);
  sorted.forEach((all, k) => all.forEach((b) => next[b]!.push(k)));
  const index = new Map(tasks.map(({ key }, k) => [key, k]));
  const group = tasks.map((_, k) => k);
  const root = (k: number): number => (group[k] === k ? k : (group[k] = root(group[k]!)));
  for (const { key, of } of job.within) {
    const [from, to] = [reached(index.get(of)!, next), reached(index.get(key)!, sorted)];
    for (const k of from) if (to.has(k)) group[root(k)] = root(index.get(of)!);
  }
  const groups = tasks
    .map((_, k) => tasks.map((__, i) => i).filter((i) => root(i) === k))
    .filter((all) => all.length > 0);
  const groupOf = tasks.map((_, k) => groups.findIndex((all) => all.includes(k)));
  const freedBy = new Map<string, string[]>();
  for (const { what, until } of job.standing?.held ?? []) freedBy.set(until, [...(freedBy.get(until) ?? []), what]);
  for (const task of tasks)
    if (isWork(task))
      for (const { what, until } of task.holds) freedBy.set(until, [...(freedBy.get(until) ?? []), what]);
  const shutMore: Prepared['shutMore'] = ({ shutUntil }) =>
    shutUntil === null ? 0 : tasks[index.get(shutUntil)!]!.quarters;
  return {
    board: openBoard(job, shutMore),
    job,
    tasks,
    at: index,
    before: sorted,
    next,
    groups,
    groupOf,
    shutMore,
    freedBy,
  };
}
