import { criticOver } from './critic.ts';
import { gridOver, heightsFrom, rectanglePlan } from './invented.ts';
import { gapMap } from './gap-map.ts';

const hump = (x: number, y: number) => 8 * Math.exp((-2 * ((x - 3) ** 2 + (y - 1.2) ** 2)) / 0.5 ** 2);

test('the placement named first lies over what is wrong, and shows all but what the map shows', () => {
  const grid = gridOver(rectanglePlan(4000, 3000), 100);
  const floor = heightsFrom(grid, hump);
  const critic = criticOver(grid, 2000, 3, false);
  critic.see(floor);
  const [first, ...rest] = critic.named(1, []);
  expect(first!.chance).toBe(1);
  const { worstCrown } = gapMap(grid, floor, { edgeMm: 2000 });
  expect(first!.meanMm).toBeGreaterThan(0.85 * worstCrown!.valueMm);
  expect(first!.meanMm).toBeLessThanOrEqual(worstCrown!.valueMm * 1.05);
  const [mx, my] = [(first!.fromXMm + first!.toXMm) / 2, (first!.fromYMm + first!.toYMm) / 2];
  expect(Math.hypot(mx - 3000, my - 1200)).toBeLessThan(1000);
  expect(rest).toHaveLength(2);
  // Laid there, it is not named again.
  expect(critic.named(1, [first!])[0]).not.toMatchObject({ fromXMm: first!.fromXMm, fromYMm: first!.fromYMm });
});

test('every placement named lies on the floor, in an L too, and a room shorter than the edge gets what fits', () => {
  const l = [
    [0, 0],
    [3600, 0],
    [3600, 1600],
    [1500, 1600],
    [1500, 3000],
    [0, 3000],
  ].map(([xMm, yMm]) => ({ xMm: xMm!, yMm: yMm! }));
  for (const plan of [{ corners: l, islands: [] }, rectanglePlan(1400, 900)]) {
    const grid = gridOver(plan, 50);
    const critic = criticOver(grid, 2000, 3, false);
    critic.see(heightsFrom(grid, hump));
    const named = critic.named(1, []);
    expect(named.length).toBeGreaterThan(0);
    for (const { fromXMm, fromYMm, toXMm, toYMm } of named)
      for (let t = 0; t <= 1; t += 0.02) {
        const [x, y] = [fromXMm + t * (toXMm - fromXMm), fromYMm + t * (toYMm - fromYMm)];
        const cell = Math.round((y - grid.y0Mm) / grid.cellMm) * grid.nx + Math.round((x - grid.x0Mm) / grid.cellMm);
        expect(grid.inside[cell]).toBe(1);
      }
  }
});
