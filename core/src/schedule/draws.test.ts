import { calendarOf } from './calendar.ts';
import { drawChances, quantile, type Chances, type Spread } from './draws.ts';
import { schedule } from './improve.ts';
import { inventedJob, wait, weekdays, work } from './invented-jobs.ts';
import { linksOf } from './links.ts';
import { prepare, type Prepared } from './prepared.ts';
import { isWork, type Job, type Plan } from './task.ts';

const planned = (job: Job): { prepared: Prepared; plan: Plan } => {
  const prepared = prepare(job);
  if ('why' in prepared) throw new Error(prepared.why);
  const found = schedule({ prepared, tries: 30 });
  if ('why' in found) throw new Error(found.why);
  return { prepared, plan: found.plan };
};
const drawn = (of: { prepared: Prepared; plan: Plan }, spreads: Record<string, Spread> = {}, draws = 200): Chances =>
  drawChances({ ...of, spreads, draws });

const ONE: Omit<Job, 'tasks'> = {
  within: [],
  calendar: calendarOf({
    zone: 'Europe/London',
    firstDay: '2026-05-04',
    days: 60,
    week: weekdays([[8 * 60, 16 * 60]]),
  }),
  people: 1,
  machines: {},
  holdings: {},
  trades: {},
  ways: {},
};

test('of sorted numbers the one that eight of ten do not exceed', () => {
  const ten = Array.from({ length: 10 }, (_, k) => k + 1);
  expect([0.5, 0.8, 0.95, 1].map((share) => quantile(ten, share))).toEqual([5, 8, 10, 10]);
  expect(quantile([7], 0.5)).toBe(7);
});

test.each([2, 5, 8])('invented job %i: links are the plan’s own order, and the same ask draws the same', (seed) => {
  const of = planned(inventedJob(seed, 4));
  const { prepared, plan } = of;
  linksOf(prepared, plan).forEach((links, k) => {
    for (const { from } of links)
      expect(plan.get(prepared.tasks[from]!.key)!.to).toBeLessThanOrEqual(plan.get(prepared.tasks[k]!.key)!.from);
  });
  const chances = drawn(of, {}, 60);
  expect(drawn(of, {}, 60)).toEqual(chances);
  expect([...chances.layingHalf].sort((a, b) => a - b)).toEqual(chances.layingHalf);
  expect(chances.kept).toBeGreaterThanOrEqual(0);
  expect(chances.kept).toBeLessThanOrEqual(1 + 1e-9);
});

test('a longer cure never gives an earlier date, in no quantile', () => {
  for (const seed of [2, 5, 8]) {
    const job = inventedJob(seed, 4);
    const { plan, prepared } = planned(job);
    const slow = job.tasks.map((task) =>
      isWork(task) || !task.key.endsWith('/cure') ? task : { ...task, quarters: task.quarters + 40 },
    );
    const other = prepare({ ...job, tasks: slow });
    if ('why' in other) throw new Error(other.why);
    const [quick, late] = [drawn({ prepared, plan }, {}, 80), drawn({ prepared: other, plan }, {}, 80)];
    quick.layingHalf.forEach((half, k) => expect(late.layingHalf[k]).toBeGreaterThanOrEqual(half));
  }
});

test('a surprise is there in its share of draws; a laboratory gives one answer to the whole job', () => {
  const job: Job = {
    ...ONE,
    tasks: [work('rot', 40), work('lay', 2, ['rot'], { isLaying: true })],
  };
  const { layingHalf } = drawn(planned(job), { rot: { kind: 'surprise', share: 0.35 } }, 1000);
  // A week of work, or none: two dates, in that share.
  const late = layingHalf.filter((half) => half > 2).length / 1000;
  expect(late).toBeGreaterThan(0.31);
  expect(late).toBeLessThan(0.39);
  const two: Job = {
    ...ONE,
    tasks: [
      wait('a/lab', 24, []),
      wait('b/lab', 24, []),
      work('lay', 2, ['a/lab'], { isLaying: true }),
      work('other', 2, ['b/lab'], { isLaying: true }),
    ],
  };
  const table: Spread = { kind: 'table', quarters: [0, 96 * 7] };
  const both = drawn(planned(two), { 'a/lab': table, 'b/lab': table }, 400);
  // Were each drawn by itself, three of four would be late.
  const share = both.layingHalf.filter((half) => half > 4).length / 400;
  expect(share).toBeGreaterThan(0.4);
  expect(share).toBeLessThan(0.6);
});

test('a band keeps its own tenths: half of the draws end by its middle, nine of ten by its upper end', () => {
  const job: Job = { ...ONE, tasks: [wait('r/dry', 24 * 10, []), work('lay', 1, ['r/dry'], { isLaying: true })] };
  const of = planned(job);
  const days = (quarters: number) => quarters * 96;
  const { layingHalf } = drawn(of, { 'r/dry': { kind: 'band', p10: days(7), p50: days(10), p90: days(21) } }, 2000);
  const by = (day: number) => layingHalf.filter((half) => half < 2 * day).length / 2000;
  // Day 10 is a Thursday, day 21 a Monday; what is dry at a weekend is laid on Monday.
  expect(by(11)).toBeGreaterThan(0.45);
  expect(by(11)).toBeLessThan(0.62);
  expect(by(22)).toBeGreaterThan(0.87);
  expect(by(22)).toBeLessThan(0.95);
});

test('what may come beside: the money to keep ready is of the same draws as the date', () => {
  // By all eight cases of three surprises: half cost up to 96, eight of ten up to 420.
  const names = ['rot', 'laboratory', 'visit'] as const;
  const job: Job = {
    ...ONE,
    tasks: [...names.map((key) => work(key, 4)), work('lay', 2, [...names], { isLaying: true })],
  };
  const spreads: Record<string, Spread> = {
    rot: { kind: 'surprise', share: 0.35 },
    laboratory: { kind: 'surprise', share: 0.1 },
    visit: { kind: 'surprise', share: 0.25 },
  };
  const { prepared, plan } = planned(job);
  const prices = { rot: 42_000, laboratory: 115_000, visit: 9600 };
  const { extraCents } = drawChances({ prepared, plan, spreads, prices, draws: 4000 });
  expect([0.5, 0.8].map((share) => quantile(extraCents, share))).toEqual([9600, 42_000]);
  // The laboratory alone ends at 0.94875: nineteen of twenty lies a hair above it.
  const upTo = (cents: number) => extraCents.filter((one) => one <= cents).length / 4000;
  expect(Math.abs(upTo(115_000) - 0.94875)).toBeLessThan(0.012);
  expect(Math.abs(upTo(0) - 0.43875)).toBeLessThan(0.025);
});
