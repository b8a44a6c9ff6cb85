import { normal, seeded } from '../units/index.ts';
import { linksOf, type Link } from './links.ts';
import { reachedBy, type Reached } from './objective.ts';
import type { Prepared } from './prepared.ts';
import { inOrder, timesAlong, type Along } from './along.ts';
import { isWork, type Plan } from './task.ts';

/** How a task's time may turn out, where it is not what works usually do. */
export type Spread =
  /** Days as they were found elsewhere, one drawn for the whole job. */
  | { kind: 'table'; quarters: readonly number[] }
  /** A band: nine of ten are longer than the first, half longer than the second, one of ten longer than the third. */
  | { kind: 'band'; p10: number; p50: number; p90: number }
  /** It is there in this share of cases only, and takes so many quarters then; in the plan one looks whether it is. What hangs on another surprise is there with it. */
  | { kind: 'surprise'; share: number; quarters?: number; with?: string };

export interface DrawAsk {
  prepared: Prepared;
  plan: Plan;
  spreads: Readonly<Record<string, Spread>>;
  /** What a surprise costs where it is there, in cents. */
  prices?: Readonly<Record<string, number>>;
  draws: number;
  seed?: number;
  /** The order it goes along; left out that of the plan itself. */
  links?: readonly (readonly Link[])[];
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

const roomOf = (key: string): string => key.split('/')[0]!;

/** Of sorted numbers the one that a share of them does not exceed. */
export const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length - 1e-9) - 1))]!;

/** A stream of chance of its own for a name: what else there is to draw changes nothing in it. */
function streamOf(name: string, seed: number): () => number {
  let hash = 2166136261;
  for (let k = 0; k < name.length; k++) hash = Math.imul(hash ^ name.charCodeAt(k), 16777619);
  return seeded((hash ^ Math.imul(seed, 0x9e3779b1)) >>> 0);
}

/**
 * The plan gone through time and again with times as they may turn out, its order kept. The same ask draws the same, and a task draws the same whatever else there is: cases side
 * by side differ by what they are, never by luck.
 */
export function drawChances({
  prepared,
  plan,
  spreads,
  prices = {},
  draws,
  seed = 1,
  links = linksOf(prepared, plan),
}: DrawAsk): Chances {
  const { tasks, job } = prepared;
  const ofAll = streamOf('job', seed);
  const streams = tasks.map(({ key }) => streamOf(key, seed));
  const ofRooms = new Map<string, () => number>();
  for (const { key } of tasks) {
    const room = roomOf(key);
    if (spreads[key]?.kind === 'band' && !ofRooms.has(room)) ofRooms.set(room, streamOf(`dries/${room}`, seed));
  }
  const order = inOrder(prepared, plan);
  const planned = reachedBy(job, plan).layingHalf;
  const chances: Chances = { layingHalf: [], endDay: [], extraCents: [], kept: 0 };
  for (let i = 0; i < draws; i++) {
    const [ofJob, ofWeather, ofTable] = [normal(ofAll), normal(ofAll), ofAll()];
    const rooms = new Map([...ofRooms].map(([room, stream]) => [room, normal(stream)]));
    let extra = 0;
    const isThere = new Map<string, boolean>();
    const times = tasks.map((task, k): number => {
      const own = normal(streams[k]!);
      const there = streams[k]!();
      const spread = spreads[task.key];
      if (spread?.kind === 'surprise') {
        const comes = isThere.get(spread.with ?? '') ?? there < spread.share;
        isThere.set(task.key, comes);
        // Somebody looked, as it was planned.
        if (!comes) return spread.quarters === undefined ? 0 : task.quarters;
        extra += prices[task.key] ?? 0;
        if (spread.quarters !== undefined && !isWork(task)) return spread.quarters;
      }
      if (spread?.kind === 'table')
        return spread.quarters[Math.min(spread.quarters.length - 1, Math.floor(ofTable * spread.quarters.length))]!;
      if (spread?.kind === 'band') {
        const z = JOB_SHARE * ofWeather + ROOM_SHARE * rooms.get(roomOf(task.key))!;
        const side = z < 0 ? spread.p50 - spread.p10 : spread.p90 - spread.p50;
        return Math.max(0, Math.round(spread.p50 + (z / Z90) * side));
      }
      const usual = spread?.kind === 'surprise' ? (spread.quarters ?? task.quarters) : task.quarters;
      return isWork(task) ? Math.max(1, Math.round(usual * Math.exp(JOB_SD * ofJob + OWN_SD * own))) : task.quarters;
    });
    const drawn = timesAlong(prepared, order, links, times);
    // What does not end within the calendar is later than all of it.
    const reached = drawn
      ? reachedAlong(prepared, drawn)
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

/** Half day of the last laying and day of the end of what was gone through. */
function reachedAlong(
  { tasks, job: { calendar } }: Prepared,
  { from, to }: Along,
): Pick<Reached, 'layingHalf' | 'endDay'> {
  const { halfOf, dayOf, quarters } = calendar;
  const within = (q: number) => Math.max(0, Math.min(q, quarters - 1));
  let [layingHalf, end] = [-1, 0];
  for (let k = 0; k < tasks.length; k++) {
    const task = tasks[k]!;
    if (to[k]! > end) end = to[k]!;
    if (isWork(task) && task.isLaying) layingHalf = Math.max(layingHalf, halfOf[within(from[k]!)]!);
  }
  return { layingHalf, endDay: dayOf[within(end - 1)]! };
}
