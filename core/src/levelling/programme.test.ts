import loadHighs from 'highs';
import { keptRuns, type Grid } from '../flat/index.ts';
import { amounts } from './finished.ts';
import { certify } from './certificate.ts';
import { coarsen, sampled } from './coarse.ts';
import { carried, carryOf, cellsOf, leastOf } from './carry.ts';
import { brokenCuts, cutRow } from './cuts.ts';
import { latticeProgramme, PROGRAMME_TOLERANCE_MM, solveProgramme, type PlanLimits } from './programme.ts';
import { refinedOnNodes, solveOnNodes } from './on-nodes.ts';
import { brokenRows } from './rows.ts';
import { highsModels, type OpenModel } from './solver.ts';
import { smallestFill } from './fill.ts';
import { floorAt, hump, limitsOf, trough } from './invented-floor.ts';
import { trimmed } from './trim.ts';

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const RULE = { gapMm: 3, edgeMm: 2000 };
const RATES = { fill: 4, grind: 12 };
const solve = (
  grid: Grid,
  heights: Float64Array,
  rates: { fill: number; grind: number },
  limits: PlanLimits,
  contactsOnly: boolean,
  shouldStop?: () => boolean,
) => {
  const programme = latticeProgramme(grid, heights, [RULE], limits, contactsOnly);
  return solveProgramme(programme, rates, { open, ...(shouldStop ? { shouldStop } : {}) });
};

test('a floor inside the rule asks for no row, costs nothing and is left as it is', () => {
  const { grid, heights, limits } = floorAt(100, (x, y) => 2 * x + y);
  expect(
    brokenRows(grid, heights, new Float64Array(heights.length), [RULE], { contactsOnly: false, toleranceMm: 0 }),
  ).toEqual({
    rows: [],
    worstMm: 0,
  });
  const solved = solve(grid, heights, RATES, limits, false)!;
  expect([solved.boundCost, solved.rounds, solved.settled]).toEqual([0, 0, true]);
  expect(amounts(grid, solved.fillMm, solved.grindMm)).toEqual({ fillL: 0, grindL: 0, touchedM2: 0 });
});

test('a row says what the edge shows: h = 4x² under 2 m leaves 4.000 mm, worked out in the definitions', () => {
  const { grid, heights } = floorAt(100, (x) => 4 * (x - 1.25) ** 2);
  const { rows, worstMm } = brokenRows(grid, heights, new Float64Array(heights.length), [RULE], {
    contactsOnly: true,
    toleranceMm: 1e-6,
  });
  expect(worstMm).toBeCloseTo(1, 9);
  for (const row of rows) {
    // Weights of a chord: two contacts that add up to one, less the place between them.
    expect(row.weights.reduce((sum, w) => sum + w, 0)).toBeCloseTo(0, 9);
    expect(row.limitMm).toBeLessThan(0);
  }
});

test('where only gaps bind and grinding is dear, the programme finds the smallest fill', () => {
  const { grid, heights } = floorAt(100, trough);
  const solved = solve(grid, heights, { fill: 1, grind: 1000 }, limitsOf(heights.length, Infinity, 0), true)!;
  const asked = { ...RULE, gapMm: RULE.gapMm - PROGRAMME_TOLERANCE_MM };
  const least = amounts(grid, smallestFill(grid, heights, [asked]).fillMm, solved.grindMm).fillL;
  // Lattice lines are fewer than the fill's 36 directions, so the programme may be a little cheaper, never dearer.
  expect(solved.boundCost).toBeLessThanOrEqual(least);
  expect(solved.boundCost).toBeGreaterThan(least * 0.95);
});

test('a hump is ground where that is the cheaper way, and only as deep as it may be', () => {
  const { grid, heights } = floorAt(200, hump);
  const cost = (grindMm: number) => {
    const solved = solve(grid, heights, RATES, limitsOf(heights.length, Infinity, grindMm), false)!;
    expect(Math.max(...solved.grindMm)).toBeLessThanOrEqual(grindMm + 1e-6);
    expect(solved.fillMm.every((f, cell) => f === 0 || solved.grindMm[cell] === 0)).toBe(true);
    return solved.boundCost;
  };
  const [none, one, five] = [cost(0), cost(1), cost(5)];
  expect(one).toBeLessThan(none);
  expect(five).toBeLessThan(one);
});

test('limits that leave no way give none: nothing may be raised and too little taken off', () => {
  const { grid, heights } = floorAt(100, trough);
  expect(solve(grid, heights, RATES, limitsOf(heights.length, 0, 1), false)).toBeNull();
});

test('stopped, it says so', () => {
  const { grid, heights, limits } = floorAt(100, trough);
  const solved = solve(grid, heights, RATES, limits, false, () => true)!;
  expect(solved.settled).toBe(false);
});

test('a coarser grid keeps the floor’s area, and a slope carried there and back stays a slope', () => {
  const { grid, heights } = floorAt(50, (x, y) => 3 * x - 2 * y);
  for (const every of [2, 3, 4]) {
    const coarse = coarsen(grid, every);
    const area = (g: typeof grid) => g.cellAreaM2 * g.inside.reduce((sum, on) => sum + on, 0);
    expect(area(coarse.grid)).toBeCloseTo(area(grid), 9);
    const back = carried(carryOf(coarse, grid), sampled(coarse, grid, heights));
    const off = back.map((z, cell) => {
      const [ix, iy] = [cell % grid.nx, Math.floor(cell / grid.nx)];
      const middle = ix > every && iy > every && ix < grid.nx - every && iy < grid.ny - every;
      return middle ? Math.abs(z - heights[cell]!) : 0;
    });
    expect(Math.max(...off)).toBeLessThan(1e-6);
  }
});

test('nodes share the whole floor among them, and a limit in one cell binds every node that bears on it', () => {
  const { grid } = floorAt(50, () => 0);
  const coarse = coarsen(grid, 4);
  const carry = carryOf(coarse, grid);
  const count = coarse.grid.inside.length;
  const cells = cellsOf(carry, count);
  expect(cells.reduce((sum, n) => sum + n, 0)).toBeCloseTo(
    grid.inside.reduce((sum, on) => sum + on, 0),
    6,
  );
  const limit = new Float64Array(grid.inside.length).fill(5);
  const kept = 20 * grid.nx + 25;
  limit[kept] = 0;
  const least = leastOf(carry, limit, count);
  // Every node at its limit: the cell that may not be touched stays as it is, and no cell goes over its own.
  const most = carried(
    carry,
    least.map((l) => (Number.isFinite(l) ? l : 0)),
  );
  expect(most[kept]).toBeCloseTo(0, 9);
  expect(most.every((value, cell) => value <= limit[cell]! + 1e-9)).toBe(true);
});

test('trimming takes off what no edge asks for and breaks none', () => {
  const { grid, heights } = floorAt(50, trough);
  const least = smallestFill(grid, heights, [RULE]).fillMm;
  const thick = least.map((f) => (f > 0 ? f + 1 : 0));
  const trim = trimmed(grid, heights, thick, [RULE], { contactsOnly: true });
  const litres = (fill: Float64Array) => amounts(grid, fill, new Float64Array(fill.length)).fillL;
  expect(litres(trim)).toBeLessThan(litres(thick) - 0.5 * (litres(thick) - litres(least)));
  const after = heights.map((z, cell) => z + trim[cell]!);
  expect(smallestFill(grid, after, [RULE]).fillMm.every((f) => f < 0.05)).toBe(true);
});

test('trimming boldly takes off more, and the last fill mends what that broke for less than it saved', () => {
  const { grid, heights } = floorAt(50, trough);
  const thick = smallestFill(grid, heights, [RULE]).fillMm.map((f) => (f > 0 ? f + 1 : 0));
  const mended = [1, 1.6].map((bold) => {
    const trim = trimmed(grid, heights, thick, [RULE], { contactsOnly: true, bold });
    const after = heights.map((z, cell) => z + trim[cell]!);
    const last = smallestFill(grid, after, [RULE]).fillMm;
    const now = after.map((z, cell) => z + last[cell]!);
    expect(certify(grid, now, RULE, true).holds).toBe(true);
    return now.reduce((sum, z, cell) => sum + z - heights[cell]!, 0);
  });
  expect(mended[1]!).toBeLessThan(mended[0]!);
});

test('nodes set nearer together about a small change make it cheaper, and leave alone what is far from it', () => {
  const { grid, heights, limits } = floorAt(50, (x, y) => -9 * Math.exp(-(x ** 2 + y ** 2) / 0.5));
  const floor = {
    grid,
    heights,
    rules: [RULE],
    limits,
    perL: RATES,
    contactsOnly: false,
    targets: [],
    kept: keptRuns(grid),
  };
  const first = solveOnNodes(floor, 4, { open })!;
  const finer = refinedOnNodes(floor, first, 2, 700, { open })!;
  const cost = (mm: Float64Array) =>
    mm.reduce((sum, change) => sum + (change > 0 ? change * RATES.fill : -change * RATES.grind), 0) * grid.cellAreaM2;
  expect(finer.solved.settled).toBe(true);
  expect(cost(finer.changeMm)).toBeLessThan(cost(first.changeMm));
  const far = finer.changeMm.filter((_, cell) => cell % grid.nx > 40);
  expect(far.every((change) => change === 0)).toBe(true);
  const after = heights.map((z, cell) => z + finer.changeMm[cell]!);
  expect(certify(grid, after, RULE).holds).toBe(true);
  // More nodes than are allowed: the first solution has to do.
  expect(refinedOnNodes(floor, first, 2, 10, { open })).toBeNull();
});

test('the bound is under what the rule itself costs on the same nodes, margins or not, and not by much', () => {
  const { grid, heights, limits } = floorAt(100, trough);
  const bare = solve(grid, heights, RATES, limits, true)!;
  const programme = latticeProgramme(grid, heights, [{ ...RULE, gapMm: RULE.gapMm - 0.1 }], limits, true);
  const asked = solveProgramme({ ...programme, marginMm: 0.1 }, RATES, { open })!;
  const dearer = amounts(grid, asked.fillMm, asked.grindMm);
  const cost = dearer.fillL * RATES.fill + dearer.grindL * RATES.grind;
  expect(cost).toBeGreaterThan(bare.boundCost * 1.01);
  expect(asked.boundCost).toBeLessThanOrEqual(bare.boundCost + 1e-6);
  expect(asked.boundCost).toBeGreaterThan(bare.boundCost * 0.97);
});

test.each([2, 4])(
  'a cut row at the change it was found under weighs just what the edge is over, nodes %i apart',
  (every) => {
    const { grid, heights } = floorAt(50, (x, y) => hump(x, y) + trough(y));
    const coarse = coarsen(grid, every);
    const carry = carryOf(coarse, grid);
    const bend = Float64Array.from({ length: coarse.grid.inside.length }, (_, node) => Math.sin(node * 1.7));
    const { cuts, worstMm } = brokenCuts(grid, heights, carried(carry, bend), [RULE], {
      contactsOnly: false,
      toleranceMm: 0.01,
      stride: 1,
      first: 0,
      most: 80,
    });
    const rows = cuts.map((cut) => cutRow(grid, heights, cut, carry));
    const over = rows.map((row) =>
      row.cells.reduce((sum, node, i) => sum + row.weights[i]! * bend[node]!, -row.limitMm),
    );
    expect(rows).toHaveLength(80);
    expect(Math.max(...over)).toBeCloseTo(worstMm, 6);
    expect(Math.min(...over)).toBeGreaterThan(0.01 - 1e-6);
  },
);

test('filling against rocking cures a hump without grinding, and stays under its top', () => {
  const { grid, heights } = floorAt(50, hump);
  const fill = smallestFill(grid, heights, [RULE], { rocking: true });
  expect(fill.settled).toBe(true);
  const after = heights.map((z, cell) => z + fill.fillMm[cell]!);
  const left = certify(grid, after, RULE);
  expect(certify(grid, heights, RULE).crownHolds).toBe(false);
  expect([left.gapHolds, left.crownHolds]).toEqual([true, true]);
  expect(Math.max(...after)).toBeLessThanOrEqual(Math.max(...heights));
});
