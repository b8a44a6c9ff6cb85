import { readOut } from '@maquette/words';
import loadHighs from 'highs';
import { figuresOf } from '../figures/index.ts';
import { gridOver, heightsFrom } from '../flat/invented.ts';
import { newFixture, newOpening, planOf, regionAreaM2, UNKNOWN_BASE } from '../room/index.ts';
import { hump } from './invented-floor.ts';
import { inventedLevelling, inventedRoom } from './invented-job.ts';
import {
  chalkPoints,
  compoundFigures,
  compoundsOf,
  coverHours,
  dryingHours,
  grindingTask,
  highsModels,
  mapAt,
  patchesOf,
  planeChoices,
  planLevelling,
  pourPlan,
  programmedWay,
  ratesOf,
  shimSteps,
  SHIPPED_COMPOUNDS,
  wayOf,
  type OpenModel,
  type Refusal,
} from './index.ts';
import { smallestFillWay } from './ways.ts';

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const lowCorner = (x: number, y: number) => -9 * Math.exp((-2 * (x ** 2 + y ** 2)) / 1.1 ** 2);
const room = inventedRoom(2600, 2000);
const figure = figuresOf([]);

test('rates are what a bag, an hour and a litre of primer cost, worked out by hand', () => {
  // Patching: 1.4 kg/l and 5 % waste are 1.47 kg, 0.0735 bags; a bag is 24 and 8 minutes of 42 an hour, 5.60.
  const rates = ratesOf(SHIPPED_COMPOUNDS[0]!, figure);
  expect(rates.fillPerL).toBeCloseTo(0.0735 * (24 + 5.6), 9);
  expect(rates.grindPerL).toBeCloseTo(42 / 4, 9);
  expect(rates.touchPerM2).toBeCloseTo(0.06 * 42 + 0.12 * 9, 9);
});

test('a job’s own figures change the product, and only what they name', () => {
  const [name, spec] = compoundFigures(SHIPPED_COMPOUNDS[0]!).find(([n]) => n.endsWith('bagCost'))!;
  expect(readOut(spec)).toMatchObject({ words: 'Patching compound: price of a bag', value: 24 });
  const [patching, levelling] = compoundsOf([{ name, value: 31, source: 'This job' }]);
  expect(patching).toEqual({ ...SHIPPED_COMPOUNDS[0]!, bagCost: 31 });
  expect(levelling).toEqual(SHIPPED_COMPOUNDS[1]);
});

test('levelling compound 8 mm deep is covered 24 h and 8 h for each mm over five', () => {
  expect(coverHours(SHIPPED_COMPOUNDS[1]!, 4)).toBe(24);
  expect(coverHours(SHIPPED_COMPOUNDS[1]!, 8)).toBe(48);
  // Two hours of primer before it; under 12 degrees all of it takes twice as long.
  const at = (tempC: number) =>
    dryingHours(SHIPPED_COMPOUNDS[1]!, 8, figuresOf([{ name: 'dry-temp-c', value: tempC, source: 'This job' }]));
  expect([at(20), at(12), at(11.9), at(5)]).toEqual([50, 50, 100, 100]);
});

test('mixed is certified, inside its limits, adds up to its lines and costs no more than fill or grinding alone', () => {
  const { job } = inventedLevelling(room, (x, y) => hump(x, y) + lowCorner(x, y));
  const [mixed, fill] = (['mixed', 'fill'] as const).map((id) => programmedWay(job, id, 'live', { open }));
  const way = mixed!.way!;
  expect(way.holds).toBe(true);
  expect(way.certificates[0]).toMatchObject({ directions: 36, cellMm: 50, holds: true });
  expect(Math.max(...way.change.grindMm)).toBeLessThanOrEqual(3 + 1e-6);
  expect(way.costLines.reduce((sum, line) => sum + line.amount * line.rate, 0)).toBeCloseTo(way.cost, 9);
  expect(way.patches.reduce((sum, p) => sum + p.volumeL, 0)).toBeCloseTo(way.fillL, 1);
  expect(way.grinding.map((g) => g.label)).toContain('G1');
  expect(fill!.way!.grindL).toBe(0);
  expect(mixed!.linearCost).toBeLessThanOrEqual(fill!.linearCost * 1.02);
});

test('grinding alone keeps the rule without a drop of compound where it can', () => {
  const { way } = programmedWay(inventedLevelling(room, (x, y) => hump(x, y) / 2).job, 'grind', 'live', {
    open,
  });
  expect(way).toMatchObject({ holds: true, fillL: 0, needs: [], dryH: 0 });
});

const depthTaken = (refusal: Refusal | null) => (refusal && refusal.limit !== 'load' ? refusal.takesMm : NaN);

test('grinding alone is refused beside a deep low, with the limit that binds and where', () => {
  const { job } = inventedLevelling(room, (x, y) => 3 * lowCorner(x, y));
  const { way, refusal } = programmedWay(job, 'grind', 'live', { open });
  expect(way).toBeNull();
  expect(refusal).toMatchObject({ limit: 'grind-depth', allowedMm: 3 });
  expect(depthTaken(refusal)).toBeGreaterThan(3);
});

test('a gate, a marked place, an opening and a flange each hold back what they name', () => {
  const at = { xMm: 2000, yMm: 1800 };
  const held = inventedRoom(3000, 2400, {
    openings: [newOpening('door', 0, 500, 800)],
    fixtures: [newFixture('wc', 'toilet', { xMm: 700, yMm: 1700 }, 0)],
  });
  const { job } = inventedLevelling(held, hump, {
    keepOff: [
      { what: 'grind', shape: 'area', points: [at, { xMm: 2600, yMm: 1800 }, { xMm: 2600, yMm: 2300 }], reachMm: 0 },
    ],
  });
  const limit = (map: 'fillMm' | 'grindMm', xMm: number, yMm: number) => mapAt(job.grid, job.limits[map], { xMm, yMm });
  expect(limit('fillMm', 900, 75)).toBe(8);
  expect(limit('fillMm', 900, 600)).toBe(40);
  expect(limit('fillMm', 700, 1700)).toBe(0);
  expect(limit('grindMm', 2500, 1900)).toBe(0);
  expect(limit('grindMm', 1500, 1200)).toBe(3);
  const shut = inventedLevelling(held, hump, { gates: { grind: false, prime: false, fix: false } }).job;
  expect(Math.max(...shut.limits.grindMm, ...shut.limits.fillMm)).toBe(0);
  expect(programmedWay(shut, 'mixed', 'live', { open }).refusal).toMatchObject({ limit: 'gate' });
});

// Cover of 30 mm stays over pipes: at 32 mm deep 2 mm may go, at 25 mm nothing, at a depth nobody knows nothing.
test.each([
  [32, 2],
  [25, 0],
  [null, 0],
  [60, 3],
])('over heating at %j mm the grinder may take %d mm', (heatingDepthMm, most) => {
  const heated = inventedRoom(3000, 2400, { base: { ...UNKNOWN_BASE, heating: 'water', heatingDepthMm } });
  const { job } = inventedLevelling(heated, hump);
  expect(Math.max(...job.limits.grindMm)).toBe(most);
  expect(job.boundBy.grind[job.grid.inside.indexOf(1)]).toBe(most === 3 ? 'grind-depth' : 'heating');
});

test('a height asked for under a tray is a target over its mean there, and over its own cells', () => {
  const room = inventedRoom(3000, 2400, { fixtures: [newFixture('tray', 'bath', { xMm: 1500, yMm: 1200 }, 0)] });
  const { job } = inventedLevelling(room, () => 0, { rises: new Map([['tray', 4]]) });
  expect(job.targets).toHaveLength(1);
  expect(job.targets[0]!.levelMm - job.targets[0]!.nowMm).toBeCloseTo(4, 9);
  expect(inventedLevelling(room, () => 0, { rises: new Map([['gone', 4]]) }).job.targets).toEqual([]);
});

test('what a way does at an opening is the rise along it', () => {
  const { job } = inventedLevelling(inventedRoom(3000, 2400, { openings: [newOpening('d', 0, 500, 800)] }), () => 0);
  const fillMm = heightsFrom(job.grid, (_, y) => (y < 0.2 ? 4 : 0));
  const way = wayOf(job, 'fill', { fillMm, grindMm: new Float64Array(fillMm.length) }, []);
  expect(readOut(way.rises)).toEqual([{ id: 'd', name: 'door in W1', leastMm: 0, mostMm: 4 }]);
});

test('a product that suits leads; on timber the fibre product does', () => {
  const pour = (baseKind: 'slab-on-ground' | 'panels-on-joists') =>
    planeChoices(inventedLevelling(inventedRoom(3000, 2400, { baseKind }), hump).job)[0]!;
  expect(pour('slab-on-ground').needs[0]!.compound.id).toBe('self-levelling');
  expect(pour('panels-on-joists').needs[0]!.compound.id).toBe('fibre-levelling');
  expect(pour('slab-on-ground').needs.at(-1)!.unsuited).not.toBeNull();
});

test('grinding the top of a hump away saves bags, to the depth that may be ground', () => {
  const choices = planeChoices(inventedLevelling(room, hump).job);
  expect(choices.map((c) => c.groundMm)).toEqual([0, 0.5, 1, 1.5, 2, 2.5, 3]);
  expect(choices.at(-1)!.volumeL).toBeLessThan(choices[0]!.volumeL);
  expect(choices.every((c) => c.refusal === null)).toBe(true);
  expect(choices.every((c) => c.certificates.every((one) => one.holds))).toBe(true);
});

test('a pour that raises a door too far says so, with how much it would take', () => {
  const held = inventedRoom(2600, 2000, { openings: [newOpening('d', 0, 900, 800)] });
  const [pour] = planeChoices(inventedLevelling(held, (_, y) => 6 * y).job);
  // 6 mm to the metre over two metres, and 3 mm at the highest: about 15 mm at the door, 8 are allowed.
  expect(pour!.refusal).toMatchObject({ limit: 'opening', allowedMm: 8 });
  expect(depthTaken(pour!.refusal)).toBeCloseTo(14.7, 0);
});

test('a floor inside its rule needs nothing, and other rules are told beside', () => {
  const { job, state } = inventedLevelling(room, (x) => 2 * x);
  const plan = planLevelling(job, state)!;
  expect(plan.nothingToDo).toBe(true);
  expect(plan.fill.cost).toBe(0);
  expect(plan.otherRules.length).toBeGreaterThan(4);
  expect(plan.panel).toBeNull();
});

test('chalk points go round each outline with two tapes that lead back to the point', () => {
  const grid = gridOver(planOf(room));
  const areas = patchesOf(
    grid,
    heightsFrom(grid, (x, y) => Math.max(0, 3 - 12 * ((x - 2) ** 2 + (y - 1) ** 2))),
  );
  const points = chalkPoints(room, planOf(room), areas, { xMm: 0, yMm: 0 });
  expect(points.length).toBeGreaterThan(4);
  expect(points.map((p) => p.number)).toEqual(points.map((_, i) => i + 1));
  expect(new Set(points.map((p) => p.key)).size).toBe(points.length);
  for (const { at, tapes } of points) {
    expect(tapes).toHaveLength(2);
    // In a rectangle the two tapes are the distances to one wall of each pair.
    const [a, b] = tapes.map((t) => t.distanceMm).sort((p, q) => p - q) as [number, number];
    const own = [Math.min(at.xMm, 2600 - at.xMm), Math.min(at.yMm, 2000 - at.yMm)].sort((p, q) => p - q);
    expect([a, b]).toEqual([expect.closeTo(own[0]!, 3), expect.closeTo(own[1]!, 3)]);
  }
  // The first corner is the one nearest to where one stands.
  const away = points.map((p) => Math.hypot(p.at.xMm, p.at.yMm));
  expect(away[0]).toBe(Math.min(...away));
});

test('bays: width is rate times wet edge over ribbon, and their litres add up to the pour', () => {
  const hall = inventedRoom(12_000, 8000, {
    openings: [newOpening('d', 0, 500, 900)],
    fixtures: [newFixture('r', 'register', { xMm: 4000, yMm: 200 }, 0)],
  });
  const plan = planOf(hall);
  const grid = gridOver(plan, 100);
  const depth = heightsFrom(grid, () => 5);
  const pour = pourPlan(hall, plan, grid, depth, SHIPPED_COMPOUNDS[1]!, figure);
  // One mixer, 25 kg in 8 minutes over 8.5 kg/m2: 0.368 m2/min; ten minutes over half a metre: 7.35 m.
  expect(pour.rateM2PerMin).toBeCloseTo(25 / (8 * 8.5), 6);
  expect(pour.widestMm).toBeCloseTo(7353, 0);
  expect(pour.bays).toHaveLength(2);
  expect(pour.bays.reduce((sum, bay) => sum + bay.volumeL, 0)).toBeCloseTo(12 * 8 * 5, 3);
  expect(pour.bays.reduce((sum, bay) => sum + regionAreaM2(bay.region), 0)).toBeCloseTo(96, 6);
  expect(pour.bays[0]!.stopEndMm).toBeCloseTo(12_000, 0);
  expect(pour.bays[1]!.stopEndMm).toBe(0);
  expect(pour.foamM).toBeCloseTo(40, 6);
  expect(readOut(pour.dams)).toEqual([{ name: 'door in W1', widthMm: 900 }]);
  expect(readOut(pour.plugs)).toEqual(['Register']);
  const crew = figuresOf([{ name: 'mixers', value: 2, source: 'This job' }]);
  expect(pourPlan(hall, plan, grid, depth, SHIPPED_COMPOUNDS[1]!, crew).bays).toHaveLength(1);
});

test('bays are as wide as their own depth lets them be, and leave alike of what that allows', () => {
  const hall = inventedRoom(12_000, 8000);
  const plan = planOf(hall);
  const grid = gridOver(plan, 100);
  // From 3 mm at one long wall to 19 mm at the other.
  const depth = heightsFrom(grid, (_, yM) => 3 + 2 * yM);
  const { bays } = pourPlan(hall, plan, grid, depth, SHIPPED_COMPOUNDS[1]!, figure);
  expect(bays.length).toBeGreaterThan(2);
  const widths = bays.map((bay) => (bay.areaM2 / 12) * 1000);
  bays.forEach((bay, i) => {
    // One mixer, 25 kg in 8 minutes at 1.7 kg/(m2 mm), ten minutes over half a metre.
    expect(bay.widestMm).toBeCloseTo(((25 / (8 * 1.7 * bay.meanMm)) * 10 * 1000) / 0.5, 3);
    expect(widths[i]!).toBeLessThanOrEqual(bay.widestMm + 1e-6);
    expect(bay.massKg).toBeCloseTo(bay.areaM2 * bay.meanMm * 1.7 * 1.05, 3);
  });
  // Deeper bays are narrower, but for the last, which takes what is left.
  for (let i = 1; i < bays.length - 1; i++) expect(widths[i]!).toBeLessThan(widths[i - 1]!);
  expect(bays.reduce((sum, bay) => sum + bay.areaM2, 0)).toBeCloseTo(96, 6);
  expect(bays.reduce((sum, bay) => sum + bay.volumeL, 0)).toBeCloseTo(96 * 11, 3);
});

test('passes, hours and dust of a place to take down; felt goes in whole steps', () => {
  const area = {
    label: 'G1',
    areaM2: 1,
    volumeL: 2,
    meanMm: 2,
    deepestMm: 2.4,
    deepestAt: [0, 0] as [number, number],
    outlines: [],
    classes: [],
  };
  expect(readOut(grindingTask(area, false, figure))).toMatchObject({ passes: 3, hours: 0.5, words: 'Grind' });
  expect(readOut(grindingTask(area, true, figure))).toMatchObject({ words: 'Plane, then sand' });
  expect(shimSteps(3.4)).toEqual([1, 2, 3]);
  expect(shimSteps(0.4)).toEqual([]);
});

// A ridge rocks by 4 mm and has no gap: filled against gaps alone it is not touched, and what lies between the lines rocks as well.
test('the smallest fill is looked at between its lines for rocking too, unless rocking is left out', () => {
  const ridge = (x: number) => -4 * (x - 1.5) ** 2;
  const between = (contactsOnly: boolean) =>
    smallestFillWay(inventedLevelling(inventedRoom(3000, 2400, { contactsOnly }), ridge).job)!.certificates[0]!.between;
  expect(between(false).worstCrownMm).toBeGreaterThan(3.5);
  expect(between(true).worstCrownMm).toBe(0);
});
