import type { UnderPlan } from '../assess/under-plan.ts';
import { jobFiguresOf } from '../figures/index.ts';
import { say } from '../said/index.ts';
import { agendaOf, type AgendaItem } from './agenda.ts';
import { billOfJob } from './bill-of-job.ts';
import { changesOf, type ShownChange } from './changes.ts';
import { surpriseCents } from './job-draft.ts';
import type { JobFacts } from './job-facts.ts';
import { priceOf, type ShownPrice } from './job-price.ts';
import { isPlanned, planJob } from './plan-job.ts';
import { productNames } from './product-names.ts';
import type { RoomGround } from './room-ground.ts';
import { shownBill, type ShownBill } from './shown-bill.ts';
import { shownDays, type ShownDays } from './shown-days.ts';

/** A job as its pages show it: days, bill, price, changes, and what is due. */
export interface JobCourse {
  days: ShownDays;
  bill: ShownBill;
  price: ShownPrice;
  changes: ShownChange[];
  agenda: AgendaItem[];
}

/** A job's plan, its bill by that plan, and its price by that bill, from one and the same draws. */
export function courseOf(grounds: readonly RoomGround[], facts: JobFacts, under: UnderPlan, atUtc: string): JobCourse {
  const figure = jobFiguresOf(facts.figures, grounds[0]?.set.room.units ?? 'metric');
  const made = planJob(grounds, facts, atUtc);
  const days = shownDays(made, grounds, facts, atUtc);
  const lines = billOfJob(made, grounds, under, facts, figure);
  const boxesIn = (productId: string) =>
    grounds.reduce(
      (sum, { set }) =>
        productId === `card/${set.card.id}` ? sum + set.plankBoxes.reduce((all, { boxes }) => all + boxes, 0) : sum,
      0,
    );
  const bill = shownBill(lines, days, facts.packCounts, figure, boxesIn, productNames(grounds.map(({ set }) => set)));
  const coming = facts.surprises.filter(({ state, sharePct }) => state === 'may-come' && sharePct > 0);
  const laboratories = made.draft.tasks.filter(({ key }) => key.endsWith('/hazard/positive'));
  const price = priceOf({
    lines,
    provisional: [
      ...coming.map(({ id, ofRoomId, what, trigger, sharePct }) => ({ id, roomId: ofRoomId, what, trigger, sharePct })),
      ...laboratories.map(({ key, roomId }) => ({
        id: key,
        roomId: roomId ?? '',
        what: say('planning.licensed'),
        trigger: say('planning.labTrigger'),
        sharePct: figure('lab-positive-pct'),
      })),
    ],
    costs: {
      ...Object.fromEntries(coming.map((one) => [one.id, surpriseCents(one, figure)])),
      ...made.draft.prices,
    },
    chances: isPlanned(made) ? made.chances : null,
    figure,
    given: facts.quotations.at(-1) ?? null,
  });
  return {
    days,
    bill,
    price,
    changes: changesOf(grounds, facts, under, figure, atUtc),
    agenda: agendaOf(days, bill, made.draft, figure('damp-age-days'), atUtc),
  };
}
