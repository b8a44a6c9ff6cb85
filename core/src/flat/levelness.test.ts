import {
  floorFlatness,
  flatnessNumber,
  gridOver,
  joistEvidence,
  acrossJoists,
  leanOver,
  levelnessOf,
  planeOver,
} from './index.ts';
import { heightsFrom, rectanglePlan } from './invented.ts';

const plan = rectanglePlan(6000, 4000);
const grid = gridOver(plan);

test('a plane of 3 mm a metre falls by that, and the way it falls', () => {
  const slope = heightsFrom(grid, (x) => 3 * x);
  const level = levelnessOf(grid, slope, planeOver(grid, slope))!;
  expect(level.fallMmPerM).toBeCloseTo(3, 6);
  expect(Math.abs(level.fallsToDeg)).toBeCloseTo(180, 6);
  expect(level.highestMm - level.lowestMm).toBeCloseTo(3 * 5.95, 6);
});

test('the lean of a part is its own, whatever the rest does', () => {
  const heights = heightsFrom(grid, (x) => (x < 1 ? 2 * x : 40));
  const part = Uint8Array.from(grid.inside, (_, cell) => ((cell % grid.nx) * 50 < 900 ? 1 : 0));
  expect(leanOver(grid, heights, part)!.fallMmPerM).toBeCloseTo(2, 6);
  expect(leanOver(grid, heights, new Uint8Array(part.length))).toBeNull();
});

// F = 4.57 / (3 s + |mean|): differences of +-0.05 in alternating have mean 0 and s = 0.05 sqrt(n / (n - 1)).
test('the floor-flatness number is that of its formula', () => {
  const differences = Array.from({ length: 100 }, (_, i) => (i % 2 === 0 ? 0.05 : -0.05));
  expect(flatnessNumber(differences)).toBeCloseTo(4.57 / (3 * 0.05 * Math.sqrt(100 / 99)), 9);
  expect(flatnessNumber([0.1])).toBeNull();
});

test('a constant bend has no spread: the number is 4.57 over the bend itself', () => {
  // z = c x^2 bends by 2 c d^2 over stations d apart, each of which is read straight between two cells.
  const bent = floorFlatness(
    grid,
    heightsFrom(grid, (x, y) => 2 * (x * x + y * y)),
  )!;
  const bendIn = (2 * 2 * 0.3048 ** 2) / 25.4;
  expect(bent.number).toBeGreaterThan(0.8 * (4.57 / bendIn));
  expect(bent.number).toBeLessThan(1.05 * (4.57 / bendIn));
  const rough = floorFlatness(
    grid,
    heightsFrom(grid, (x) => 4 * Math.sin(9 * x)),
  )!;
  expect(rough.number).toBeLessThan(bent.number);
});

test('a floor that is dead flat has no number, nor has one too small for a line', () => {
  expect(
    floorFlatness(
      grid,
      heightsFrom(grid, () => 0),
    ),
  ).toBeNull();
  const small = gridOver(rectanglePlan(1200, 1000));
  expect(
    floorFlatness(
      small,
      heightsFrom(small, (x) => x),
    ),
  ).toBeNull();
});

const joists = { deg: 90, spacingMm: 400 };

test('stations in step with the joists are no evidence; a line on and between them is', () => {
  // Joists run across the first wall, their middles at 200, 600, 1000 ...: stations each 800 mm stand on joists only.
  const inStep = Array.from({ length: 21 }, (_, i) => ({
    xMm: 200 + (i % 7) * 800,
    yMm: 500 + Math.floor(i / 7) * 1000,
  }));
  expect(joistEvidence(joists, plan, inStep, [])).toMatchObject({ on: 21, between: 0, enough: false });
  const line = acrossJoists(joists, plan);
  expect(line[1]!.xMm - line[0]!.xMm).toBe(200);
  expect(new Set(line.map(({ yMm }) => yMm))).toEqual(new Set([2000]));
  expect(joistEvidence(joists, plan, [...inStep, ...line], []).enough).toBe(true);
});

test('two edges laid across the joists are enough, two along them are not', () => {
  const walk = (dx: number, dy: number) =>
    ({ fromXMm: 500, fromYMm: 500, toXMm: 500 + dx, toYMm: 500 + dy, takenAt: '', contactsMm: [], gaps: [] }) as never;
  expect(joistEvidence(joists, plan, [], [walk(2000, 0), walk(2000, 0)]).enough).toBe(true);
  expect(joistEvidence(joists, plan, [], [walk(0, 2000), walk(0, 2000)]).enough).toBe(false);
});
