import { seeded } from '../units/index.ts';
import { compareReached, reachedBy, type Reached } from './objective.ts';
import type { Prepared } from './prepared.ts';
import { placeBy } from './serial.ts';
import { isWork, type NoPlan, type Plan } from './task.ts';

/** A plan with what it reaches, and the order by which it was made: what it is planned anew from. */
export interface Ordered {
  plan: Plan;
  reached: Reached;
  order: string[];
  /** Its tasks were placed one by one, also those that a limit ties together. */
  isApart: boolean;
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
/** This share of tries places tasks one by one, also those that a limit ties together. */
const APART_SHARE = 0.7;
/** The middle of all layings counts by so much beside the last. */
const MEAN_SHARE = 0.15;
/** And the end of all by so much. */
const END_SHARE = 0.05;
/** Now and then the search goes on from what is a little worse, quarters. */
const WORSE_SHARE = 0.06;
const WORSE_QUARTERS = 24;
/** So many of the best are kept: the one with the best chances is not always the earliest. */
const BEST_KEPT = 10;

/** A plan with the order it was made by, by the places of tasks. */
interface Tried {
  order: readonly number[];
  plan: Plan;
  reached: Reached;
  isApart: boolean;
}

/** The earliest plan that was found: from a few first orders, one task, a late one or a room being moved forward time and again. */
export function schedule(ask: ScheduleAsk): Scheduled | NoPlan {
  const { prepared, tries, seed = 1, from, boundHalf = null, shouldStop } = ask;
  const { tasks, job } = prepared;
  const draw = seeded(seed);
  let best: Tried | null = null;
  const found: Tried[] = [];
  let here: { order: number[]; plan: Plan; score: number } | null = null;
  const layings = tasks.flatMap((task) => (isWork(task) && task.isLaying ? [task.key] : []));
  const scoreOf = (plan: Plan): number => {
    const starts = layings.map((key) => plan.get(key)!.from);
    const mean = starts.reduce((sum, from) => sum + from, 0) / Math.max(1, starts.length);
    let end = 0;
    for (const { to } of plan.values()) end = Math.max(end, to);
    return Math.max(0, ...starts) + MEAN_SHARE * mean + END_SHARE * end;
  };
  let failed: NoPlan | null = null;
  let made = 0;
  const isTied = job.within.length > 0;
  const attempt = (order: readonly number[], isApart = false): boolean => {
    made++;
    const rank = new Array<number>(tasks.length);
    order.forEach((k, i) => (rank[k] = i));
    const plan = placeBy(prepared, rank, isApart);
    if (!(plan instanceof Map)) {
      failed ??= plan as NoPlan;
      return false;
    }
    const reached = reachedBy(job, plan);
    keep(found, { order, plan, reached, isApart });
    const isBetter = !best || compareReached(reached, best.reached) < 0;
    if (isBetter || (best && compareReached(reached, best.reached) === 0))
      best = { order: [...order], plan, reached, isApart };
    // What is searched on from is judged finer than what is asked for: by quarters, and by every laying.
    const score = scoreOf(plan);
    if (!here || score <= here.score + (draw() < WORSE_SHARE ? WORSE_QUARTERS : 0))
      here = { order: [...order], plan, score };
    return isBetter;
  };
  for (const order of firstOrders(prepared, from)) {
    if (made < tries) attempt(order);
    if (isTied && made < tries) attempt(order, true);
  }
  let idle = 0;
  while (best && made < tries && tasks.length > 1) {
    if (shouldStop?.()) break;
    const isMet = boundHalf !== null && (best as Tried).reached.layingHalf <= boundHalf;
    if (isMet && idle > PATIENCE) break;
    const at = (draw() < 0.5 ? best : here)! as Pick<Tried, 'order' | 'plan'>;
    const next = moved(at.order, prepared, at.plan, draw);
    idle = attempt(next, isTied && draw() < APART_SHARE) ? 0 : idle + 1;
  }
  if (!best) return failed ?? { why: 'never', key: tasks[0]?.key ?? '' };
  const { plan, reached, order, isApart } = best as Tried;
  const keysOf = (all: readonly number[]) => all.map((k) => tasks[k]!.key);
  return {
    plan,
    reached,
    order: keysOf(order),
    isApart,
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
