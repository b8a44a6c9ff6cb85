import { jobFiguresOf } from '../figures/index.ts';
import {
  checkPlan,
  compareReached,
  drawChances,
  layingBound,
  placeBy,
  prepare,
  quantile,
  reachedBy,
  restOf,
  schedule,
  type Chances,
  type NoPlan,
  type Ordered,
  type Placed,
  type Prepared,
  type ScheduleJob,
} from '../schedule/index.ts';
import { draftOf, type JobDraft } from './job-draft.ts';
import type { JobFacts } from './job-facts.ts';
import type { RoomGround } from './room-ground.ts';
import { jobToPlan, type JobToPlan } from './schedule-job.ts';

/** Plans that are made for one answer, and draws of each of the best and of the one that is followed. */
const TRIES = 360;
const DRAWS_EACH = 160;
/** Draws of what is shown: cases side by side are drawn as often, so that the job as it is has one date. */
export const DRAWS = 1000;
const PROMISED = 0.8;

/** A job planned, with all it was planned from. */
export interface PlannedJob {
  draft: JobDraft;
  ask: JobToPlan;
  /** The rest of it from now on, as it was planned. */
  rest: ScheduleJob;
  prepared: Prepared;
  /** The plan to follow: of the best few the one whose date holds best. */
  followed: Ordered;
  earliest: Ordered;
  /** Every task's place, done ones with their real times. */
  places: ReadonlyMap<string, Placed>;
  chances: Chances;
  /** Half day that no plan betters; null where even that is beyond the calendar. */
  boundHalf: number | null;
  tries: number;
}

export interface PlanOptions {
  /** Surprises that are found and open but counted as agreed. */
  counted?: ReadonlySet<string>;
  people?: number;
  tries?: number;
}

/** The drafts of a job and what they are planned with. */
export function askOf(
  grounds: readonly RoomGround[],
  facts: JobFacts,
  atUtc: string,
  { counted, people }: PlanOptions = {},
): { draft: JobDraft; ask: JobToPlan; rest: ScheduleJob } {
  const figure = jobFiguresOf(facts.figures, grounds[0]?.set.room.units ?? 'metric');
  const draft = draftOf(grounds, facts, counted);
  const ask = jobToPlan(draft.tasks, grounds, facts, figure, { people: people ?? figure('crew'), atUtc });
  return { draft, ask, rest: restOf(ask.job, ask.underWay) };
}

/** Plans what is left of a job: the earliest plan, and of the best few the one that is most likely to hold. */
export function planJob(
  grounds: readonly RoomGround[],
  facts: JobFacts,
  atUtc: string,
  options: PlanOptions = {},
): PlannedJob | (NoPlan & { draft: JobDraft }) {
  const { draft, ask, rest } = askOf(grounds, facts, atUtc, options);
  const first = prepare(rest);
  if ('why' in first) return { ...first, draft };
  const boundHalf = layingBound(first);
  const kept = facts.keptPlans.at(-1)?.inOrder ?? [];
  const found = schedule({ prepared: first, tries: options.tries ?? TRIES, boundHalf, from: kept });
  if ('why' in found) return { ...found, draft };
  // Whoever follows a plan follows one that a reader of its own has walked through.
  const sound = (one: Ordered) => checkPlan(rest, one.plan).length === 0;
  const { best } = found;
  const drawn = (plan: Ordered['plan'], draws: number) =>
    drawChances({ prepared: first, plan, spreads: ask.spreads, prices: draft.prices, draws });
  const byPromise = best
    .map((one) => {
      const { layingHalf, endDay } = drawn(one.plan, DRAWS_EACH);
      return { one, at: [quantile(layingHalf, PROMISED), quantile(endDay, PROMISED)] as const };
    })
    // Of those alike the earliest stays first.
    .sort((a, b) => a.at[0] - b.at[0] || a.at[1] - b.at[1])
    .map(({ one }) => one);
  const chosen = byPromise.find(sound);
  // No plan that cannot be worked as it stands is shown.
  if (!chosen) return { why: 'never', key: checkPlan(rest, found.plan)[0]?.key ?? '', draft };
  const { prepared, followed } = orderedLater(rest, first, chosen);
  return {
    draft,
    ask,
    rest: prepared.job,
    prepared,
    followed,
    earliest: best[0] ?? found,
    places: new Map([...ask.underWay.done, ...followed.plan]),
    chances: drawChances({ prepared, plan: followed.plan, spreads: ask.spreads, prices: draft.prices, draws: DRAWS }),
    boundHalf,
    tries: found.tries,
  };
}

/** So many days boxes are there before they have to be: a van that comes late holds nobody up. */
const SPARE_DAYS = 3;
const QUARTERS_A_DAY = 96;

/**
 * Coverings are ordered as late as does no harm: nobody keeps boxes for months while a base dries. Whatever that would make later stays as it was.
 */
function orderedLater(rest: ScheduleJob, first: Prepared, chosen: Ordered): { prepared: Prepared; followed: Ordered } {
  const kept = { prepared: first, followed: chosen };
  const { plan, order, reached, isApart } = chosen;
  const isOrder = (key: string) => key.includes('/order/');
  const next = new Map<string, number>();
  // What follows an order begins at the earliest then, seen from the laying back.
  for (const task of [...first.tasks].reverse())
    for (const key of task.after) {
      if (!isOrder(key)) continue;
      const from = isOrder(task.key)
        ? (next.get(task.key) ?? plan.get(task.key)!.from) - task.quarters
        : plan.get(task.key)!.from - SPARE_DAYS * QUARTERS_A_DAY;
      next.set(key, Math.min(next.get(key) ?? Infinity, from));
    }
  const tasks = rest.tasks.map((task) => {
    const by = next.get(task.key);
    const from = by === undefined ? 0 : by - task.quarters;
    const now = task.notBefore ?? 0;
    return from > now && from > plan.get(task.key)!.from ? { ...task, notBefore: from } : task;
  });
  const prepared = prepare({ ...rest, tasks });
  if ('why' in prepared) return kept;
  const rank = new Map(order.map((key, k) => [key, k]));
  const later = placeBy(
    prepared,
    prepared.tasks.map(({ key }) => rank.get(key)!),
    isApart,
  );
  if ('why' in later || checkPlan(prepared.job, later).length > 0) return kept;
  const now = reachedBy(prepared.job, later);
  return compareReached(now, reached) <= 0
    ? { prepared, followed: { plan: later, reached: now, order, isApart } }
    : kept;
}

/** Whether a job could be planned. */
export const isPlanned = (made: PlannedJob | (NoPlan & { draft: JobDraft })): made is PlannedJob => !('why' in made);

/** What a plan reaches, by what is left of its job. */
export const reachedOf = ({ rest, followed }: PlannedJob) => reachedBy(rest, followed.plan);
