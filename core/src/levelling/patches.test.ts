import { planOf } from '../room/index.ts';
import { gridOver } from '../flat/index.ts';
import { inventedRoom } from './invented-job.ts';
import { chalkPoints, isSpot, patchesOf } from './index.ts';

const room = inventedRoom(4000, 3000);
const plan = planOf(room);
const grid = gridOver(plan);
const depths = (...blocks: { xMm: number; yMm: number; wideMm: number; mm: number }[]) =>
  Float64Array.from({ length: grid.inside.length }, (_, cell) => {
    const x = grid.x0Mm + (cell % grid.nx) * grid.cellMm;
    const y = grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm;
    const on = blocks.find((b) => Math.max(Math.abs(x - b.xMm), Math.abs(y - b.yMm)) < b.wideMm / 2);
    return grid.inside[cell] && on ? on.mm : 0;
  });
const body = { xMm: 1000, yMm: 1000, wideMm: 800, mm: 4 };

test('a crumb within a trowel of a place is worked with it; its volume is not lost', () => {
  const near = { xMm: 1550, yMm: 1000, wideMm: 100, mm: 1 };
  const [alone] = patchesOf(grid, depths(body));
  const patches = patchesOf(grid, depths(body, near));
  expect(patches).toHaveLength(1);
  // Four cells of 25 cm2, a millimetre deep: a hundredth of a litre.
  expect(patches[0]!.volumeL - alone!.volumeL).toBeCloseTo(0.01, 3);
});

test('a crumb far from all is a spot of its own: told by its depth and place, chalked by one point', () => {
  const far = { xMm: 3000, yMm: 2000, wideMm: 100, mm: 0.2 };
  const patches = patchesOf(grid, depths(body, far));
  expect(patches.map(isSpot)).toEqual([false, true]);
  expect(patches[1]).toMatchObject({ label: 'B', deepestMm: 0.2 });
  const points = chalkPoints(room, plan, patches, { xMm: 0, yMm: 0 });
  const spot = points.filter(({ label }) => label === 'B');
  expect(spot).toHaveLength(1);
  expect(spot[0]!.of).toBe(1);
  expect(Math.hypot(spot[0]!.at.xMm - 3000, spot[0]!.at.yMm - 2000)).toBeLessThan(50);
  expect(points.filter(({ label }) => label === 'A').length).toBeGreaterThanOrEqual(4);
});

test('two crumbs within a trowel of each other are one spot; larger than a trowel they are a place', () => {
  const one = { xMm: 3000, yMm: 2000, wideMm: 100, mm: 1 };
  const two = { xMm: 3200, yMm: 2000, wideMm: 100, mm: 1 };
  expect(patchesOf(grid, depths(one, two)).map(isSpot)).toEqual([true]);
  const large = { xMm: 3000, yMm: 2000, wideMm: 300, mm: 1 };
  expect(patchesOf(grid, depths(large)).map(isSpot)).toEqual([false]);
});
