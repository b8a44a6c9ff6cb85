import type { Board } from './board.ts';
import type { Prepared } from './prepared.ts';
import { isWork, type NoPlan, type Placed, type Plan, type Within } from './task.ts';

/** So often a step is begun later for the sake of what has to come soon after it. */
const LATER_MOST = 500;

/** So often everything is placed anew for the sake of a limit where tasks are placed one by one. */
const ANEW_MOST = 8;

/** Tasks placed one after another by an order, each at its first free place; what a limit of time ties together is placed in one. */
export function placeAll(prepared: Prepared, rank: readonly number[]): Plan | NoPlan {
  return placeGroups(prepared, rank, prepared.groups, prepared.groupOf, new Map());
}

/**
 * The same with every task by itself, so that other work may come between what a limit ties together; a step that its follower comes too late for is begun later, and everything is placed
 * anew.
 */
function placeApart(prepared: Prepared, rank: readonly number[]): Plan | NoPlan {
  const { tasks, before, at, job } = prepared;
  const groups = tasks.map((_, k) => [k]);
  const groupOf = tasks.map((_, k) => k);
  const least = new Map<number, number>();
  for (let tries = 0; tries < ANEW_MOST; tries++) {
    const plan = placeGroups(prepared, rank, groups, groupOf, least);
    if (!(plan instanceof Map)) return plan;
    const late = job.within.filter(({ key, of, quarters }) => plan.get(key)!.from > plan.get(of)!.to + quarters);
    if (late.length === 0) return plan;
    for (const { key, of, quarters } of late) {
      const by = plan.get(key)!.from - quarters - plan.get(of)!.to;
      for (const k of worksBefore(at.get(of)!)) {
        const { from } = plan.get(tasks[k]!.key)!;
        least.set(k, Math.max(least.get(k) ?? 0, from + by));
      }
    }
  }
  const first = job.within[0]!;
  return { why: 'within', key: first.key, of: first.of };

  function worksBefore(k: number): number[] {
    return isWork(tasks[k]!) ? [k] : before[k]!.flatMap(worksBefore);
  }
}

/** By either of the two: an order makes the same plan again by the one it was found with. */
export const placeBy = (prepared: Prepared, rank: readonly number[], isApart: boolean): Plan | NoPlan =>
  isApart ? placeApart(prepared, rank) : placeAll(prepared, rank);

function placeGroups(
  prepared: Prepared,
  rank: readonly number[],
  groups: readonly (readonly number[])[],
  groupOf: readonly number[],
  held: ReadonlyMap<number, number>,
): Plan | NoPlan {
  const { tasks, before, board } = prepared;
  board.rewind(0);
  const placed: (Placed | undefined)[] = tasks.map(() => undefined);
  const first = groups.map((group) => Math.min(...group.map((k) => rank[k]!)));
  const waiting = new Set([...groups.keys()].sort((a, b) => first[a]! - first[b]!));
  /** Groups that each still waits for. */
  const left = groups.map(
    (group, g) => new Set(group.flatMap((k) => before[k]!.flatMap((b) => (groupOf[b] === g ? [] : [groupOf[b]!])))),
  );
  while (waiting.size > 0) {
    let failed: NoPlan | null = null;
    let isPlaced = false;
    for (const group of waiting) {
      if (left[group]!.size > 0) continue;
      const answer = placeGroup(prepared, board, groups[group]!, placed, rank, held);
      if (answer === null) {
        waiting.delete(group);
        for (const other of left) other.delete(group);
        isPlaced = true;
        break;
      }
      // What is held by somebody yet may come free when another task is placed.
      failed ??= answer;
    }
    if (!isPlaced)
      return failed ?? { why: 'circle', keys: [...waiting].flatMap((g) => groups[g]!.map((k) => tasks[k]!.key)) };
  }
  return new Map(tasks.map(({ key }, k) => [key, placed[k]!]));
}

/** Places one group; null where it is placed, else why it cannot be. */
function placeGroup(
  prepared: Prepared,
  board: Board,
  group: readonly number[],
  placed: (Placed | undefined)[],
  rank: readonly number[],
  held: ReadonlyMap<number, number>,
): NoPlan | null {
  const { tasks, before, at, job } = prepared;
  const inGroup = new Set(group);
  const limits = job.within.filter(({ key, of }) => inGroup.has(at.get(key)!) && inGroup.has(at.get(of)!));
  const least = new Map(held);
  const mark = board.mark();
  let tooLate: NoPlan | null = null;
  for (let tries = 0; tries < LATER_MOST; tries++) {
    const failed = placeOnce(prepared, board, group, placed, rank, least);
    // Put off beyond the calendar for the sake of a limit: that is what cannot be kept.
    if (failed) return back(tooLate ?? failed);
    const late = limits.find(
      ({ key, of, quarters }) => placed[at.get(key)!]!.from > placed[at.get(of)!]!.to + quarters,
    );
    if (!late) return null;
    const byQuarters = placed[at.get(late.key)!]!.from - late.quarters - placed[at.get(late.of)!]!.to;
    tooLate = { why: 'within', key: late.key, of: late.of };
    if (!delay(late, byQuarters)) return back(tooLate);
    undo();
  }
  return back({ why: 'within', key: limits[0]!.key, of: limits[0]!.of });

  function undo() {
    board.rewind(mark);
    for (const k of group) placed[k] = undefined;
  }
  function back(why: NoPlan): NoPlan {
    undo();
    return why;
  }
  /** The step before is begun later; a wait ends later when what it waits for does. False where nothing in the group can be. */
  function delay({ of }: Within, byQuarters: number): boolean {
    const works = (k: number): number[] =>
      isWork(tasks[k]!) ? [k] : before[k]!.filter((b) => inGroup.has(b)).flatMap(works);
    const later = works(at.get(of)!);
    // The one that ends last decides.
    const last = Math.max(...later.map((k) => placed[k]!.to));
    for (const k of later) {
      const { from, to } = placed[k]!;
      const by = byQuarters - (last - to);
      if (by > 0) least.set(k, Math.max(least.get(k) ?? 0, from + by));
    }
    return later.length > 0;
  }
}

/** Every task of a group at its first free place, no earlier than `least`. */
function placeOnce(
  { tasks, before, shutMore, freedBy, job }: Prepared,
  board: Board,
  group: readonly number[],
  placed: (Placed | undefined)[],
  rank: readonly number[],
  least: ReadonlyMap<number, number>,
): NoPlan | null {
  const left = new Set(group);
  while (left.size > 0) {
    const k = [...left]
      .filter((one) => before[one]!.every((b) => placed[b] !== undefined))
      .sort((a, b) => rank[a]! - rank[b]!)[0]!;
    left.delete(k);
    const task = tasks[k]!;
    const after = Math.max(0, task.notBefore ?? 0, least.get(k) ?? 0, ...before[k]!.map((b) => placed[b]!.to));
    if (isWork(task)) {
      const found = board.earliest(task, after);
      if (!found) return { why: 'never', key: task.key };
      board.put(task, found, found.to + shutMore(task));
      placed[k] = found;
    } else placed[k] = { from: after, to: after + task.quarters };
    for (const what of freedBy.get(task.key) ?? []) board.free(what, Math.min(placed[k].to, job.calendar.quarters));
  }
  return null;
}
