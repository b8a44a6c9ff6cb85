import { isWork, type Job, type Placed, type Plan, type Standing, type Task } from './task.ts';

/** What is known of a job under way: tasks that are done with their real times, those that are begun with the working time that is left, and now. */
export interface UnderWay {
  done: ReadonlyMap<string, Placed>;
  begun: ReadonlyMap<string, { leftQuarters: number }>;
  now: number;
}

/** The rest of a job from now on: what is done keeps its times and stands in nobody's way but by what it left behind. */
export function restOf(job: Job, { done, begun, now }: UnderWay): Job {
  const byKey = new Map(job.tasks.map((task) => [task.key, task]));
  const isOpen = (key: string) => !done.has(key);
  const ended = (keys: readonly string[]) =>
    Math.max(0, ...keys.flatMap((key) => (done.has(key) ? [done.get(key)!.to] : [])));
  const tasks = job.tasks
    .filter(({ key }) => isOpen(key))
    .map((task): Task => {
      const after = task.after.filter(isOpen);
      const notBefore = Math.max(task.notBefore ?? 0, ended(task.after));
      // A wait runs since what it follows has ended; a work begins now at the earliest.
      if (!isWork(task)) return { ...task, after, notBefore };
      const left = begun.get(task.key)?.leftQuarters;
      return { ...task, after, notBefore: Math.max(notBefore, now), quarters: left ?? task.quarters };
    });
  const gone = [...done].flatMap(([key, at]) => {
    const task = byKey.get(key);
    return task && isWork(task) ? [{ task, at }] : [];
  });
  const standing: Standing = {
    shut: gone.flatMap(({ task: { room, shutUntil }, at }) =>
      room !== null && shutUntil !== null && isOpen(shutUntil)
        ? [{ room, to: at.to + byKey.get(shutUntil)!.quarters }]
        : [],
    ),
    held: gone.flatMap(({ task }) => task.holds.filter(({ until }) => isOpen(until))),
    deadlines: job.within.flatMap(({ key, of, quarters }) =>
      isOpen(key) && done.has(of) ? [{ key, by: done.get(of)!.to + quarters }] : [],
    ),
  };
  return { ...job, tasks, within: job.within.filter(({ key, of }) => isOpen(key) && isOpen(of)), standing };
}

/** Tasks of a plan that begin after they had to: what they were to follow soon is done, and cannot be put off any more. */
export const lateIn = ({ standing }: Pick<Job, 'standing'>, plan: Plan): string[] =>
  (standing?.deadlines ?? []).flatMap(({ key, by }) => ((plan.get(key)?.from ?? 0) > by ? [key] : []));
