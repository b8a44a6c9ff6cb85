import { goneThrough, inOrder } from './along.ts';
import { checkPlan } from './check-plan.ts';
import { drawChances, quantile, type Chances, type Spread } from './draws.ts';
import { schedule, type Ordered } from './improve.ts';
import { linksOf, type Link } from './links.ts';
import { compareReached, reachedBy, type Reached } from './objective.ts';
import { prepare, type Prepared } from './prepared.ts';
import { placeBy } from './serial.ts';
import type { Job, NoPlan, Plan } from './task.ts';

/** One way the job could go, side by side with others: one person more, another compound, a dryer. */
export interface Case {
  id: string;
  job: Job;
  spreads?: Readonly<Record<string, Spread>>;
}

/** What a case comes to: its earliest plan, and the one whose date holds best in four of five draws. */
export interface CaseFound {
  plan: Plan;
  reached: Reached;
  promised: { plan: Plan; chances: Chances; layingHalf: number; endDay: number };
}

export interface CasePlanned {
  id: string;
  found: CaseFound | NoPlan;
}

/** A plan of a case, with the order it is drawn along. */
interface Candidate {
  plan: Plan;
  links: readonly (readonly Link[])[];
  reached: Reached;
}

const PROMISED = 0.8;
/** Rounds in which what was chosen for one case is tried on all others: each can only gain. */
const ROUNDS = 5;

/**
 * Cases planned side by side. What was found for one is tried on every other, as an order to plan by and as a plan to go along, and drawn with the same chances by task: whatever is harder is then never
 * shown earlier because somebody looked less well, neither in its plan nor in the date that is promised.
 *
 * @param draws - draws of each plan; each case is told by as many
 */
export function planCases(cases: readonly Case[], tries: number, draws = 120): CasePlanned[] {
  const prepared = cases.map(({ job }) => prepare(job));
  const own = prepared.map((one) => ('why' in one ? one : schedule({ prepared: one, tries })));
  const pool = own.flatMap((found, k) =>
    'why' in found ? [] : found.best.slice(0, KEPT_EACH).map((one) => ({ one, k })),
  );
  const held = cases.map(({ spreads = {} }, k): Held | NoPlan => {
    const at = prepared[k]!;
    const found = own[k]!;
    if ('why' in at) return at;
    const tried = pool.flatMap(({ one, k: of }) => [
      ordered(at, one),
      along(at, prepared[of] as Prepared, candidateOf(prepared[of] as Prepared, one)),
    ]);
    const all = tried.flatMap((one) => (one ? [one] : []));
    return all.length > 0 ? heldOf(at, spreads, all, draws) : 'why' in found ? found : { why: 'never', key: '' };
  });
  for (let round = 0; round < ROUNDS; round++) {
    let isBetter = false;
    held.forEach((own_, k) => {
      if ('why' in own_) return;
      const others = held.flatMap((other, i) =>
        i === k || 'why' in other
          ? []
          : [other.earliest, other.promised].map((one) => along(prepared[k] as Prepared, prepared[i] as Prepared, one)),
      );
      const all = others.flatMap((one) => (one ? [one] : []));
      const next = heldOf(
        prepared[k] as Prepared,
        cases[k]!.spreads ?? {},
        [own_.earliest, own_.promised, ...all],
        draws,
      );
      if (compareReached(next.earliest.reached, own_.earliest.reached) < 0 || compareAt(next.at, own_.at) < 0)
        isBetter = true;
      held[k] = next;
    });
    if (!isBetter) break;
  }
  return cases.map(({ id }, k): CasePlanned => {
    const one = held[k]!;
    if ('why' in one) return { id, found: one };
    const { earliest, promised, chances, at } = one;
    return {
      id,
      found: {
        plan: earliest.plan,
        reached: earliest.reached,
        promised: { plan: promised.plan, chances, layingHalf: at[0], endDay: at[1] },
      },
    };
  });
}

/** Of each case so many of its best are tried on the others. */
const KEPT_EACH = 2;

type At = readonly [layingHalf: number, endDay: number];
const compareAt = (a: At, b: At): number => a[0] - b[0] || a[1] - b[1];

interface Held {
  earliest: Candidate;
  promised: Candidate;
  chances: Chances;
  at: At;
}

/** Of some plans of a case the earliest, and the one whose promised date is earliest; the first of those alike. */
function heldOf(
  prepared: Prepared,
  spreads: Readonly<Record<string, Spread>>,
  all: readonly Candidate[],
  draws: number,
): Held {
  const earliest = all.reduce((a, b) => (compareReached(b.reached, a.reached) < 0 ? b : a));
  const drawn = all.map((one) => {
    const chances = drawChances({ prepared, plan: one.plan, links: one.links, spreads, draws });
    return { one, chances, at: [quantile(chances.layingHalf, PROMISED), quantile(chances.endDay, PROMISED)] as const };
  });
  const { one, chances, at } = drawn.reduce((a, b) => (compareAt(b.at, a.at) < 0 ? b : a));
  return { earliest, promised: one, chances, at };
}

const candidateOf = (prepared: Prepared, { plan, reached }: Pick<Ordered, 'plan' | 'reached'>): Candidate => ({
  plan,
  reached,
  links: linksOf(prepared, plan),
});

/** A plan by another one's order; null where it cannot be made. */
function ordered(prepared: Prepared, { order, isApart }: Ordered): Candidate | null {
  const rank = new Map(order.map((key, k) => [key, k]));
  const plan = placeBy(
    prepared,
    prepared.tasks.map(({ key }) => rank.get(key) ?? order.length),
    isApart,
  );
  if ('why' in plan || checkPlan(prepared.job, plan).length > 0) return null;
  return candidateOf(prepared, { plan, reached: reachedBy(prepared.job, plan) });
}

/** Another case's plan gone along with this one's times, its order kept; null where the two have other tasks, or it does not hold here. */
function along(at: Prepared, by: Prepared, { plan, links }: Candidate): Candidate | null {
  if (at.tasks.length !== by.tasks.length || at.tasks.some(({ key }) => !by.at.has(key))) return null;
  // Links speak of places in their own case's list.
  const own = at.tasks.map(({ key }) =>
    links[by.at.get(key)!]!.map((link) => ({ ...link, from: at.at.get(by.tasks[link.from]!.key)! })),
  );
  const made = goneThrough(
    at,
    inOrder(at, plan),
    own,
    at.tasks.map(({ quarters }) => quarters),
  );
  if (!made || checkPlan(at.job, made).length > 0) return null;
  return { plan: made, links: own, reached: reachedBy(at.job, made) };
}
