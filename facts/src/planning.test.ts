import type { RoomSet } from '@maquette/core';
import { jobFiguresOf } from '@maquette/core/figures/job';
import { courseOf, groundOf, isPlanned, noJobFacts, planJob, type RoomGround } from '@maquette/core/planning';
import { checkPlan } from '@maquette/core/schedule';
import { centsOf, costsOfJob } from '@maquette/core/planning/costs';
import { inventedSet } from './invented-sets.ts';

const AT = '2026-05-06T16:00:00.000Z';
const NOTHING_UNDER = { panels: [], rolls: [] };
const FACTS = noJobFacts('j', 'Europe/London');
/** A job of three invented rooms. */
const jobOf = (seed: number): RoomGround[] =>
  [3 * seed, 3 * seed + 1, 3 * seed + 2].map((one) => {
    const set: RoomSet = inventedSet(one);
    return groundOf(set, set.answers, AT);
  });

test.each([1, 2, 3, 4, 5, 6])(
  'property: invented job %i costs what its stages cost, to the cent, and its plan can be worked',
  (seed) => {
    const grounds = jobOf(seed);
    const made = planJob(grounds, FACTS, AT, { tries: 30 });
    const figure = jobFiguresOf([]);
    const { costs } = costsOfJob(made, grounds, NOTHING_UNDER, FACTS, figure);
    for (const { told, parts } of costs) {
      const cents = centsOf({ told, parts }).reduce((sum, one) => sum + one, 0);
      if (told !== null) expect(cents).toBe(Math.round(told * 100));
    }
    for (const { assessment, set, level } of grounds) {
      const of = (stage: string) =>
        costs.find((one) => one.roomId === set.room.id && one.stage === stage && one.told !== null);
      expect(of('strip')?.told ?? 0).toBe(assessment.strip.cost.total);
      if (typeof level === 'object' && level) expect(of('level')?.told ?? 0).toBe(level.cost);
    }
    const { bill, price, days } = courseOf(grounds, FACTS, NOTHING_UNDER, AT);
    const { asStages, together, besides, cost } = bill.total;
    expect(asStages + together + besides).toBe(cost);
    expect(asStages).toBe(costs.reduce((sum, one) => sum + centsOf(one).reduce((all, cents) => all + cents, 0), 0));
    for (const line of bill.lines)
      if (line.shares.length > 0) expect(line.shares.reduce((sum, { cents }) => sum + cents, 0)).toBe(line.cents);
    expect(price.firm.reduce((sum, { costCents }) => sum + costCents, 0)).toBe(cost);
    expect(new Set(days.tasks.map(({ key }) => key)).size).toBe(days.tasks.length);
    if (isPlanned(made)) expect(checkPlan(made.rest, made.followed.plan)).toEqual([]);
  },
);
