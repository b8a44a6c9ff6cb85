import { calendarOf, momentOf, quarterAt } from './calendar.ts';
import { checkPlan } from './check-plan.ts';
import { schedule, type Scheduled } from './improve.ts';
import { inventedJob, wait, weekdays, work } from './invented-jobs.ts';
import { prepare, type Prepared } from './prepared.ts';
import { reasonChain } from './reasons.ts';
import { lateIn, restOf } from './replan.ts';
import { placeAll } from './serial.ts';
import type { Job, NoPlan, Plan, Task, Within } from './task.ts';

const ready = (job: Job): Prepared => {
  const prepared = prepare(job);
  if ('why' in prepared) throw new Error(prepared.why);
  return prepared;
};
const planned = (job: Job, tries = 60): Scheduled => {
  const found = schedule({ prepared: ready(job), tries });
  if ('why' in found) throw new Error(`${found.why}: ${JSON.stringify(found)}`);
  return found;
};
/** Monday the 4th of May 2026, a week of eight to three, one person. */
const ONE = calendarOf({
  zone: 'Europe/London',
  firstDay: '2026-05-04',
  days: 60,
  week: weekdays([[8 * 60, 15 * 60]]),
});
const alone = (tasks: readonly Task[], within: readonly Within[] = [], part: Partial<Job> = {}): Job => ({
  tasks,
  within,
  calendar: ONE,
  people: 1,
  machines: {},
  holdings: {},
  trades: {},
  ways: {},
  ...part,
});
const local = (plan: Plan, key: string) => momentOf(ONE, plan.get(key)!.from);

const POUR = [
  work('prime', 1, [], { room: 'r', unbroken: true }),
  wait('dry', 2, ['prime']),
  work('pour', 3, ['dry'], { room: 'r', unbroken: true }),
  wait('cure', 24, ['pour']),
  work('read', 1, ['cure'], { room: 'r' }),
  work('lay', 4, ['read'], { room: 'r', isLaying: true }),
];
const SOON: Within[] = [{ key: 'pour', of: 'prime', quarters: 96 }];

test('primed on Monday at eight, laid from Wednesday at eight', () => {
  const { plan } = planned(alone(POUR, SOON));
  expect(local(plan, 'prime')).toBe('2026-05-04T07:00:00.000Z');
  expect(local(plan, 'pour')).toBe('2026-05-04T10:00:00.000Z');
  expect(local(plan, 'read')).toBe('2026-05-05T13:00:00.000Z');
  expect(local(plan, 'lay')).toBe('2026-05-06T07:00:00.000Z');
});

test('free from Friday at ten: the pour would not end that day, so that the primer waits for Monday', () => {
  const friday = quarterAt(ONE, '2026-05-08T09:00:00Z');
  const late = POUR.map((task) => (task.key === 'prime' ? { ...task, notBefore: friday } : task));
  const { plan } = planned(alone(late, SOON));
  expect(local(plan, 'prime')).toBe('2026-05-11T07:00:00.000Z');
  expect(local(plan, 'lay')).toBe('2026-05-13T07:00:00.000Z');
  // Not read before it is laid: Tuesday at two.
  const unread = late
    .filter(({ key }) => key !== 'read')
    .map((task) => (task.key === 'lay' ? { ...task, after: ['cure'] } : task));
  expect(local(planned(alone(unread, SOON)).plan, 'lay')).toBe('2026-05-12T13:00:00.000Z');
});

test('eight stays eight when the clocks are set, and a wait is as long as it is', () => {
  const spring = calendarOf({ zone: 'Europe/London', firstDay: '2026-03-27', days: 5, week: weekdays([[480, 900]]) });
  // Friday before and Monday after: 72 hours less the one that is left out.
  const opens = [...spring.isOpen.keys()].filter((q) => spring.isOpen[q] && !spring.isOpen[q - 1]);
  expect(opens.map((q) => momentOf(spring, q)).slice(0, 2)).toEqual([
    '2026-03-27T08:00:00.000Z',
    '2026-03-30T07:00:00.000Z',
  ]);
  expect(spring.quarters).toBe((5 * 24 - 1) * 4);
  const own = calendarOf({
    zone: 'America/New_York',
    firstDay: '2026-11-01',
    days: 3,
    week: weekdays([[480, 900]]),
    own: { '2026-11-02': [], '2026-11-03': [[600, 660]] },
  });
  expect(own.quarters).toBe(73 * 4);
  expect(own.isOpen.reduce((sum, open) => sum + open, 0)).toBe(4);
});

test('more tries never end later, and a plan made from its own order is no worse', () => {
  for (const seed of [3, 7]) {
    const job = inventedJob(seed, 4);
    const [few, many] = [planned(job, 12), planned(job, 80)];
    expect(many.reached.layingHalf).toBeLessThanOrEqual(few.reached.layingHalf);
    // By its own order, the one way it can be gone by and the other.
    const again = schedule({ prepared: ready(job), tries: 2, from: many.order });
    expect('why' in again ? null : again.reached).toEqual(many.reached);
  }
});

test('a shut room is no way: what lies behind it waits, or is done before', () => {
  const job = alone(
    [
      work('pour', 2, [], { room: 'hall', unbroken: true, shutUntil: 'walk', notBefore: 32 }),
      wait('walk', 30, ['pour']),
      work('shelves', 1, [], { room: 'store' }),
    ],
    [],
    { people: 2, ways: { store: [['hall']] } },
  );
  const behind = {
    ...job,
    tasks: job.tasks.map((task) => (task.key === 'shelves' ? { ...task, notBefore: 34 } : task)),
  };
  for (const one of [job, behind]) expect(checkPlan(one, planned(one).plan)).toEqual([]);
  const { plan } = planned(behind);
  const [shelves, pour, walk] = [plan.get('shelves')!, plan.get('pour')!, plan.get('walk')!];
  expect(shelves.to <= pour.from || shelves.from >= walk.to).toBe(true);
});

test('the checker finds what a plan does wrong, each thing by its name', () => {
  const job = alone(
    [
      work('prime', 1, [], { room: 'r', unbroken: true, machines: ['mixer'] }),
      work('other', 1, [], { room: 'r', machines: ['mixer'], holds: [{ what: 'toilet', until: 'other' }] }),
      work('third', 1, ['prime'], { holds: [{ what: 'toilet', until: 'third' }] }),
    ],
    [{ key: 'third', of: 'prime', quarters: 4 }],
    { machines: { mixer: 1 }, holdings: { toilet: 1 } },
  );
  const at = (from: number, quarters = 4) => ({ from, to: from + quarters });
  const wrong = (places: Record<string, { from: number; to: number }>) =>
    new Set(checkPlan(job, new Map(Object.entries(places))).map(({ what }) => what));
  const good = { prime: at(32), other: at(40), third: at(36) };
  expect(wrong(good)).toEqual(new Set());
  expect(wrong({ prime: at(32), third: at(36) })).toEqual(new Set(['missing']));
  expect(wrong({ ...good, other: at(32) })).toEqual(new Set(['people', 'machine', 'room']));
  expect(wrong({ ...good, third: at(32) })).toEqual(new Set(['order', 'people']));
  expect(wrong({ ...good, other: at(36) })).toEqual(new Set(['people', 'held']));
  expect(wrong({ ...good, third: at(48) })).toEqual(new Set(['late']));
  expect(wrong({ ...good, prime: at(28) })).toEqual(new Set(['length', 'night']));
  expect(wrong({ ...good, other: at(40, 8) })).toEqual(new Set(['length']));
});

test('where there is no order it says why: a circle, a name that is none, what never fits, what two hold from one another', () => {
  const why = (job: Job): NoPlan => {
    const prepared = prepare(job);
    if ('why' in prepared) return prepared;
    const found = placeAll(
      prepared,
      prepared.tasks.map((_, k) => k),
    );
    return found instanceof Map ? { why: 'never', key: 'planned' } : (found as NoPlan);
  };
  expect(why(alone([work('a', 1, ['b']), work('b', 1, ['a'])]))).toEqual({ why: 'circle', keys: ['a', 'b'] });
  expect(why(alone([work('a', 1, ['nobody'])]))).toEqual({ why: 'unknown', key: 'a', names: 'nobody' });
  expect(why(alone([work('a', 8, [], { unbroken: true })]))).toEqual({ why: 'never', key: 'a' });
  expect(
    why(
      alone(
        [work('a', 1), work('b', 1, ['a'], { unbroken: true }), wait('w', 40, ['a']), work('c', 1, ['w'])],
        [{ key: 'c', of: 'a', quarters: 8 }],
      ),
    ),
  ).toEqual({ why: 'within', key: 'c', of: 'a' });
});

test('why it is laid when it is: from the first cause on, each with what it waited for', () => {
  const job = alone(POUR, SOON);
  const { plan } = planned(job);
  const chain = reasonChain(ready(job), plan);
  expect(chain.map(({ key, waitedFor }) => [key, waitedFor])).toEqual([
    ['prime', null],
    ['dry', 'after'],
    ['pour', 'after'],
    ['cure', 'after'],
    ['read', 'after'],
    ['lay', 'after'],
  ]);
  // Read until three on Tuesday, laid on Wednesday at eight.
  expect(chain.at(-1)!.idle).toBe(17 * 4);
  const two = alone([work('first', 3), work('second', 3, [], { isLaying: true, notBefore: 33 })]);
  expect(reasonChain(ready(two), planned(two).plan).map(({ key, waitedFor }) => [key, waitedFor])).toEqual([
    ['first', null],
    ['second', 'people'],
  ]);
});

test('planned anew from what is ticked: done keeps its time, a cure runs on, begun work its rest, and nothing begins before now', () => {
  const job = alone(POUR, SOON);
  const at = (utc: string) => quarterAt(ONE, utc);
  const done = new Map([
    ['prime', { from: at('2026-05-04T07:00:00Z'), to: at('2026-05-04T09:00:00Z') }],
    ['dry', { from: at('2026-05-04T09:00:00Z'), to: at('2026-05-04T11:00:00Z') }],
    ['pour', { from: at('2026-05-04T11:00:00Z'), to: at('2026-05-04T14:00:00Z') }],
  ]);
  const now = at('2026-05-05T07:00:00Z');
  const { plan } = planned(restOf(job, { done, begun: new Map(), now }));
  // An hour later than planned: Tuesday's reading does not fit before three any more.
  expect([...plan.keys()].sort()).toEqual(['cure', 'lay', 'read']);
  expect(local(plan, 'cure')).toBe('2026-05-04T14:00:00.000Z');
  expect(local(plan, 'read')).toBe('2026-05-06T07:00:00.000Z');
  expect(local(plan, 'lay')).toBe('2026-05-06T08:00:00.000Z');
  const half = restOf(job, {
    done: new Map([...done, ['cure', { from: 0, to: now }], ['read', { from: now, to: now + 4 }]]),
    begun: new Map([['lay', { leftQuarters: 6 }]]),
    now: now + 8,
  });
  expect(planned(half).plan.get('lay')).toEqual({ from: now + 8, to: now + 14 });
  // Primed on Monday, nothing poured by Wednesday: it is too late, and said.
  const late = restOf(job, {
    done: new Map([['prime', done.get('prime')!]]),
    begun: new Map(),
    now: at('2026-05-06T07:00:00Z'),
  });
  expect(lateIn(late, planned(late).plan)).toEqual(['pour']);
  expect(lateIn(half, planned(half).plan)).toEqual([]);
});

test('what was poured yesterday shuts its room today, and a toilet that is out stays out until it is back', () => {
  const job = alone(
    [
      work('pour', 2, [], { room: 'hall', unbroken: true, shutUntil: 'walk' }),
      wait('walk', 30, ['pour']),
      work('shelves', 1, [], { room: 'store' }),
      work('out', 1, [], { room: 'bath', holds: [{ what: 'toilet', until: 'in' }] }),
      work('in', 1, ['out'], { room: 'bath' }),
      work('other-out', 1, [], { room: 'second', holds: [{ what: 'toilet', until: 'other-in' }] }),
      work('other-in', 1, ['other-out'], { room: 'second' }),
    ],
    [],
    { people: 3, ways: { store: [['hall']] }, holdings: { toilet: 1 } },
  );
  const done = new Map([
    ['pour', { from: 32, to: 40 }],
    ['out', { from: 32, to: 36 }],
  ]);
  const rest = restOf(job, { done, begun: new Map(), now: 44 });
  const { plan } = planned(rest);
  expect(plan.get('shelves')!.from).toBeGreaterThanOrEqual(40 + 120);
  expect(plan.get('other-out')!.from).toBeGreaterThanOrEqual(plan.get('in')!.to);
});
