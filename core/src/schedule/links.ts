import type { Prepared } from './prepared.ts';
import { isWork, type Placed, type Plan } from './task.ts';

/** Why a task waits for another: it follows it, or the two share something in the order of the plan. */
export type LinkKind = 'after' | 'people' | 'machine' | 'room' | 'way' | 'held';

export interface Link {
  from: number;
  kind: LinkKind;
}

/**
 * The order of a plan, fixed: for every task the tasks that end before it begins, and why. Dates may move along these, never the order, so that a later cause never gives an
 * earlier date.
 */
export function linksOf({ tasks, before, job, at }: Prepared, plan: Plan): Link[][] {
  const placed = tasks.map(({ key }) => plan.get(key)!);
  const links = before.map((all) => all.map((from): Link => ({ from, kind: 'after' })));
  const works = tasks
    .flatMap((task, k) => (isWork(task) ? [k] : []))
    .sort((a, b) => placed[a]!.from - placed[b]!.from || a - b);
  const link = (from: number, to: number, kind: LinkKind) => {
    if (from !== to && !links[to]!.some((one) => one.from === from)) links[to]!.push({ from, kind });
  };
  byPeople(works, placed, (k) => personsOf(tasks[k]!), job.people, link);
  const inTurn = (own: readonly number[], most: number, kind: LinkKind) =>
    byPeople(
      own,
      placed,
      () => 1,
      most,
      (from, to) => link(from, to, kind),
    );
  const ofWork = (k: number) => {
    const task = tasks[k]!;
    return isWork(task) ? task : null;
  };
  for (const room of new Set(works.map((k) => ofWork(k)!.room)))
    if (room !== null)
      inTurn(
        works.filter((k) => ofWork(k)!.room === room),
        1,
        'room',
      );
  for (const [name, most] of Object.entries(job.machines))
    inTurn(
      works.filter((k) => ofWork(k)!.machines.includes(name)),
      most,
      'machine',
    );
  // What is held is free again when it has been freed: holders take their turns from there.
  const held = works.flatMap((k) => ofWork(k)!.holds.map(({ what, until }) => ({ k, what, freed: at.get(until)! })));
  for (const one of held)
    for (const other of held)
      if (one.what === other.what && placed[one.freed]!.to <= placed[other.k]!.from) link(one.freed, other.k, 'held');
  for (const shutting of works) {
    const { room, shutUntil } = ofWork(shutting)!;
    if (room === null || shutUntil === null) continue;
    const opened = at.get(shutUntil)!;
    for (const k of works) {
      const own = ofWork(k)!;
      if (k === shutting || own.room === null) continue;
      // Whoever works in it, or may come through it, does so before it is shut or after.
      const touches = own.room === room || (job.ways[own.room]?.some((way) => way.includes(room)) ?? false);
      if (!touches) continue;
      if (placed[opened]!.to <= placed[k]!.from) link(opened, k, 'way');
      else if (placed[k]!.to <= placed[shutting]!.from) link(k, shutting, 'way');
    }
  }
  return links;
}

const personsOf = (task: Prepared['tasks'][number]): number => (isWork(task) && task.trade === null ? task.people : 0);

/** Each takes so many of a few alike, those that are free first; who had them before ends before it begins. */
function byPeople(
  works: readonly number[],
  placed: readonly Placed[],
  takes: (k: number) => number,
  most: number,
  link: (from: number, to: number, kind: LinkKind) => void,
): void {
  const last: (number | null)[] = Array.from({ length: most }, () => null);
  const freeAt = (one: number) => (last[one] === null ? -1 : placed[last[one]!]!.to);
  for (const k of works) {
    const chosen = [...last.keys()].sort((a, b) => freeAt(a) - freeAt(b) || a - b).slice(0, takes(k));
    for (const one of chosen) {
      if (last[one] !== null) link(last[one]!, k, 'people');
      last[one] = k;
    }
  }
}
