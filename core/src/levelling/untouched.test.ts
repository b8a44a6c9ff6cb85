import { gridOver } from '../flat/index.ts';
import { heightsFrom, randomFloor, rectanglePlan } from '../flat/invented.ts';
import { bruteWorst } from '../flat/invented-search.ts';
import { certify } from './certificate.ts';
import { largestSecondDifference, untouchedBounds } from './untouched.ts';

test('of a parabola the second difference is the same everywhere, and the bound follows from it', () => {
  const grid = gridOver(rectanglePlan(3000, 2000), 50);
  // h = 4 x² mm with x in metres: over 5 cm cells 4 (0.05²) 2 = 0.02 mm along, none across.
  const heights = heightsFrom(grid, (xM) => 4 * xM * xM);
  expect(largestSecondDifference(grid, heights)).toBeCloseTo(0.02, 9);
  const [bound] = untouchedBounds(grid, heights, [certify(grid, heights, { gapMm: 3, edgeMm: 2000 })], true);
  expect(bound!.mostMm - bound!.worstMm).toBeCloseTo(2 * 1.1 * 0.02, 9);
});

test('a step at a wall is no second difference of the floor', () => {
  const grid = gridOver(rectanglePlan(1000, 1000), 50);
  expect(
    largestSecondDifference(
      grid,
      heightsFrom(grid, (xM, yM) => 3 * xM - 2 * yM),
    ),
  ).toBeLessThan(1e-9);
});

test('on floors that bend gently no edge, however it is turned and shifted, goes over the bound', () => {
  const rule = { gapMm: 3, edgeMm: 1000 };
  for (let seed = 1; seed <= 6; seed++) {
    const grid = gridOver(rectanglePlan(2000, 1600), 50);
    const heights = heightsFrom(grid, randomFloor(seed, 2));
    const [bound] = untouchedBounds(grid, heights, [certify(grid, heights, rule)], false);
    // Searched without the core's lines: 48 directions in three phases, gap and rocking.
    for (const phase of [0, 0.31, 0.62]) {
      const { gapMm, crownMm } = bruteWorst(grid, heights, rule.edgeMm, 48, phase);
      expect(Math.max(gapMm, crownMm)).toBeLessThanOrEqual(bound!.mostMm + 1e-9);
    }
    expect(bound!.mostMm).toBeGreaterThanOrEqual(bound!.worstMm);
  }
});
