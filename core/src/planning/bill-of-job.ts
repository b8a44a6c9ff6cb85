import { boxesOver } from '../assess/lay-boxes.ts';
import type { UnderPlan } from '../assess/under-plan.ts';
import type { AnyFigureOf } from '../figures/index.ts';
import { momentOf } from '../schedule/index.ts';
import type { BillLine } from './bill-line.ts';
import { billOf } from './job-bill.ts';
import { isPlanned, type planJob } from './plan-job.ts';
import { part, type StageCost } from './stage-cost.ts';
import { roomCosts } from './room-costs.ts';
import type { RoomGround } from './room-ground.ts';
import { underCosts, type PlannedPacks } from './under-costs.ts';
import { isAgreed } from './job-draft.ts';
import type { JobFacts } from './job-facts.ts';
import type { Surprise } from './facts.ts';
import { say } from '../said/index.ts';

type Made = ReturnType<typeof planJob>;
const QUARTERS_AN_HOUR = 4;

/** What every stage of a job costs, and what is bought by the cut list of the whole job. */
export function costsOfJob(
  made: Made,
  grounds: readonly RoomGround[],
  under: UnderPlan,
  { surprises }: Pick<JobFacts, 'surprises'>,
  figure: AnyFigureOf,
  counted: ReadonlySet<string> = new Set(),
): { costs: StageCost[]; packs: PlannedPacks[] } {
  const rolled = grounds[0] ? underCosts(under, grounds[0].set.underCards, figure) : { costs: [], packs: [] };
  return {
    costs: [
      ...grounds.flatMap((g) => roomCosts(g, made.draft.tasks)),
      ...rolled.costs,
      ...surprises.flatMap((one) => changeCost(one, counted)),
    ],
    packs: [
      ...rolled.packs,
      ...boxesOver(grounds.map(({ set, lay }) => ({ set, plan: lay }))).map(({ cardId, boxes }) => ({
        product: `card/${cardId}`,
        packs: boxes,
      })),
    ],
  };
}

/** Material and others' work of a change that is agreed; its hours are among the tasks. */
function changeCost(one: Surprise, counted: ReadonlySet<string>): StageCost[] {
  const isIn = isAgreed(one) || (one.state === 'found' && counted.has(one.id));
  return isIn && one.cost > 0
    ? [
        {
          roomId: one.ofRoomId,
          stage: 'change',
          told: null,
          parts: [part({ kind: 'material', what: say('planning.changeMaterial', { what: one.what }), cost: one.cost })],
        },
      ]
    : [];
}

/** The bill of a job by its plan: when things are used decides what is pooled, and which days machines are kept. */
export function billOfJob(
  made: Made,
  grounds: readonly RoomGround[],
  under: UnderPlan,
  facts: Pick<JobFacts, 'surprises' | 'prices'>,
  figure: AnyFigureOf,
  counted?: ReadonlySet<string>,
): BillLine[] {
  const { costs, packs } = costsOfJob(made, grounds, under, facts, figure, counted);
  const ask = { costs, packs, prices: facts.prices, figure };
  if (!isPlanned(made))
    return billOf({ ...ask, usedAt: () => null, days: { machines: {}, weekday: 1, onSite: 0, toilet: 0 } });
  const { places, draft, rest } = made;
  const { calendar } = rest;
  const dayOf = (quarter: number) => calendar.dayOf[Math.max(0, Math.min(quarter, calendar.quarters - 1))]!;
  const machines: Record<string, number[]> = {};
  const onSite = new Set<number>();
  for (const task of draft.tasks) {
    if (task.kind !== 'work') continue;
    const { from, to } = places.get(task.key)!;
    const days = new Set<number>();
    for (let q = from; q < to; q++) if (calendar.isOpen[q]) days.add(dayOf(q));
    for (const name of task.machines) machines[name] = [...(machines[name] ?? []), ...days];
    if (task.trade === null) days.forEach((day) => onSite.add(day));
  }
  const firstDay = momentOf(calendar, 0);
  const toilet = made.ask.needsToilet ? toiletDays(made, dayOf) : 0;
  return billOf({
    ...ask,
    usedAt: (roomId, stage) => {
      const own = draft.tasks.flatMap((task) =>
        task.roomId === roomId && task.stage === stage && task.kind === 'work' ? [places.get(task.key)!] : [],
      );
      return own.length === 0
        ? null
        : {
            from: Math.min(...own.map(({ from }) => from)) / QUARTERS_AN_HOUR,
            to: Math.max(...own.map(({ to }) => to)) / QUARTERS_AN_HOUR,
          };
    },
    days: { machines, weekday: new Date(firstDay).getUTCDay(), onSite: onSite.size, toilet },
  });
}

/** Days from the first toilet out to the last one back. */
function toiletDays({ places }: Extract<Made, { places: unknown }>, dayOf: (quarter: number) => number): number {
  const at = (end: string) => [...places].flatMap(([key, place]) => (key.endsWith(end) ? [place] : []));
  const [out, back] = [at('/strip/toilet'), at('/end/toilet')];
  if (out.length === 0 || back.length === 0) return 0;
  return dayOf(Math.max(...back.map(({ to }) => to))) - dayOf(Math.min(...out.map(({ from }) => from))) + 1;
}
