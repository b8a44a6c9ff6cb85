import type { AnyFigureOf } from '../figures/index.ts';
import {
  quarterAt,
  type Placed,
  type ScheduleJob,
  type Spread,
  type Task,
  type UnderWay,
  type Within,
  type Work,
} from '../schedule/index.ts';
import type { Draft, DraftWork } from './draft.ts';
import { calendarsOf, siteDay } from './job-calendar.ts';
import type { JobFacts } from './job-facts.ts';
import type { RoomGround } from './room-ground.ts';
import { waysThrough } from './ways-through.ts';

/** A job as it is planned: its tasks in quarters of an hour, what is done and under way, and how times may turn out. */
export interface JobToPlan {
  job: ScheduleJob;
  underWay: UnderWay;
  spreads: Record<string, Spread>;
  /** Toilets are all on these floors, and the last one is taken out: a hired one stands in. */
  needsToilet: boolean;
}

/** What was done longer ago than this says nothing of days any more. */
const BACK_DAYS = 45;
const DAY_MS = 86_400_000;
const QUARTERS_AN_HOUR = 4;
const STANDS = '/stands';

const quartersOf = (hours: number): number => Math.ceil(hours * QUARTERS_AN_HOUR - 1e-9);

export interface PlanWith {
  people: number;
  atUtc: string;
}

/** Tasks as they are planned, on the calendars of the job, with the ways through its rooms and what can be held once only. */
export function jobToPlan(
  drafts: readonly Draft[],
  grounds: readonly RoomGround[],
  facts: JobFacts,
  figure: AnyFigureOf,
  { people, atUtc }: PlanWith,
): JobToPlan {
  const today = siteDay(facts.zone, atUtc);
  const earliest = Date.parse(`${today}T00:00:00Z`) - BACK_DAYS * DAY_MS;
  const firstDone = drafts.flatMap(({ doneAt }) =>
    doneAt !== null && Date.parse(doneAt) >= earliest ? [siteDay(facts.zone, doneAt)] : [],
  );
  const firstDay = [today, ...firstDone].reduce((a, b) => (b < a ? b : a));
  const { calendar, loud, trades } = calendarsOf(facts, firstDay, today, {
    sampler: figure('sample-notice-days'),
    licensed: figure('licensed-notice-days'),
  });
  const now = Math.max(0, quarterAt(calendar, atUtc, true));
  const held = storeHolds(drafts);
  const heldTo = new Map(
    facts.taskHolds.flatMap(({ key, notBefore }) =>
      notBefore === null ? [] : [[key, Math.max(0, quarterAt(calendar, notBefore, true))] as const],
    ),
  );
  const tasks = drafts.map((draft): Task => taskOf(draft, { people, now, held, heldTo }));
  const keys = new Set(drafts.map(({ key }) => key));
  const toilets = grounds.reduce(
    (sum, { set }) => sum + set.room.fixtures.filter(({ kind }) => kind === 'toilet').length,
    0,
  );
  const spare = toilets + figure('toilets-more') - 1;
  return {
    job: {
      tasks,
      within: drafts.flatMap(({ key, within }): Within[] =>
        within && keys.has(within.of) ? [{ key, of: within.of, quarters: quartersOf(within.hours) }] : [],
      ),
      calendar,
      people,
      machines: { grinder: 1, hammer: 1 },
      holdings: { toilet: Math.max(1, spare), kitchen: 1 },
      trades,
      loud,
      ways: waysThrough(
        grounds.map(({ set }) => set),
        facts.waysIn,
      ),
    },
    underWay: underWayOf(drafts, calendar, now, people),
    spreads: spreadsOf(drafts, people),
    needsToilet: spare < 1 && drafts.some(({ key, doneAt }) => key.endsWith('/strip/toilet') && doneAt === null),
  };
}

const peopleAt = ({ mostPeople, trade }: DraftWork, people: number): number =>
  trade === null ? Math.max(1, Math.min(mostPeople, people)) : 1;

/** A surprise is looked for in a quarter of an hour; a wait that hangs on it takes no time until it is there. */
const isSurprise = ({ spread }: Draft): boolean => spread?.kind === 'surprise';

interface TaskWith {
  people: number;
  now: number;
  held: ReadonlyMap<string, Work['holds']>;
  /** Quarters before which somebody wants tasks not to begin. */
  heldTo: ReadonlyMap<string, number>;
}

function taskOf(draft: Draft, { people, now, held, heldTo }: TaskWith): Task {
  const { key, after } = draft;
  const notBefore = heldTo.get(key);
  const common = { key, after, ...(notBefore === undefined ? {} : { notBefore }) };
  if (draft.kind === 'wait')
    return {
      ...common,
      kind: 'wait',
      quarters: isSurprise(draft) ? 0 : quartersOf(draft.hours),
      // What follows nothing is begun today.
      ...(after.length === 0 ? { notBefore: Math.max(now, notBefore ?? 0) } : {}),
    };
  const at = peopleAt(draft, people);
  const { roomId, unbroken, machines, trade, isLoud, shutUntil, holds, isLaying } = draft;
  return {
    ...common,
    kind: 'work',
    quarters: isSurprise(draft) ? 1 : Math.max(1, quartersOf(draft.hours / at)),
    people: at,
    // Carrying boxes in and waiting for other trades takes no room from anybody.
    room: key.endsWith('/order/carry') ? null : roomId,
    unbroken,
    machines,
    trade,
    isLoud,
    shutUntil,
    holds: [...holds, ...(held.get(key) ?? [])],
    isLaying,
  };
}

/** A room in which another's furniture stands is not worked in meanwhile: from its own first work to its last it has itself. */
function storeHolds(drafts: readonly Draft[]): Map<string, Work['holds']> {
  const stores = new Set(
    drafts.flatMap((draft) =>
      draft.kind === 'work' ? draft.holds.flatMap(({ what }) => (what.startsWith('room/') ? [what] : [])) : [],
    ),
  );
  const holds = new Map<string, Work['holds']>();
  for (const what of stores) {
    const roomId = what.slice('room/'.length);
    const works = drafts.filter((draft): draft is DraftWork => draft.kind === 'work' && draft.roomId === roomId);
    const isHeld = works.some((work) => work.holds.some((one) => one.what === what));
    const own = works.filter(({ key, doneAt }) => doneAt === null && !key.endsWith('/order/carry'));
    if (!isHeld && own.length > 0) holds.set(own[0]!.key, [{ what, until: own.at(-1)!.key }]);
  }
  return holds;
}

/** What is done with its real times, as far as ticks tell them, and what is begun with the time that is left. */
function underWayOf(
  drafts: readonly Draft[],
  calendar: Parameters<typeof quarterAt>[0],
  now: number,
  people: number,
): UnderWay {
  const done = new Map<string, Placed>();
  const begun = new Map<string, { leftQuarters: number }>();
  for (const draft of drafts) {
    if (draft.doneAt !== null) {
      const to = Math.max(0, Math.min(now, quarterAt(calendar, draft.doneAt, true)));
      const length =
        draft.kind === 'work' ? quartersOf(draft.hours / peopleAt(draft, people)) : quartersOf(draft.hours);
      done.set(draft.key, { from: Math.max(0, to - Math.max(1, length)), to });
    } else if (draft.kind === 'work' && draft.doneHours > 0)
      begun.set(draft.key, {
        leftQuarters: Math.max(1, quartersOf((draft.hours - draft.doneHours) / peopleAt(draft, people))),
      });
  }
  // A wait after which something is done was over by then.
  const byKey = new Map(drafts.map((draft) => [draft.key, draft]));
  for (const draft of drafts) {
    const end = done.get(draft.key);
    if (!end) continue;
    for (const key of draft.after) {
      const before = byKey.get(key);
      if (before?.kind === 'wait' && !done.has(key)) done.set(key, { from: end.from, to: end.from });
    }
  }
  return { done, begun, now };
}

function spreadsOf(drafts: readonly Draft[], people: number): Record<string, Spread> {
  const spreads: Record<string, Spread> = {};
  for (const draft of drafts) {
    const { key, spread } = draft;
    if (!spread) continue;
    if (spread.kind === 'table') spreads[key] = { kind: 'table', quarters: spread.hours.map(quartersOf) };
    else if (spread.kind === 'band')
      spreads[key] = {
        kind: 'band',
        p10: quartersOf(spread.p10H),
        p50: quartersOf(spread.p50H),
        p90: quartersOf(spread.p90H),
      };
    else
      spreads[key] = {
        kind: 'surprise',
        share: spread.share,
        quarters: quartersOf(draft.kind === 'work' ? draft.hours / peopleAt(draft, people) : draft.hours),
        ...(key.endsWith(STANDS) ? { with: key.slice(0, -STANDS.length) } : {}),
      };
  }
  return spreads;
}
