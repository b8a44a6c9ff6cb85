import { goneThrough, inOrder } from './along.ts';
import { checkPlan } from './check-plan.ts';
import { schedule, type Scheduled } from './improve.ts';
import { linksOf } from './links.ts';
import { compareReached, reachedBy } from './objective.ts';
import { prepare, type Prepared } from './prepared.ts';
import type { Job, NoPlan, Plan } from './task.ts';

/** One way the job could go, side by side with others: one person more, another compound, a dryer. */
export interface Case {
  id: string;
  job: Job;
}

export interface CasePlanned {
  id: string;
  found: Scheduled | NoPlan;
}

/**
 * Cases planned side by side. What was found for one is tried on every other, as an order to plan by and as a plan to go along: whatever is harder is then never shown earlier
 * because somebody looked less well.
 */
export function planCases(cases: readonly Case[], tries: number): CasePlanned[] {
  const prepared = cases.map(({ job }) => prepare(job));
  const own = prepared.map((one) => ('why' in one ? one : schedule({ prepared: one, tries })));
  return cases.map(({ id, job }, k): CasePlanned => {
    const at = prepared[k]!;
    if ('why' in at) return { id, found: at };
    let best = own[k]!;
    own.forEach((other, i) => {
      const by = prepared[i]!;
      if (i === k || 'why' in other || 'why' in by) return;
      const ordered = schedule({ prepared: at, tries: 1, from: other.order });
      const along = planAlong(at, by, other.plan);
      for (const plan of ['why' in ordered ? null : ordered.plan, along]) {
        if (!plan || checkPlan(job, plan).length > 0) continue;
        const reached = reachedBy(job, plan);
        if ('why' in best || compareReached(reached, best.reached) < 0)
          best = { plan, reached, order: other.order, tries: 'why' in best ? 1 : best.tries };
      }
    });
    return { id, found: best };
  });
}

/** Another case's plan gone along with this one's times, its order kept; null where the two have other tasks, or it ends beyond the calendar. */
function planAlong(at: Prepared, by: Prepared, plan: Plan): Plan | null {
  if (at.tasks.length !== by.tasks.length || at.tasks.some(({ key }) => !by.at.has(key))) return null;
  const links = linksOf(by, plan);
  // Links speak of places in their own case's list.
  const own = at.tasks.map(({ key }) =>
    links[by.at.get(key)!]!.map((link) => ({ ...link, from: at.at.get(by.tasks[link.from]!.key)! })),
  );
  return goneThrough(
    at,
    inOrder(at, plan),
    own,
    at.tasks.map(({ quarters }) => quarters),
  );
}
