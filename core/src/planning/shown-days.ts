import { jobFiguresOf } from '../figures/index.ts';
import { celsiusApart, say, type Said, type Sayable } from '../said/index.ts';
import {
  lateIn,
  linksOf,
  momentOf,
  quantile,
  reasonChain,
  type Calendar,
  type LinkKind,
  type NoPlan,
  type Placed,
} from '../schedule/index.ts';
import type { DraftWork, JobStage } from './draft.ts';
import { siteDay } from './job-calendar.ts';
import type { Caveat, JobDraft } from './job-draft.ts';
import type { JobFacts } from './job-facts.ts';
import { movedSince, type MovedSince } from './moved-since.ts';
import { noPlanSaid } from './no-plan.ts';
import { isPlanned, type PlannedJob } from './plan-job.ts';
import type { RoomGround } from './room-ground.ts';

/** One task as it is shown, with its times in UTC. */
export interface ShownTask {
  key: string;
  roomId: string | null;
  stage: JobStage;
  words: Sayable;
  kind: 'work' | 'wait';
  from: string;
  to: string;
  /** The times in which it is worked at, day by day; of a wait its whole time. */
  stretches: { from: string; to: string }[];
  hours: number;
  people: number;
  doneAt: string | null;
  ticks: string[];
  isLaying: boolean;
  /** On the chain of causes that decides when the last planks are laid. */
  decides: boolean;
  stopped: Sayable | null;
  trade: string | null;
  machines: string[];
  /** It begins later than it had to: what it was to follow soon is done. */
  isLate: boolean;
  /** What ended last of all it waited for, and why it waited; null where nothing is before it. */
  waitsFor: { key: string; kind: LinkKind } | null;
  /** Somebody holds it back to this moment. */
  heldTo: string | null;
  /** Its room is shut from its start until this moment. */
  shutTo: string | null;
  /** What is to be read on the day before it is begun; null where nothing is. */
  readFirst: Sayable | null;
}

/** A day with its half: laying is told by before or after noon. */
export interface HalfDay {
  day: string;
  isAfternoon: boolean;
}

/** One step of why the last room is laid when it is. */
export interface ShownReason {
  key: string;
  words: Sayable;
  roomId: string | null;
  from: string;
  to: string;
  waitedFor: LinkKind | null;
  idleH: number;
}

/** The days of a job as its page shows them. */
export interface ShownDays {
  zone: string;
  today: string;
  rooms: { id: string; name: string }[];
  tasks: ShownTask[];
  caveats: Caveat[];
  /** Why there is no plan; null where there is one, and all that follows holds. */
  none: Said | null;
  laying: (HalfDay & { at: string }) | null;
  handOver: string | null;
  /** When the last room is laid and the job handed over in half, four of five and nineteen of twenty draws; null: later than all the plan. */
  chances: Record<'p50' | 'p80' | 'p95', { laying: HalfDay | null; handOver: string | null }>;
  /** Share of draws in which the plan's own half day is kept. */
  kept: number;
  /** What no plan betters: met, or days that might be gained at most; null where that is not known. */
  bound: { isMet: boolean; days: number } | null;
  /** The earliest plan, where another is followed because its date holds better. */
  earliest: HalfDay | null;
  reasons: ShownReason[];
  since: MovedSince | null;
  /** Working hours of each day of the plan, minutes; a free day has none. */
  days: { day: string; minutes: number }[];
  needsToilet: boolean;
  tries: number;
  /** Keys by the order it was planned in, to plan from again. */
  order: string[];
}

const QUARTER_MIN = 15;
const NOTHING = { laying: null, handOver: null };

export const halfDayAt = ({ dates }: Calendar, half: number): HalfDay | null => {
  const day = dates[half >> 1];
  return day === undefined ? null : { day, isAfternoon: half % 2 === 1 };
};

/** A job's plan as it is shown. */
export function shownDays(
  made: PlannedJob | (NoPlan & { draft: JobDraft }),
  grounds: readonly RoomGround[],
  facts: JobFacts,
  atUtc: string,
): ShownDays {
  const base: ShownDays = {
    zone: facts.zone,
    today: siteDay(facts.zone, atUtc),
    rooms: grounds.map(({ set: { room } }) => ({ id: room.id, name: room.name })),
    tasks: [],
    caveats: made.draft.caveats,
    none: null,
    laying: null,
    handOver: null,
    chances: { p50: NOTHING, p80: NOTHING, p95: NOTHING },
    kept: 0,
    bound: null,
    earliest: null,
    reasons: [],
    since: null,
    days: [],
    needsToilet: false,
    tries: 0,
    order: [],
  };
  if (!isPlanned(made)) return { ...base, none: noPlanSaid(made, made.draft.tasks) };
  const { rest, followed, earliest, chances, boundHalf, places, prepared } = made;
  const { calendar } = rest;
  const figure = jobFiguresOf(facts.figures, grounds[0]?.set.room.units ?? 'metric');
  const reasons = followed.reached.layingHalf < 0 ? [] : reasonChain(prepared, followed.plan);
  const deciding = new Set(reasons.map(({ key }) => key));
  const byKey = new Map(made.draft.tasks.map((task) => [task.key, task]));
  const late = new Set(lateIn(rest, followed.plan));
  const causes = causesOf(made);
  const heldTo = new Map(facts.taskHolds.map(({ key, notBefore }) => [key, notBefore]));
  const tasks = made.draft.tasks.map((task): ShownTask => {
    const place = places.get(task.key)!;
    const work = task.kind === 'work' ? task : null;
    return {
      key: task.key,
      roomId: task.roomId,
      stage: task.stage,
      words: task.words,
      kind: task.kind,
      from: momentOf(calendar, place.from),
      to: momentOf(calendar, place.to),
      stretches: work && task.doneAt === null ? stretchesOf(calendarOf(made, work), place) : [whole(calendar, place)],
      hours: task.hours,
      people: work ? Math.min(work.mostPeople, rest.people) : 0,
      doneAt: task.doneAt,
      ticks: task.ticks,
      isLaying: work?.isLaying ?? false,
      decides: deciding.has(task.key),
      stopped: work?.stopped ?? null,
      trade: work?.trade ?? null,
      machines: work?.machines ?? [],
      isLate: late.has(task.key),
      waitsFor: causes.get(task.key) ?? null,
      heldTo: heldTo.get(task.key) ?? null,
      shutTo: work?.shutUntil ? momentOf(calendar, places.get(work.shutUntil)?.to ?? place.to) : null,
      // Whatever is wet shuts its room. No plan knows that day's air: whoever pours reads it.
      readFirst:
        work?.shutUntil && task.doneAt === null
          ? say('planning.dewFirst', { least: celsiusApart(figure('dew-margin-c')) })
          : null,
    };
  });
  const laying = rest.tasks
    .flatMap((task) => (task.kind === 'work' && task.isLaying ? [followed.plan.get(task.key)!.from] : []))
    .reduce<number | null>((last, from) => (last === null || from > last ? from : last), null);
  const half = (share: number) => halfDayAt(calendar, quantile(chances.layingHalf, share));
  const end = (share: number) => calendar.dates[quantile(chances.endDay, share)] ?? null;
  const chance = (share: number) => ({ laying: laying === null ? null : half(share), handOver: end(share) });
  return {
    ...base,
    tasks,
    laying:
      laying === null ? null : { ...halfDayAt(calendar, followed.reached.layingHalf)!, at: momentOf(calendar, laying) },
    handOver: calendar.dates[followed.reached.endDay] ?? null,
    chances: { p50: chance(0.5), p80: chance(0.8), p95: chance(0.95) },
    kept: chances.kept,
    bound:
      boundHalf === null || laying === null
        ? null
        : {
            isMet: followed.reached.layingHalf <= boundHalf,
            days: Math.max(0, Math.ceil((followed.reached.layingHalf - boundHalf) / 2)),
          },
    earliest:
      earliest.reached.layingHalf < followed.reached.layingHalf
        ? halfDayAt(calendar, earliest.reached.layingHalf)
        : null,
    reasons: reasons.map(({ key, from, to, waitedFor, idle }) => ({
      key,
      words: byKey.get(key)!.words,
      roomId: byKey.get(key)!.roomId,
      from: momentOf(calendar, from),
      to: momentOf(calendar, to),
      waitedFor,
      idleH: idle / 4,
    })),
    since: movedSince(facts.keptPlans.at(-1), made, atUtc),
    days: daysOf(calendar, Math.max(followed.reached.endDay, ...chances.endDay.slice(-1)) + 1),
    needsToilet: made.ask.needsToilet,
    tries: made.tries,
    order: followed.order,
  };
}

/** Of every task that is left what it waits for: of all its links the one that ends last. */
function causesOf({ prepared, followed: { plan } }: PlannedJob): Map<string, NonNullable<ShownTask['waitsFor']>> {
  const links = linksOf(prepared, plan);
  return new Map(
    prepared.tasks.flatMap(({ key }, k) => {
      const last = links[k]!.reduce<(typeof links)[number][number] | null>((most, one) => {
        const end = (at: number) => plan.get(prepared.tasks[at]!.key)!.to;
        return !most || end(one.from) > end(most.from) ? one : most;
      }, null);
      return last ? [[key, { key: prepared.tasks[last.from]!.key, kind: last.kind }] as const] : [];
    }),
  );
}

const calendarOf = ({ rest }: PlannedJob, { trade, isLoud }: DraftWork): Calendar =>
  trade !== null ? (rest.trades[trade] ?? rest.calendar) : isLoud ? (rest.loud ?? rest.calendar) : rest.calendar;

const whole = (calendar: Calendar, { from, to }: Placed) => ({
  from: momentOf(calendar, from),
  to: momentOf(calendar, to),
});

/** The open times within a place: what stops at noon or at night goes on afterwards. */
function stretchesOf(calendar: Calendar, { from, to }: Placed): { from: string; to: string }[] {
  const found: { from: string; to: string }[] = [];
  for (let q = from; q < to;) {
    if (!calendar.isOpen[q]) {
      q++;
      continue;
    }
    let end = q;
    while (end < to && calendar.isOpen[end]) end++;
    found.push({ from: momentOf(calendar, q), to: momentOf(calendar, end) });
    q = end;
  }
  return found;
}

/** Minutes of work there are on each day, up to a day. */
function daysOf({ dates, isOpen, dayOf, quarters }: Calendar, most: number): ShownDays['days'] {
  const minutes = new Array<number>(dates.length).fill(0);
  for (let q = 0; q < quarters; q++) if (isOpen[q]) minutes[dayOf[q]!]! += QUARTER_MIN;
  return dates.slice(0, most).map((day, k) => ({ day, minutes: minutes[k]! }));
}
