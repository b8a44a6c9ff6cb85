import fc from 'fast-check';
import { normal, seeded } from '../units/index.ts';
import {
  deviation,
  gapMap,
  gridOver,
  judgeFlat,
  scannedOver,
  squaredDistances,
  type FlatFacts,
  NOISE_TO_GAP,
} from './index.ts';
import { factsAt, heightsFrom, rectanglePlan } from './invented.ts';
import { SMOOTHED_NOISE_SHARE, type Scan } from '../scan/index.ts';

const plan = rectanglePlan(4000, 3000);
const rule = { gapMm: 3, edgeMm: 2000 };
const hump = (x: number, y: number) => 7 * Math.exp(-((x - 2.3) ** 2 + (y - 1.4) ** 2) / 0.09);

/** A scan laid as it was taken, over part of the room, with a lean that is not the floor's. */
function scanOf(
  floorMm: (x: number, y: number) => number,
  { upToMm = 4000, leanMmPerM = 0, noiseMm = 0, takenAt = '2026-05-04T10:00:00.000Z' } = {},
): Scan {
  const [nx, ny] = [Math.round(upToMm / 50), 60];
  const chance = seeded(5);
  return {
    id: 'scan-1',
    fileName: 'room.ply',
    points: 9000,
    takenAt,
    cellMm: 50,
    nx,
    ny,
    x0Mm: 25,
    y0Mm: 25,
    heightsTenthMm: Array.from({ length: nx * ny }, (_, cell) => {
      const [x, y] = [(25 + (cell % nx) * 50) / 1000, (25 + Math.floor(cell / nx) * 50) / 1000];
      return Math.round((floorMm(x, y) + leanMmPerM * x + noiseMm * normal(chance)) * 10);
    }),
    noiseMm,
    turnDeg: 0,
    xMm: upToMm / 2,
    yMm: 1500,
    note: '',
  };
}
const staffs = (floorMm: (x: number, y: number) => number, places: [number, number][]): FlatFacts =>
  factsAt(
    places.map(([xMm, yMm], i) => ({ xMm, yMm, key: `s${i}` })),
    floorMm,
  );
const CORNERS: [number, number][] = [
  [300, 300],
  [3700, 400],
  [3600, 2700],
  [400, 2600],
  [2000, 2500],
];

test('a scan held by staffs shows a hump that the staffs all miss; its lean is taken out', () => {
  const facts = staffs(hump, CORNERS);
  const alone = judgeFlat(plan, facts, [rule])!;
  const withScan = judgeFlat(plan, { ...facts, scans: [scanOf(hump, { leanMmPerM: 4 })] }, [rule])!;
  expect(alone.rules[0]!.overMm).toBeLessThan(0);
  expect(withScan.rules[0]!.worst!.valueMm).toBeGreaterThan(6);
  const [state] = withScan.scanned!.states;
  expect(state!.anchor.holds).toBe(true);
  expect(state!.anchor.slopeX * 1000).toBeCloseTo(-4, 1);
  expect(state!.coveredShare).toBeGreaterThan(0.98);
  expect(withScan.plane.slopeX * 1000).toBeCloseTo(0, 0);
});

test('drift that bends the scan is pulled back to the staffs', () => {
  const bent = scanOf((x) => 3 * Math.sin((Math.PI * x) / 4));
  const grid6: [number, number][] = Array.from({ length: 12 }, (_, i) => [
    250 + (i % 4) * 1160,
    300 + Math.floor(i / 4) * 1200,
  ]);
  const held = judgeFlat(plan, { ...staffs(() => 0, grid6), scans: [bent] }, [rule])!;
  const loose = judgeFlat(plan, { ...staffs(() => 0, CORNERS.slice(0, 3)), scans: [bent] }, [rule])!;
  expect(held.rules[0]!.worst!.valueMm).toBeLessThan(loose.rules[0]!.worst!.valueMm);
});

test('where the scan ends the staffs go on: one surface, covered by both', () => {
  const slope = (x: number) => 2 * x;
  const right: [number, number][] = Array.from({ length: 12 }, (_, i) => [
    2300 + (i % 4) * 500,
    300 + Math.floor(i / 4) * 1200,
  ]);
  const state = judgeFlat(
    plan,
    { ...staffs(slope, [...CORNERS, ...right]), scans: [scanOf(slope, { upToMm: 2000 })] },
    [rule],
  )!;
  expect(state.evidence.judged.reduce((sum, on) => sum + on, 0)).toBe(
    state.grid.inside.reduce((sum, on) => sum + on, 0),
  );
  expect(state.rules[0]!.worst?.valueMm ?? 0).toBeLessThan(0.5);
});

test('a scan from before the floor was levelled no longer counts; without a staff its own level is taken', () => {
  const works = [{ predicted: [], doneAt: '2026-05-05T08:00:00.000Z' }] as never;
  const none: FlatFacts = { setups: [], readings: [], stations: [] };
  expect(judgeFlat(plan, { ...none, scans: [scanOf(hump)], works }, [rule])).toBeNull();
  const alone = judgeFlat(plan, { ...none, scans: [scanOf(hump)] }, [rule])!;
  expect(alone.scanned!.states[0]!.anchor.holds).toBe(false);
  expect(alone.rules[0]!.worst!.valueMm).toBeGreaterThan(6);
});

// The figure that a noise floor is told by: worst gap over a perfectly flat floor against the noise of a smoothed cell.
test('noise alone shows about seven times a smoothed cell’s own under 2 m', () => {
  const grid = gridOver(plan);
  const scanned = scannedOver(grid, [scanOf(() => 0, { noiseMm: 1 })], [])!;
  const worst = Math.max(...deviation(gapMap(grid, scanned.baseMm, { edgeMm: 2000 }), false));
  expect(worst / SMOOTHED_NOISE_SHARE).toBeGreaterThan(NOISE_TO_GAP - 2);
  expect(worst / SMOOTHED_NOISE_SHARE).toBeLessThan(NOISE_TO_GAP + 1);
});

test('distances to what was seen are those of looking at every pair', () => {
  const grid = gridOver(rectanglePlan(900, 600));
  const column = (cell: number) => cell % grid.nx;
  const row = (cell: number) => Math.floor(cell / grid.nx);
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(grid.inside.length - 1), { maxLength: 12 }), (seen) => {
      const marked = new Uint8Array(grid.inside.length);
      for (const cell of seen) marked[cell] = 1;
      // 50 mm cells; where nothing was seen it is infinitely far.
      squaredDistances(grid, marked).forEach((squared, cell) => {
        const steps = seen.map((to) => (column(cell) - column(to)) ** 2 + (row(cell) - row(to)) ** 2);
        const least = Math.min(...steps) * 2500;
        if (!(squared === least || Math.abs(squared - least) < 1e-6))
          throw new Error(`cell ${cell}: ${squared} for ${least}`);
      });
    }),
  );
});

test('nothing is carried across a break: a step stays a step, and each side keeps its own level', () => {
  const step = (x: number) => (x < 2.1 ? 0 : 6);
  const places: [number, number][] = Array.from({ length: 28 }, (_, i) => [
    200 + (i % 7) * 600,
    200 + Math.floor(i / 7) * 850,
  ]);
  const facts = staffs(step, places);
  const breaks = [{ a: { xMm: 2100, yMm: 0 }, b: { xMm: 2100, yMm: 3000 } }];
  const state = judgeFlat(plan, facts, [rule], { breaks })!;
  const at = (xMm: number) => state.surfaceMm[30 * state.grid.nx + Math.round((xMm - 25) / 50)]!;
  expect(at(2025)).toBeCloseTo(0, 1);
  expect(at(2175)).toBeCloseTo(6, 1);
  // A sharp step of 6 mm leaves all but 6 x 50 / 2000 of itself under 2 m (definitions, section 2: 5 mm gives 4.875).
  expect(state.rules[0]!.worst!.valueMm).toBeCloseTo(6 * 0.975, 1);
  const carried = judgeFlat(plan, facts, [rule])!;
  expect(carried.rules[0]!.worst!.valueMm).toBeLessThan(state.rules[0]!.worst!.valueMm);
});

test('heights of a plane are the same with and without the grid of the scan', () => {
  const grid = gridOver(plan);
  const scanned = scannedOver(grid, [scanOf((x, y) => 3 * x - 2 * y, { upToMm: 3000 })], [])!;
  const truth = heightsFrom(grid, (x, y) => 3 * x - 2 * y);
  const off = truth.map((z, cell) => z - scanned.baseMm[cell]!);
  expect(Math.max(...off) - Math.min(...off)).toBeLessThan(0.2);
});
