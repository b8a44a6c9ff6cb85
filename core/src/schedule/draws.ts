import { seeded } from '../units/index.ts';
import { linksOf } from './links.ts';
import { reachedBy } from './objective.ts';
import type { Prepared } from './prepared.ts';
import { goneThrough, inOrder } from './along.ts';
import { isWork, type Plan } from './task.ts';

/** How a task's time may turn out, where it is not what works usually do. */
export type Spread =
  /** Days as they were found elsewhere, one drawn for the whole job. */
  | { kind: 'table'; quarters: readonly number[] }
  /** A band: nine of ten are longer than the first, half longer than the second, one of ten longer than the third. */
  | { kind: 'band'; p10: number; p50: number; p90: number }
  /** It is there in this share of cases only. */
  | { kind: 'surprise'; share: number };

export interface DrawAsk {
  prepared: Prepared;
  plan: Plan;
  spreads: Readonly<Record<string, Spread>>;
  /** What a surprise costs where it is there, in cents. */
  prices?: Readonly<Record<string, number>>;
  draws: number;
  seed?: number;
}

/** When a job is ready, by chance: half days of the last laying, days of the end, in order. */
export interface Chances {
  layingHalf: number[];
  endDay: number[];
  /** What surprises cost together, cents: of the same draws as the dates. */
  extraCents: number[];
  /** Share of draws in which the plan's own half day was kept. */
  kept: number;
}

/** Works take more or less by a factor of the whole job and one of their own (standard deviations of its logarithm). */
const JOB_SD = 0.1;
const OWN_SD = 0.15;
/** Standard normal at nine of ten. */
const Z90 = 1.2815515655446004;
/** Rooms dry alike by so much of the job's chance, and apart by so much of their own. */
const JOB_SHARE = 0.8;
const ROOM_SHARE = 0.6;

/** Of sorted numbers the one that a share of them does not exceed. */
export const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length - 1e-9) - 1))]!;

/** The plan gone through time and again with times as they may turn out, its order kept. The same ask draws the same. */
export function drawChances({ prepared, plan, spreads, prices = {}, draws, seed = 1 }: DrawAsk): Chances {
  const { tasks, job } = prepared;
  const draw = seeded(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw());
  const links = linksOf(prepared, plan);
  const order = inOrder(prepared, plan);
  const planned = reachedBy(job, plan).layingHalf;
  const chances: Chances = { layingHalf: [], endDay: [], extraCents: [], kept: 0 };
  for (let i = 0; i < draws; i++) {
    const [ofJob, ofWeather, ofTable] = [normal(), normal(), draw()];
    const rooms = new Map<string, number>();
    let extra = 0;
    const times = tasks.map((task): number => {
      const own = normal();
      const there = draw();
      const spread = spreads[task.key];
      if (spread?.kind === 'surprise') {
        if (there >= spread.share) return 0;
        extra += prices[task.key] ?? 0;
      }
      if (spread?.kind === 'table')
        return spread.quarters[Math.min(spread.quarters.length - 1, Math.floor(ofTable * spread.quarters.length))]!;
      if (spread?.kind === 'band') {
        const room = task.key.split('/')[0]!;
        if (!rooms.has(room)) rooms.set(room, own);
        const z = JOB_SHARE * ofWeather + ROOM_SHARE * rooms.get(room)!;
        const side = z < 0 ? spread.p50 - spread.p10 : spread.p90 - spread.p50;
        return Math.max(0, Math.round(spread.p50 + (z / Z90) * side));
      }
      return isWork(task)
        ? Math.max(1, Math.round(task.quarters * Math.exp(JOB_SD * ofJob + OWN_SD * own)))
        : task.quarters;
    });
    const drawn = goneThrough(prepared, order, links, times);
    // What does not end within the calendar is later than all of it.
    const reached = drawn
      ? reachedBy(job, drawn)
      : { layingHalf: 2 * job.calendar.dates.length, endDay: job.calendar.dates.length };
    chances.layingHalf.push(reached.layingHalf);
    chances.endDay.push(reached.endDay);
    chances.extraCents.push(extra);
    if (reached.layingHalf <= planned) chances.kept += 1 / draws;
  }
  chances.layingHalf.sort((a, b) => a - b);
  chances.endDay.sort((a, b) => a - b);
  chances.extraCents.sort((a, b) => a - b);
  return chances;
}
