import {
  evidenceOf,
  highsAndLows,
  gapMap,
  planeAt,
  planeOver,
  ringsAbove,
  thinned,
  worstPlacements,
  type Placement,
} from './index.ts';
import { gridOver, heightsFrom, rectanglePlan } from './invented.ts';

test('a square of stations covers its floor, and the circle between four of them is √2 of the spacing wide', () => {
  const grid = gridOver(rectanglePlan(3200, 2600));
  const sites = [];
  for (let x = 100; x <= 3100; x += 600) for (let y = 100; y <= 2500; y += 600) sites.push({ xMm: x, yMm: y });
  const evidence = evidenceOf(grid, sites, 600);
  expect(evidence.coveredShare).toBe(1);
  expect(evidence.blindMm).toBeCloseTo(600 * Math.SQRT2, 6);
});

test('stations twice as far apart leave floor uncovered and a wider blind circle', () => {
  const grid = gridOver(rectanglePlan(3200, 2600));
  const sites = [];
  for (let x = 100; x <= 3100; x += 1200) for (let y = 100; y <= 2500; y += 1200) sites.push({ xMm: x, yMm: y });
  const evidence = evidenceOf(grid, sites, 600);
  expect(evidence.coveredShare).toBeLessThan(0.9);
  expect(evidence.blindMm).toBeGreaterThan(1400);
});

test('with no reading nothing is judged', () => {
  const grid = gridOver(rectanglePlan(2000, 2000));
  const evidence = evidenceOf(grid, [], 600);
  expect(evidence.coveredShare).toBe(0);
  expect(evidence.judged.every((on) => on === 0)).toBe(true);
  expect(evidence.blindMm).toBe(Infinity);
});

test('a step is a high on its upper side', () => {
  const grid = gridOver(rectanglePlan(4000, 1000));
  const map = gapMap(
    grid,
    heightsFrom(grid, (x) => (x > 2 ? 8 : 0)),
    { edgeMm: 2000, limitMm: 3 },
  );
  const group = highsAndLows(grid, map, { gapMm: 3, edgeMm: 2000 });
  const at = (xMm: number) => group[Math.floor(grid.ny / 2) * grid.nx + Math.round((xMm - grid.x0Mm) / grid.cellMm)];
  expect(at(2025)).toBe(1);
});

test('the plane through an inclined floor is that incline', () => {
  const grid = gridOver(rectanglePlan(4000, 3000));
  const h = heightsFrom(grid, (x, y) => 3 * x - 2 * y + 5);
  const plane = planeOver(grid, h);
  expect(plane.slopeX * 1000).toBeCloseTo(3, 9);
  expect(plane.slopeY * 1000).toBeCloseTo(-2, 9);
  expect(planeAt(plane, 1000, 1000)).toBeCloseTo(6, 9);
  expect(planeOver(grid, h, false)).toMatchObject({ slopeX: 0, slopeY: 0 });
});

test('a ring lies on the cells’ middles: the circle z = 0 of a cone', () => {
  const grid = gridOver(rectanglePlan(4000, 4000));
  const rings = ringsAbove(
    grid,
    heightsFrom(grid, (x, y) => 1 - Math.hypot(x - 2, y - 2)),
    0,
  );
  expect(rings).toHaveLength(1);
  for (const [x, y] of rings[0]!) expect(Math.hypot(x - 2000, y - 2000)).toBeCloseTo(1000, -1);
});

test('thinning keeps places: every second cell with its own value', () => {
  const grid = gridOver(rectanglePlan(1000, 1000));
  const thin = thinned(
    grid,
    heightsFrom(grid, (x) => x),
  );
  expect(thin.grid.cellMm).toBe(100);
  expect(thin.values[1]! - thin.values[0]!).toBeCloseTo(0.1, 9);
});

test('placements shown are apart by half an edge, or by a quarter and 45 degrees', () => {
  const p = (x: number, valueMm: number, angleRad = 0): Placement => ({
    kind: 'gap',
    valueMm,
    angleRad,
    from: [0, 0],
    to: [0, 0],
    at: [x, 0],
  });
  const taken = worstPlacements(
    [p(0, 9), p(100, 8), p(600, 7), p(600, 6.5, Math.PI / 2), p(1000, 6), p(1900, 5)],
    2000,
  );
  expect(taken.map((t) => t.valueMm)).toEqual([9, 6.5, 5]);
});
