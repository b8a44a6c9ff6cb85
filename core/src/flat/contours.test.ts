import { ringsAbove, thinned } from './contours.ts';
import { gridOver, heightsFrom, rectanglePlan } from './invented.ts';

const grid = gridOver(rectanglePlan(4000, 3000), 50);
/** Area within closed rings by the shoelace formula, holes taken off by their turn, m². */
const areaM2 = (rings: [number, number][][]) =>
  Math.abs(
    rings.reduce(
      (sum, ring) =>
        sum +
        ring.reduce((twice, [x, y], i) => {
          const [nextX, nextY] = ring[(i + 1) % ring.length]!;
          return twice + x * nextY - nextX * y;
        }, 0),
      0,
    ) / 2e6,
  );
const middle = [2000, 1500] as const;
const cone = heightsFrom(grid, (x, y) => 10 - 10 * Math.hypot(x - 2, y - 1.5));

test('rings lie where the value is, not half a cell beside: a cone is ringed by circles about its tip', () => {
  const [ring] = ringsAbove(grid, cone, 4);
  // 10 − 10 r = 4 at r = 0.6 m.
  for (const [x, y] of ring!) expect(Math.abs(Math.hypot(x - middle[0], y - middle[1]) - 600)).toBeLessThan(5);
  expect(areaM2([ring!])).toBeCloseTo(Math.PI * 0.36, 2);
});

test('a crater has a ring and a hole, which bound between them what stands over the level', () => {
  const crater = heightsFrom(grid, (x, y) => 5 - Math.abs(10 * Math.hypot(x - 2, y - 1.5) - 6));
  const rings = ringsAbove(grid, crater, 2);
  expect(rings).toHaveLength(2);
  // |10 r − 6| ≤ 3: from 0.3 to 0.9 m.
  expect(areaM2(rings)).toBeCloseTo(Math.PI * (0.81 - 0.09), 1);
});

test('nothing stands over a level that is not reached', () => {
  expect(ringsAbove(grid, cone, 11)).toEqual([]);
});

test('drawn at half the resolution a ring stays where it was', () => {
  const half = thinned(grid, cone);
  expect(half.grid.cellMm).toBe(100);
  expect(areaM2(ringsAbove(half.grid, half.values, 4))).toBeCloseTo(areaM2(ringsAbove(grid, cone, 4)), 1);
});
