import { checkPlan, momentOf } from '../schedule/index.ts';
import { jobFiguresOf } from '../figures/index.ts';
import { courseOf } from './course-of-job.ts';
import { AT, FACTS, house, surprise, withToilet } from './invented-job.ts';
import type { JobFacts } from './job-facts.ts';
import { draftOf } from './job-draft.ts';
import { priceOf } from './job-price.ts';
import { isPlanned, planJob, type PlannedJob } from './plan-job.ts';
import type { RoomGround } from './room-ground.ts';
import { waysThrough } from './ways-through.ts';
import { whatIfs } from './what-ifs.ts';

const NOTHING_UNDER = { panels: [], rolls: [] };
const planned = (grounds: readonly RoomGround[], facts: JobFacts = FACTS): PlannedJob => {
  const made = planJob(grounds, facts, AT, { tries: 40 });
  if (!isPlanned(made)) throw new Error(made.why);
  expect(checkPlan(made.rest, made.followed.plan)).toEqual([]);
  return made;
};
const course = (grounds: readonly RoomGround[], facts: JobFacts = FACTS) => courseOf(grounds, facts, NOTHING_UNDER, AT);
const ROOMS = house();

test('a low is primed, filled, waited for, read again and laid over, in this order and by keys of the room', () => {
  const keys = draftOf(ROOMS, FACTS).tasks.flatMap(({ key }) => (key.startsWith('parlour/level/') ? [key] : []));
  expect(keys).toEqual([
    'parlour/level/prime',
    'parlour/level/primer',
    'parlour/level/pour',
    'parlour/level/walk',
    'parlour/level/cover',
    'parlour/level/again',
  ]);
  const { places } = planned(ROOMS);
  const at = (key: string) => places.get(key)!;
  expect(at('parlour/level/pour').from).toBeGreaterThanOrEqual(at('parlour/level/primer').to);
  // Within a day of the primer; planks once it may be covered.
  expect(at('parlour/level/pour').from - at('parlour/level/prime').to).toBeLessThanOrEqual(24 * 4);
  expect(at('parlour/lay/planks').from).toBeGreaterThanOrEqual(at('parlour/level/cover').to);
});

test('while the hall is shut nobody works in the parlour behind it, and nobody works on a bank holiday', () => {
  const made = planned(ROOMS);
  const { places, rest } = made;
  expect(
    waysThrough(
      ROOMS.map(({ set }) => set),
      [],
    ),
  ).toEqual({ parlour: [['hall']] });
  const [shutFrom, shutTo] = [places.get('hall/level/prime')!.from, places.get('hall/level/walk')!.to];
  const within = rest.tasks.filter(({ key, kind }) => {
    const { from, to } = places.get(key)!;
    return kind === 'work' && key.startsWith('parlour/') && !key.endsWith('/carry') && from < shutTo && to > shutFrom;
  });
  expect(within).toEqual([]);
  for (const task of rest.tasks)
    if (task.kind === 'work') expect(momentOf(rest.calendar, places.get(task.key)!.from) >= '2026-05-05').toBe(true);
});

test('what is ticked is done at its time and is planned no more; what follows it keeps its key', () => {
  const primedAt = '2026-05-04T05:30:00.000Z';
  const ticks = [{ id: 't', key: 'task/level/prime', doneAt: primedAt, note: '' }];
  const made = planned(house({ parlour: { ticks } }));
  expect(made.rest.tasks.some(({ key }) => key === 'parlour/level/prime')).toBe(false);
  expect(made.ask.underWay.done.has('parlour/level/prime')).toBe(true);
  expect(made.rest.standing!.deadlines.map(({ key }) => key)).toContain('parlour/level/pour');
});

test('a task that is held back begins no earlier, and what follows it moves with it', () => {
  const notBefore = '2026-05-12T07:00:00.000Z';
  const hold = { id: 'h', jobId: 'j', key: 'parlour/level/prime', notBefore, note: '' };
  const { days } = course(ROOMS, { ...FACTS, taskHolds: [hold] });
  const from = (key: string) => days.tasks.find((task) => task.key === key)!.from;
  expect(from('parlour/level/prime') >= notBefore).toBe(true);
  expect(from('parlour/lay/planks') > notBefore).toBe(true);
  expect(days.tasks.find(({ key }) => key === 'parlour/level/prime')!.heldTo).toBe(notBefore);
});

test('furniture of one room in the other: neither is worked in while it stands there', () => {
  const furnishings = [
    { id: 'f', jobId: 'j', ofRoomId: 'parlour', goes: 'room' as const, toRoomId: 'hall', hours: 2, note: '' },
  ];
  const { places, rest } = planned(ROOMS, { ...FACTS, furnishings });
  const [out, back] = [places.get('parlour/strip/furniture')!, places.get('parlour/end/furniture')!];
  const inHall = rest.tasks.filter(({ key, kind }) => {
    const { from, to } = places.get(key)!;
    return kind === 'work' && key.startsWith('hall/') && !key.endsWith('/carry') && from < back.to && to > out.from;
  });
  expect(inHall).toEqual([]);
});

test('the only toilet is taken out: a hired one stands in, for the days it is out', () => {
  const made = course([withToilet()]);
  expect(made.days.needsToilet).toBe(true);
  const line = made.bill.lines.find(({ id }) => id === 'toilet')!;
  const figure = jobFiguresOf([]);
  expect(line.cents).toBe(Math.round(100 * (line.gross * figure('toilet-hire-day') + figure('hire-trip'))));
  const second = course([withToilet()], {
    ...FACTS,
    figures: [{ name: 'toilets-more', value: 1, source: '' }],
  });
  expect(second.days.needsToilet).toBe(false);
});

test('what may come is looked for, priced apart, and never charged beside; found it is a change, approved it is work', () => {
  const may = course(ROOMS, { ...FACTS, surprises: [surprise()] });
  const plain = course(ROOMS);
  // A quarter of an hour is looked for it; nothing of it is in the firm price.
  expect(may.price.firm.filter(({ stage }) => stage === 'change')).toEqual([]);
  expect(may.price.provisional).toHaveLength(1);
  const found = course(ROOMS, { ...FACTS, surprises: [surprise({ state: 'found' })] });
  const [change] = found.changes;
  const labour = jobFiguresOf([])('labour-h');
  const diff = change!.lines.reduce((sum, { beforeCents, afterCents }) => sum + afterCents - beforeCents, 0);
  const beside = change!.lines.filter(({ what }) => JSON.stringify(what).includes('planning.travel'));
  const travel = beside.reduce((sum, { beforeCents, afterCents }) => sum + afterCents - beforeCents, 0);
  expect(diff - travel).toBe(Math.round(100 * (8 * labour + 84)));
  expect(found.days.tasks.some(({ key }) => key === 'parlour/change/s1')).toBe(false);
  const approved = course(ROOMS, { ...FACTS, surprises: [surprise({ state: 'approved' })] });
  expect(approved.days.tasks.some(({ key }) => key === 'parlour/change/s1')).toBe(true);
  expect(approved.bill.total.cost - plain.bill.total.cost).toBe(diff);
  const refused = course(ROOMS, { ...FACTS, surprises: [surprise({ state: 'refused' })] });
  expect(refused.bill.total.cost).toBe(plain.bill.total.cost);
  const safe = course(ROOMS, { ...FACTS, surprises: [surprise({ state: 'found', isMakingSafe: true })] });
  expect(safe.days.tasks.some(({ key }) => key === 'parlour/change/s1')).toBe(true);
});

test('base 1840 with rot 35 % 420, laboratory 10 % 1150, visit 25 % 96: P50 1936, P80 2260, P95 3086, contingency 420', () => {
  // Every combination as often as it comes in 800 draws.
  const parts = [
    [0.35, 42_000],
    [0.1, 115_000],
    [0.25, 9_600],
  ] as const;
  const extraCents = Array.from({ length: 8 }, (_, bits) => {
    const isIn = (k: number) => ((bits >> k) & 1) === 1;
    const times = parts.reduce((all, [share], k) => all * (isIn(k) ? share : 1 - share), 800);
    const cents = parts.reduce((all, [, money], k) => all + (isIn(k) ? money : 0), 0);
    return new Array<number>(Math.round(times)).fill(cents);
  })
    .flat()
    .sort((a, b) => a - b);
  const line = {
    id: 'x',
    kind: 'labour' as const,
    what: 'x',
    unit: '',
    net: 0,
    gross: 0,
    packs: null,
    cents: 184_000,
    asStagesCents: 184_000,
    shares: [{ roomId: 'r', stage: 'lay' as const, quantity: 0, cents: 184_000, asStageCents: 184_000 }],
    price: { source: '', on: '', supplier: '', isOwn: false, isUnknown: false },
    kg: 0,
    litres: 0,
    usedH: null,
    isOneBatch: false,
    sealedDays: null,
    hire: null,
  };
  const price = priceOf({
    lines: [line],
    provisional: [],
    costs: {},
    chances: { layingHalf: [], endDay: [], extraCents, kept: 0 },
    figure: jobFiguresOf([{ name: 'margin-pct', value: 0, source: '' }]),
    given: null,
  });
  expect(price.spread).toEqual({ p50: 193_600, p80: 226_000, p95: 308_600 });
  expect(price.contingency).toBe(42_000);
  expect([price.net, price.gross]).toEqual([184_000, 220_800]);
});

test('margin is of the price, rounding goes up, and lines, rounding and tax are the total', () => {
  const { price } = course(ROOMS, {
    ...FACTS,
    figures: [
      { name: 'margin-pct', value: 20, source: '' },
      { name: 'round-to', value: 5, source: '' },
    ],
  });
  const lines = price.firm.reduce((sum, { netCents }) => sum + netCents, 0);
  expect(lines + price.rounding).toBe(price.net);
  expect(price.net % 500).toBe(0);
  for (const { costCents, netCents } of price.firm) expect(Math.abs(netCents * 0.8 - costCents)).toBeLessThan(1);
  expect(price.gross).toBe(price.net + price.tax.reduce((sum, { cents }) => sum + cents, 0));
});

test('against the plan that was kept: what moved half a day and more, and what moved it', () => {
  const first = course(ROOMS);
  const kept = {
    id: 'k',
    jobId: 'j',
    keptAt: AT,
    edition: 1,
    places: first.days.tasks.map(({ key, words, from, to }) => ({
      key,
      words: typeof words === 'string' ? words : words.code,
      fromAt: from,
      toAt: to,
    })),
    inOrder: first.days.order,
    layingAt: first.days.laying!.at,
    promisedDay: '',
    note: '',
  };
  expect(course(ROOMS, { ...FACTS, keptPlans: [kept] }).days.since!.moved).toEqual([]);
  const later = course(ROOMS, {
    ...FACTS,
    keptPlans: [kept],
    surprises: [surprise({ state: 'approved', hours: 10, waitH: 48 })],
  }).days.since!;
  expect(later.moved.length).toBeGreaterThan(0);
  expect(later.cause!.key).toBe('parlour/change/s1');
});

test('a person more, or Saturdays, is never shown later than the job as it is', () => {
  const rows = whatIfs(ROOMS, FACTS, NOTHING_UNDER, AT);
  const half = (row: (typeof rows)[number]) => row.laying!.day + Number(row.laying!.isAfternoon);
  const base = rows[0]!;
  for (const id of ['person', 'saturdays']) {
    const row = rows.find((one) => one.id === id)!;
    expect(half(row) <= half(base)).toBe(true);
    expect(row.promised.laying!.day <= base.promised.laying!.day).toBe(true);
  }
});

test('boxes that are in are not fetched again, and a covering is fetched for the day it is carried in', () => {
  const { bill } = course(ROOMS);
  const covering = bill.lines.find(({ isOneBatch }) => isOneBatch)!;
  expect(bill.runs.flatMap(({ load }) => load).some(({ what }) => what === covering.what)).toBe(true);
  const counted = {
    id: 'c',
    jobId: 'j',
    productId: covering.id,
    boughtOn: '2026-05-01',
    bought: covering.packs!.count,
    opened: covering.packs!.count - 1,
    planned: covering.packs!.count,
    batch: 'R 4417',
    useBy: '',
    note: '',
  };
  const after = course(ROOMS, { ...FACTS, packCounts: [counted] }).bill;
  expect(after.runs.flatMap(({ load }) => load).some(({ what }) => what === covering.what)).toBe(false);
  expect(after.counted[0]).toMatchObject({ back: 1, backBy: '2026-05-31' });
});
