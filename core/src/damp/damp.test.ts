import { readOut } from '@maquette/words';
import { distanceMm, distanceToSegmentMm, newFixture } from '../room/index.ts';
import { daysAgo, dampOf, NOW, readingOf, testOf } from './invented-damp.ts';
import {
  absorbencyOf,
  carbidePercent,
  dampResults,
  emissionGM2Day,
  emissionLb,
  judgeDamp,
  limitOf,
  needOf,
  pinPercent,
  probeDepthMm,
  probeSeries,
  proposePlaces,
  testsForArea,
  waysOut,
  type DampFacts,
  type DampMethod,
  type DampTest,
} from './index.ts';

test('emission in both units: 3 lb/(1000 ft2 24 h) is 14.6 g/(m2 24 h)', () => {
  // The two figures stand side by side in older sheets; 52.91 g ft2 h is the constant of the calcium chloride procedure.
  expect(emissionLb(14.648)).toBeCloseTo(3, 2);
  const [gain, areaFt2, hours] = [1.9, 0.5, 66];
  expect(emissionLb(emissionGM2Day(gain, areaFt2 * 0.09290304, hours))).toBeCloseTo(
    (52.91 * gain) / (areaFt2 * hours),
    2,
  );
});

test('carbide gauge: one bar is 5 % at 20 g, 2 % at 50 g, 1 % at 100 g', () => {
  expect([20, 50, 100].map((g) => carbidePercent(1, g))).toEqual([5, 2, 1]);
});

test('pins: cold wood reads too low and is corrected once', () => {
  expect(pinPercent(10, 0, 10, false)).toBeCloseTo(11);
  expect(pinPercent(10, 0, 30, false)).toBeCloseTo(9);
  expect(pinPercent(10, -0.5, 10, true)).toBeCloseTo(9.5);
  expect(pinPercent(10, 0, null, false)).toBe(10);
});

test('probe depth and drops', () => {
  expect([probeDepthMm(120, 1), probeDepthMm(120, 2)]).toEqual([48, 24]);
  expect([30, 60, 61, 300, 301].map(absorbencyOf)).toEqual(['porous', 'porous', 'normal', 'normal', 'dense']);
});

test.each<[DampMethod, number, boolean, number]>([
  ['probe', 30, false, 3],
  ['probe', 93, false, 3],
  ['probe', 93.1, false, 4],
  ['probe', 300, false, 6],
  ['survey', 93, false, 8],
  ['survey', 94, false, 13],
  ['carbide', 50, false, 1],
  ['carbide', 51, true, 2],
  ['carbide', 10, true, 2],
  ['pin', 10, false, 5],
  ['pin', 93, false, 20],
  ['hood', 20, false, 1],
  ['hood', 21, false, 3],
])('%s over %d m2 (heated %s) needs %d', (method, area, heated, count) => {
  expect(testsForArea(method, area, heated)).toBe(count);
});

const faultsOf = (ctx: ReturnType<typeof dampOf>) => dampResults(ctx).map((r) => r.faults);

test('a probe read too soon, at the wrong depth, or long ago is kept and does not count', () => {
  const soon = testOf('probe', 'P1', [1000, 1000], { startedAt: daysAgo(1) });
  const shallow = testOf('probe', 'P2', [3000, 2000], { depthMm: 25 });
  const old = testOf('probe', 'P3', [5000, 4000], { startedAt: daysAgo(60) });
  const good = testOf('probe', 'P4', [3000, 4000]);
  const ctx = dampOf({
    dampTests: [soon, shallow, old, good],
    dampReadings: [readingOf(old, 40, 70), readingOf(good, 3, 71), readingOf(shallow, 2, 72), readingOf(soon, 0.4, 73)],
  });
  expect(readOut(faultsOf(ctx))).toEqual([
    ['40 days old: it counts for 30. Read again'],
    [],
    ['the hole is 25 mm deep: in a slab of 100 mm it is to be 40 mm'],
    ['read 14.4 h after the hole was sealed: it needs 24 h'],
  ]);
  const older = dampOf(ctx.facts, { 'damp/wait': 72 });
  expect(
    dampResults(older)
      .filter((r) => r.valid)
      .map((r) => r.value),
  ).toEqual([71]);
});

test('readings from before the heating changed no longer count', () => {
  const probe = testOf('probe', 'P1', [1000, 1000]);
  const ctx = dampOf({ dampTests: [probe], dampReadings: [readingOf(probe, 5, 70)] }, { 'damp/changed': '2026-06-28' });
  expect(readOut(faultsOf(ctx)[0]![0])).toMatch(/before the heating/);
});

test('air out of band in the two days before voids a probe reading; no air on record is said, not guessed', () => {
  const probe = testOf('probe', 'P1', [1000, 1000]);
  const air = (days: number, rhPercent: number) => ({
    id: `a${days}`,
    takenAt: daysAgo(days),
    tempC: 18,
    rhPercent,
    surfaceC: null,
    instrument: '',
    who: '',
    note: '',
  });
  const facts = { dampTests: [probe], dampReadings: [readingOf(probe, 1, 70)] };
  expect(readOut(dampResults(dampOf(facts))[0])).toMatchObject({
    valid: true,
    remarks: [expect.stringMatching(/No air/)],
  });
  const wet = dampOf({ ...facts, airReadings: [air(3, 55), air(2.4, 82), air(1.9, 55), air(1.4, 55), air(1, 55)] });
  expect(readOut(faultsOf(wet)[0]![0])).toMatch(/air was too damp within 48 h/);
});

test('a dish is void outside 60 to 72 hours', () => {
  const dish = testOf('dish', 'D1', [3000, 2000], { startedAt: daysAgo(3), startG: 100, areaM2: 0.05 });
  const at = (hours: number) => readingOf(dish, 3 - hours / 24, 101.65);
  const ctx = dampOf({ dampTests: [dish], dampReadings: [at(59), at(66), at(73)] });
  expect(dampResults(ctx).map((r) => r.valid)).toEqual([false, true, false]);
  // 1.65 g x 24 / (0.05 m2 x 66 h) = 12.
  expect(dampResults(ctx)[1]!.value).toBeCloseTo(12, 6);
});

test('a hood counts when two readings a day apart agree within 2 %RH', () => {
  const hood = testOf('hood', 'H1', [3000, 2000]);
  const ctx = (second: number) =>
    dampOf({ dampTests: [hood], dampReadings: [readingOf(hood, 2, 74), readingOf(hood, 1, second)] });
  expect(dampResults(ctx(72.5)).map((r) => r.valid)).toEqual([false, true]);
  expect(dampResults(ctx(71.5)).map((r) => r.valid)).toEqual([false, false]);
});

test('pins in a heated base do not count', () => {
  const base = { ...dampOf({}).room.base, heating: 'water' as const };
  const pin = testOf('pin', 'M1', [3000, 2000]);
  const ctx = dampOf(
    { dampTests: [pin], dampReadings: [readingOf(pin, 1, 9)] },
    {},
    { baseKind: 'panels-on-joists', base },
  );
  expect(readOut(faultsOf(ctx)[0]![0])).toMatch(/base is heated/);
});

test('the worst valid reading governs, and a kinder method does not outvote it', () => {
  const probes = [
    testOf('probe', 'P1', [600, 600]),
    testOf('probe', 'P2', [3000, 2500]),
    testOf('probe', 'P3', [5000, 4000]),
  ];
  const hood = testOf('hood', 'H1', [3000, 2000]);
  const ctx = dampOf({
    dampTests: [...probes, hood],
    dampReadings: [
      readingOf(probes[0]!, 4, 88),
      readingOf(probes[0]!, 1, 78),
      readingOf(probes[1]!, 1, 71),
      readingOf(probes[2]!, 1, 70),
      readingOf(hood, 2, 66),
      readingOf(hood, 1, 66),
    ],
  });
  const state = judgeDamp(ctx);
  const probe = state.methods.find((m) => m.method === 'probe')!;
  expect(probe.governing!.value).toBe(78);
  expect(probe.margin).toBe(-3);
  expect(state.methods.find((m) => m.method === 'hood')!.passes).toBe(true);
  expect(state.over).toMatchObject({ method: 'probe', limit: { value: 75 } });
});

test('limits follow the base, the heating and the covering', () => {
  const heated = { ...dampOf({}).room.base, heating: 'water' as const };
  const screed = (kind: 'cement-screed' | 'calcium-sulfate-screed', base = dampOf({}).room.base) =>
    limitOf(dampOf({}, {}, { baseKind: kind, base }), 'carbide')!.value;
  expect([
    screed('cement-screed'),
    screed('cement-screed', heated),
    screed('calcium-sulfate-screed'),
    screed('calcium-sulfate-screed', heated),
  ]).toEqual([2, 1.8, 0.5, 0.3]);
  expect(limitOf(dampOf({}, {}, {}, 'shipped-engineered'), 'hood')!.value).toBe(65);
  expect(limitOf(dampOf({}), 'hood')!.value).toBe(75);
  expect(limitOf(dampOf({}), 'survey')).toBeNull();
});

test('of tests in other rooms those count that are valid there now, and close ones once', () => {
  const { room } = dampOf({});
  const outer = { 'damp/outer-walls': [] };
  const asked = (like: Partial<DampFacts['like']>) =>
    needOf(dampOf({ like: { otherAreaM2: 400, otherTests: {}, ...like } }, outer), 'probe').count;
  const set = (name: string, x: number) => testOf('probe', name, [x, 1000]);
  /** How many of some tests elsewhere are taken off what is needed here. */
  const elsewhere = (...made: [test: DampTest, daysOld: number][]) => {
    const dampTests = made.map(([test]) => test);
    const dampReadings = made.map(([test, days]) => readingOf(test, days, 70));
    const other = { room, answers: [], airReadings: [], airLogs: [], dampTests, dampReadings };
    return asked({}) - asked({ others: [other] });
  };
  expect(asked({})).toBeGreaterThan(4);
  expect(elsewhere([set('P1', 1000), 2], [set('P2', 4000), 2])).toBe(2);
  // 400 mm apart is one place; one was read before its hole had been sealed for a day, one a year ago.
  expect(elsewhere([set('P1', 1000), 2], [set('P2', 1400), 2])).toBe(1);
  expect(elsewhere([set('P1', 1000), 2], [set('P2', 4000), 9.5])).toBe(1);
  expect(elsewhere([set('P1', 1000), 2], [{ ...set('P2', 4000), startedAt: daysAgo(370) }, 365])).toBe(1);
  // Another method says nothing of this one; what no more is known of counts as it is told.
  expect(elsewhere([testOf('dish', 'D1', [1000, 1000]), 2])).toBe(0);
  expect(asked({}) - asked({ otherTests: { probe: 2 } })).toBe(2);
});

test('like bases are counted over the job, but never fewer than one here', () => {
  const like = { otherAreaM2: 200, otherTests: { probe: 5 } };
  expect(needOf(dampOf({ like }, { 'damp/outer-walls': [] }), 'probe').count).toBe(1);
  expect(needOf(dampOf({ like: { ...like, otherTests: {} } }, { 'damp/outer-walls': [] }), 'probe').count).toBe(5);
  expect(needOf(dampOf({}, { 'damp/outer-walls': [0, 1, 2, 3] }), 'probe').count).toBe(4);
});

test('places: one within a metre of each outer wall, off pipes and walls, spread, the same every time', () => {
  const pipe = newFixture('pipe-1', 'pipe', { xMm: 3000, yMm: 600 }, 0);
  const ctx = dampOf({}, { 'damp/outer-walls': [0, 2] }, { fixtures: [pipe] });
  const need = needOf(ctx, 'probe');
  const places = proposePlaces(ctx, 'probe', need, [], []);
  expect(places).toHaveLength(3);
  const { corners } = ctx.plan;
  for (const wall of [0, 2])
    expect(places.some((p) => distanceToSegmentMm(p.xMm, p.yMm, corners[wall]!, corners[wall + 1]!) <= 1000)).toBe(
      true,
    );
  for (const p of places) expect(distanceMm(p, pipe)).toBeGreaterThanOrEqual(500);
  expect(proposePlaces(ctx, 'probe', need, [], [])).toEqual(places);
});

test('what stands out on the survey meter asks for a test at its place', () => {
  const spots: [number, number, number][] = [
    [700, 700, 6],
    [3000, 1000, 2.8],
    [5000, 1000, 2.9],
    [1000, 4000, 3],
    [5000, 4000, 2.7],
  ];
  const tests = spots.map(([x, y], i) => testOf('survey', `S${i}`, [x, y], { startedAt: null }));
  const ctx = dampOf(
    { dampTests: tests, dampReadings: tests.map((t, i) => readingOf(t, 1, spots[i]![2])) },
    { 'damp/outer-walls': [] },
  );
  const state = judgeDamp(ctx);
  expect(state.outliers.map((o) => o.value)).toEqual([6]);
  const probe = state.methods.find((m) => m.method === 'probe')!;
  expect(distanceMm(probe.places[0]!, tests[0]!)).toBeLessThan(300);
});

test('what is set and waits is due in its window', () => {
  const dish = testOf('dish', 'D1', [1000, 1000], { startedAt: NOW, startG: 100, areaM2: 0.05 });
  const hood = testOf('hood', 'H1', [2000, 1000], { startedAt: NOW });
  const state = judgeDamp(dampOf({ dampTests: [dish, hood] }, { 'damp/surface': 'dense' }));
  expect(state.due.map((d) => [d.testId, d.from, d.until])).toEqual([
    ['test-D1', '2026-07-03T00:00:00.000Z', '2026-07-03T12:00:00.000Z'],
    ['test-H1', '2026-07-07T12:00:00.000Z', null],
  ]);
});

test('a forecast is offered from three valid readings over a week, not before', () => {
  const probe = testOf('probe', 'P1', [1000, 1000], { startedAt: daysAgo(30) });
  const series = (days: number[]) => {
    const ctx = dampOf({ dampTests: [probe], dampReadings: days.map((d, i) => readingOf(probe, d, 85 - i)) });
    return probeSeries(ctx, dampResults(ctx));
  };
  expect(series([20, 10])).toEqual([]);
  expect(series([6, 3, 0.5])).toEqual([]);
  expect(series([9, 5, 1])).toHaveLength(1);
  expect(readOut(series([9, 5, 1])[0]!.assumptions[0])).toMatch(/28 days before the first reading is assumed/);
});

const way = (ctx: ReturnType<typeof dampOf>, name: string) =>
  waysOut(ctx, judgeDamp(ctx), null).find((w) => w.way === name)!;

test('ways out: a membrane within its own limit, never on calcium sulfate, never while a source is not ruled out', () => {
  const probe = testOf('probe', 'P1', [1000, 1000]);
  const facts = (value: number) => ({ dampTests: [probe], dampReadings: [readingOf(probe, 1, value)] });
  expect(way(dampOf(facts(85), { 'damp/source': 'no' }), 'membrane').allowed).toBe(true);
  expect(way(dampOf(facts(97), { 'damp/source': 'no' }), 'membrane').allowed).toBe(false);
  expect(way(dampOf(facts(85)), 'membrane').allowed).toBe(false);
  const hood = testOf('hood', 'H1', [1000, 1000]);
  const sulfate = dampOf(
    { dampTests: [hood], dampReadings: [readingOf(hood, 2, 85), readingOf(hood, 1, 85)] },
    { 'damp/source': 'no' },
    { baseKind: 'calcium-sulfate-screed' },
  );
  expect(readOut(way(sulfate, 'membrane'))).toMatchObject({
    allowed: false,
    why: expect.stringMatching(/never shut in/),
  });
  expect(way(dampOf(facts(85), { 'damp/source': 'suspected' }), 'wait').allowed).toBe(false);
});

test('what has no figure is told in words', () => {
  const film = testOf('film', 'F1', [1000, 1000], { startedAt: daysAgo(3) });
  const drop = testOf('water-drop', 'W1', [1000, 1000], { startedAt: null });
  const scratch = testOf('scratch', 'R1', [1000, 1000], { startedAt: null });
  const ctx = dampOf({
    dampTests: [film, drop, scratch],
    dampReadings: [readingOf(film, 1, 1), readingOf(drop, 1, 400), readingOf(scratch, 1, 2)],
  });
  const told = dampResults(ctx).map((r) => readOut(r.valueText));
  expect(told.sort()).toEqual(['400 s: dense', 'Breaks out', 'Droplets']);
});
