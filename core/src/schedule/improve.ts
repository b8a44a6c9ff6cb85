import { seeded } from '../units/index.ts';
import { compareReached, reachedBy, type Reached } from './objective.ts';
import type { Prepared } from './prepared.ts';
import { placeAll } from './serial.ts';
import { isWork, type NoPlan, type Plan } from './task.ts';

/** A plan with what it reaches, and the order by which it was made: what it is planned anew from. */
export interface Ordered {
  plan: Plan;
  reached: Reached;
  order: string[];
}

export interface Scheduled extends Ordered {
  /** The best few that were found, the best first. */
  best: Ordered[];
  /** Plans that were made, the same for the same ask. */
  tries: number;
}

export interface ScheduleAsk {
  prepared: Prepared;
  /** Plans that are made at most. */
  tries: number;
  seed?: number;
  /** An order to begin with, by keys: what it does not name comes last. */
  from?: readonly string[];
  /** Half day that cannot be bettered: met, the search is over once nothing else is gained either. */
  boundHalf?: number | null;
  shouldStop?: () => boolean;
}

/** So many tries without a better plan end the search where the bound is met. */
const PATIENCE = 60;
/** So many of the best are kept: the one with the best chances is not always the earliest. */
const BEST_KEPT = 10;

/** The earliest plan that was found: from a few first orders, one task, a late one or a room being moved forward time and again. */
export function schedule(ask: ScheduleAsk): Scheduled | NoPlan {
  const { prepared, tries, seed = 1, from, boundHalf = null, shouldStop } = ask;
  const { tasks, job } = prepared;
  const draw = seeded(seed);
  let best: { order: number[]; plan: Plan; reached: Reached } | null = null;
  const found: { order: readonly number[]; plan: Plan; reached: Reached }[] = [];
  let failed: NoPlan | null = null;
  let made = 0;
  const attempt = (order: readonly number[]): boolean => {
    made++;
    const rank = new Array<number>(tasks.length);
    order.forEach((k, i) => (rank[k] = i));
    const plan = placeAll(prepared, rank);
    if (!(plan instanceof Map)) {
      failed ??= plan as NoPlan;
      return false;
    }
    const reached = reachedBy(job, plan);
    keep(found, { order, plan, reached });
    const isBetter = !best || compareReached(reached, best.reached) < 0;
    if (isBetter || (best && compareReached(reached, best.reached) === 0)) best = { order: [...order], plan, reached };
    return isBetter;
  };
  for (const order of firstOrders(prepared, from)) if (made < tries) attempt(order);
  let idle = 0;
  while (best && made < tries && tasks.length > 1) {
    if (shouldStop?.()) break;
    const isMet = boundHalf !== null && (best as { reached: Reached }).reached.layingHalf <= boundHalf;
    if (isMet && idle > PATIENCE) break;
    idle = attempt(moved((best as { order: number[] }).order, prepared, (best as { plan: Plan }).plan, draw))
      ? 0
      : idle + 1;
  }
  if (!best) return failed ?? { why: 'never', key: tasks[0]?.key ?? '' };
  const { plan, reached, order } = best as { order: number[]; plan: Plan; reached: Reached };
  const keysOf = (all: readonly number[]) => all.map((k) => tasks[k]!.key);
  return {
    plan,
    reached,
    order: keysOf(order),
    best: found.map((one) => ({ ...one, order: keysOf(one.order) })),
    tries: made,
  };
}

/** Keeps a plan among the best few, in their order; one that places everything as another does is kept once. */
function keep<T extends { plan: Plan; reached: Reached }>(found: T[], one: T): void {
  const last = found.at(-1);
  if (found.length >= BEST_KEPT && last && compareReached(one.reached, last.reached) >= 0) return;
  const isSame = ({ plan }: T) => [...plan].every(([key, { from }]) => one.plan.get(key)!.from === from);
  if (found.some((other) => compareReached(other.reached, one.reached) === 0 && isSame(other))) return;
  const place = found.findIndex((other) => compareReached(one.reached, other.reached) < 0);
  found.splice(place < 0 ? found.length : place, 0, one);
  if (found.length > BEST_KEPT) found.pop();
}

/** Orders to begin with: what was planned before, the longest way to go first, as tasks follow, most work first, and each room brought forward. */
function firstOrders(prepared: Prepared, from?: readonly string[]): number[][] {
  const { tasks, next, at } = prepared;
  const all = tasks.map((_, k) => k);
  const tail = new Array<number>(tasks.length).fill(0);
  for (let k = tasks.length - 1; k >= 0; k--)
    tail[k] = tasks[k]!.quarters + Math.max(0, ...next[k]!.map((n) => tail[n]!));
  const byTail = [...all].sort((a, b) => tail[b]! - tail[a]! || a - b);
  const hours = (k: number) => tasks[k]!.quarters;
  const rooms = [...new Set(tasks.flatMap((task) => (isWork(task) && task.room !== null ? [task.room] : [])))];
  const ofRoom = (k: number, room: string) => {
    const task = tasks[k]!;
    return isWork(task) && task.room === room ? 0 : 1;
  };
  const kept = from?.flatMap((key) => (at.has(key) ? [at.get(key)!] : [])) ?? [];
  return [
    ...(kept.length > 0 ? [[...kept, ...byTail.filter((k) => !kept.includes(k))]] : []),
    byTail,
    all,
    [...all].sort((a, b) => hours(b) - hours(a) || a - b),
    ...rooms.map((room) => [...byTail].sort((a, b) => ofRoom(a, room) - ofRoom(b, room))),
  ];
}

/** An order with one task elsewhere, one that lies late brought forward, or a room's tasks. */
function moved(order: readonly number[], { tasks }: Prepared, plan: Plan, draw: () => number): number[] {
  const pick = (most: number) => Math.floor(draw() * most);
  const kind = draw();
  if (kind < 0.2) {
    const task = tasks[pick(tasks.length)]!;
    const room = isWork(task) ? task.room : null;
    const isOf = (k: number) => {
      const one = tasks[k]!;
      return isWork(one) && one.room === room;
    };
    return [...order.filter(isOf), ...order.filter((k) => !isOf(k))];
  }
  let at = pick(order.length);
  if (kind < 0.5)
    // Of a few the one that lies last.
    for (let i = 0; i < 3; i++) {
      const other = pick(order.length);
      if (plan.get(tasks[order[other]!]!.key)!.from > plan.get(tasks[order[at]!]!.key)!.from) at = other;
    }
  const rest = order.filter((_, i) => i !== at);
  const to = kind < 0.5 ? pick(at + 1) : pick(order.length);
  return [...rest.slice(0, to), order[at]!, ...rest.slice(to)];
}
