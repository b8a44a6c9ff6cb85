import { array, assert, constantFrom, integer, property, record } from 'fast-check';
import { layingBound } from './bound.ts';
import { calendarOf } from './calendar.ts';
import { checkPlan } from './check-plan.ts';
import { schedule } from './improve.ts';
import { inventedHouse } from './invented-house.ts';
import { inventedJob, wait, weekdays, work } from './invented-jobs.ts';
import { reachedBy } from './objective.ts';
import { prepare, type Prepared } from './prepared.ts';
import { placeBy } from './serial.ts';
import type { Job, Task } from './task.ts';

const ready = (job: Job): Prepared => {
  const prepared = prepare(job);
  if ('why' in prepared) throw new Error(prepared.why);
  return prepared;
};

const ordersOf = (of: readonly number[]): number[][] =>
  of.length < 2 ? [[...of]] : of.flatMap((one) => ordersOf(of.filter((k) => k !== one)).map((rest) => [one, ...rest]));

/** The least half day over every order there is. */
function leastOf(prepared: Prepared): number {
  const all = prepared.tasks.map((_, k) => k);
  return Math.min(
    ...ordersOf(all).map((order) => {
      const rank = new Array<number>(all.length);
      order.forEach((k, i) => (rank[k] = i));
      const plan = placeBy(prepared, rank, false);
      return 'why' in plan ? Infinity : reachedBy(prepared.job, plan).layingHalf;
    }),
  );
}

const CALENDAR = calendarOf({
  zone: 'Europe/London',
  firstDay: '2026-05-04',
  days: 30,
  week: weekdays([
    [480, 720],
    [750, 960],
  ]),
});

test('no order of a small job beats its bound: layings short and long, early and late, by one or two people', () => {
  const room = record({
    waitH: integer({ min: 0, max: 60 }),
    layH: integer({ min: 1, max: 14 }),
    people: constantFrom(1, 2),
    isGround: constantFrom(true, false),
    isToilet: constantFrom(true, false),
  });
  assert(
    property(array(room, { minLength: 1, maxLength: 3 }), constantFrom(1, 2), (rooms, people) => {
      const tasks = rooms.flatMap(({ waitH, layH, people: at, isGround, isToilet }, r): Task[] => [
        ...(waitH > 0 && rooms.length < 3 ? [wait(`${r}/wait`, waitH, [])] : []),
        work(`${r}/open`, 1 + r, waitH > 0 && rooms.length < 3 ? [`${r}/wait`] : [], {
          room: String(r),
          machines: isGround ? ['grinder'] : [],
          holds: isToilet ? [{ what: 'toilet', until: `${r}/lay` }] : [],
          ...(waitH > 0 && rooms.length === 3 ? { notBefore: waitH * 4 } : {}),
        }),
        work(`${r}/lay`, layH, [`${r}/open`], { room: String(r), isLaying: true, people: Math.min(at, people) }),
      ]);
      const prepared = ready({
        ...{ tasks, within: [], calendar: CALENDAR, people, machines: { grinder: 1 } },
        ...{ holdings: { toilet: 1 }, trades: {}, ways: {} },
      });
      expect(layingBound(prepared)!).toBeLessThanOrEqual(leastOf(prepared));
    }),
    { numRuns: 60 },
  );
});

test.each([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])(
  'job %i: its plan can be worked, no bound is above it, and the same is planned again',
  (seed) => {
    for (const job of [inventedJob(seed, 2 + (seed % 4)), inventedHouse(seed, 1 + (seed % 8)).job]) {
      const prepared = ready(job);
      const boundHalf = layingBound(prepared)!;
      const plan = () => schedule({ prepared, tries: 40 });
      const found = plan();
      if ('why' in found) throw new Error(found.why);
      expect(checkPlan(job, found.plan)).toEqual([]);
      expect(boundHalf).toBeLessThanOrEqual(found.reached.layingHalf);
      expect(plan()).toEqual(found);
    }
  },
);

test('a late short laying is under way when the last one begins, not a long one that was done long before', () => {
  // Two people: two layings that can begin on Saturday only, so on Monday, beside one another; two longer ones that are done by then.
  const late = 5 * 96;
  const tasks = [
    work('long/lay', 20, [], { room: 'long', isLaying: true }),
    work('long/two', 20, [], { room: 'two', isLaying: true }),
    ...['a', 'b'].map((room) => work(`${room}/lay`, 6, [], { room, isLaying: true, notBefore: late + 32 })),
  ];
  const prepared = ready({
    ...{ tasks, within: [], calendar: CALENDAR, people: 2, machines: {}, holdings: {}, trades: {}, ways: {} },
  });
  const found = schedule({ prepared, tries: 40 });
  if ('why' in found) throw new Error(found.why);
  expect(layingBound(prepared)).toBe(found.reached.layingHalf);
});
