import { gridOver, heightsFrom, rectanglePlan } from '../flat/invented.ts';
import { LATTICE, visitLattice } from './lattice.ts';

const grid = gridOver(rectanglePlan(2000, 1200), 100);
const flat = heightsFrom(grid, () => 0);

test('sixteen directions, none twice, at most 18.5 degrees apart', () => {
  const angles = LATTICE.map(([p, q]) => ((Math.atan2(q, p) * 180) / Math.PI + 180) % 180).sort((a, b) => a - b);
  expect(angles).toHaveLength(16);
  const apart = angles.map((a, i) => (i === 0 ? a + 180 - angles.at(-1)! : a - angles[i - 1]!));
  expect(Math.min(...apart)).toBeGreaterThan(1);
  expect(Math.max(...apart)).toBeLessThan(18.5);
});

test.each(LATTICE)('along (%d, %d) no node is met twice, and neighbours are one step apart', (p, q) => {
  const met = new Set<number>();
  visitLattice(grid, flat, [p, q], (run) => {
    expect(run.stepMm).toBeCloseTo(100 * Math.hypot(p, q), 9);
    for (let i = 0; i < run.length; i++) {
      expect(met.has(run.cells[i]!)).toBe(false);
      met.add(run.cells[i]!);
      if (i > 0) expect(run.cells[i]! - run.cells[i - 1]!).toBe(p + q * grid.nx);
    }
  });
  expect(met.size).toBeGreaterThan(0.5 * flat.length);
});

test('a run ends at what is not floor, and does not step over it', () => {
  const inside = grid.inside.slice();
  // A wall one cell thick across the middle.
  for (let iy = 0; iy < grid.ny; iy++) inside[iy * grid.nx + 10] = 0;
  for (const direction of LATTICE)
    visitLattice({ ...grid, inside }, flat, direction, (run) => {
      const sides = new Set(Array.from(run.cells.subarray(0, run.length), (cell) => cell % grid.nx > 10));
      expect(sides.size).toBe(1);
    });
});
