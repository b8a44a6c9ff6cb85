import loadHighs from 'highs';
import { gridOver, heightsFrom, randomFloor, rectanglePlan } from '../flat/invented.ts';
import { amounts, mixedChange } from './mixed.ts';
import { certify } from './certificate.ts';
import { coarsen, refined, sampled } from './coarse.ts';
import { litreRates, PROGRAMME_TOLERANCE_MM, solveProgramme, type PlanLimits } from './programme.ts';
import { brokenRows } from './rows.ts';
import { highsModels, type OpenModel } from './solver.ts';
import { smallestFill } from './fill.ts';
import { trimmed } from './trim.ts';

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const plan = rectanglePlan(2600, 1800);
const RULE = { gapMm: 3, edgeMm: 2000 };
const RATES = { fill: 4, grind: 12 };
const limitsOf = (cells: number, fillMm = Infinity, grindMm = 3): PlanLimits => ({
  fillMm: new Float64Array(cells).fill(fillMm),
  grindMm: new Float64Array(cells).fill(grindMm),
});
const at = (cellMm: number, formula: (x: number, y: number) => number) => {
  const grid = gridOver(plan, cellMm);
  return { grid, heights: heightsFrom(grid, formula), limits: limitsOf(grid.inside.length) };
};
const trough = (x: number) => -8 * Math.exp(-(((x - 1.3) / 0.5) ** 2));
const hump = (x: number, y: number) => 8 * Math.exp((-2 * ((x - 1.6) ** 2 + (y - 1.2) ** 2)) / 0.7 ** 2);

test('a floor inside the rule asks for no row, costs nothing and is left as it is', () => {
  const { grid, heights, limits } = at(100, (x, y) => 2 * x + y);
  expect(
    brokenRows(grid, heights, new Float64Array(heights.length), [RULE], { contactsOnly: false, toleranceMm: 0 }),
  ).toEqual({
    rows: [],
    worstMm: 0,
  });
  const solved = solveProgramme(grid, heights, [RULE], RATES, limits, { open, contactsOnly: false })!;
  expect([solved.boundCost, solved.rounds, solved.settled]).toEqual([0, 0, true]);
  expect(amounts(grid, solved.fillMm, solved.grindMm)).toEqual({ fillL: 0, grindL: 0, touchedM2: 0 });
});

test('a row says what the edge shows: h = 4x² under 2 m leaves 4.000 mm, worked out in the definitions', () => {
  const { grid, heights } = at(100, (x) => 4 * (x - 1.25) ** 2);
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
  const { grid, heights } = at(100, trough);
  const solved = solveProgramme(
    grid,
    heights,
    [RULE],
    { fill: 1, grind: 1000 },
    limitsOf(heights.length, Infinity, 0),
    {
      open,
      contactsOnly: true,
    },
  )!;
  const asked = { ...RULE, gapMm: RULE.gapMm - PROGRAMME_TOLERANCE_MM };
  const least = amounts(grid, smallestFill(grid, heights, [asked]).fillMm, solved.grindMm).fillL;
  // Lattice lines are fewer than the fill's 36 directions, so the programme may be a little cheaper, never dearer.
  expect(solved.boundCost).toBeLessThanOrEqual(least);
  expect(solved.boundCost).toBeGreaterThan(least * 0.95);
});

test('a hump is ground where that is the cheaper way, and only as deep as it may be', () => {
  const { grid, heights } = at(200, hump);
  const cost = (grindMm: number) => {
    const solved = solveProgramme(grid, heights, [RULE], RATES, limitsOf(heights.length, Infinity, grindMm), {
      open,
      contactsOnly: false,
    })!;
    expect(Math.max(...solved.grindMm)).toBeLessThanOrEqual(grindMm + 1e-6);
    expect(solved.fillMm.every((f, cell) => f === 0 || solved.grindMm[cell] === 0)).toBe(true);
    return solved.boundCost;
  };
  const [none, one, five] = [cost(0), cost(1), cost(5)];
  expect(one).toBeLessThan(none);
  expect(five).toBeLessThan(one);
});

test('limits that leave no way give none: nothing may be raised and too little taken off', () => {
  const { grid, heights } = at(100, trough);
  expect(
    solveProgramme(grid, heights, [RULE], RATES, limitsOf(heights.length, 0, 1), { open, contactsOnly: false }),
  ).toBeNull();
});

test('stopped, it says so', () => {
  const { grid, heights, limits } = at(100, trough);
  const solved = solveProgramme(grid, heights, [RULE], RATES, limits, {
    open,
    contactsOnly: false,
    shouldStop: () => true,
  })!;
  expect(solved.settled).toBe(false);
});

test('a coarser grid keeps the floor’s area, and a slope carried there and back stays a slope', () => {
  const { grid, heights } = at(50, (x, y) => 3 * x - 2 * y);
  for (const every of [2, 3, 4]) {
    const coarse = coarsen(grid, every);
    const area = (g: typeof grid) => g.cellAreaM2 * g.inside.reduce((sum, on) => sum + on, 0);
    expect(area(coarse.grid)).toBeCloseTo(area(grid), 9);
    const back = refined(coarse, grid, sampled(coarse, grid, heights));
    const off = back.map((z, cell) => {
      const [ix, iy] = [cell % grid.nx, Math.floor(cell / grid.nx)];
      const middle = ix > every && iy > every && ix < grid.nx - every && iy < grid.ny - every;
      return middle ? Math.abs(z - heights[cell]!) : 0;
    });
    expect(Math.max(...off)).toBeLessThan(1e-6);
  }
});

test('trimming takes off what no edge asks for and breaks none', () => {
  const { grid, heights } = at(50, trough);
  const least = smallestFill(grid, heights, [RULE]).fillMm;
  const thick = least.map((f) => (f > 0 ? f + 1 : 0));
  const trim = trimmed(grid, heights, thick, [RULE], true);
  const litres = (fill: Float64Array) => amounts(grid, fill, new Float64Array(fill.length)).fillL;
  expect(litres(trim)).toBeLessThan(litres(thick) - 0.5 * (litres(thick) - litres(least)));
  const after = heights.map((z, cell) => z + trim[cell]!);
  expect(smallestFill(grid, after, [RULE]).fillMm.every((f) => f < 0.05)).toBe(true);
});

test.each([
  ['trough', trough],
  ['hump', hump],
  ['waves', randomFloor(7, 5)],
] as const)('a mixed plan for %s is certified within its limits, and priced by what it moves', (_, formula) => {
  const { grid, heights, limits } = at(50, formula);
  const rates = { fillPerL: 3, grindPerL: 10, touchPerM2: 3 };
  const mixed = mixedChange(grid, heights, [RULE], rates, limits, { open, contactsOnly: false, every: 2 })!;
  expect(mixed.holds).toBe(true);
  expect(mixed.certificates[0]).toMatchObject({ directions: 36, cellMm: 50 });
  expect(mixed.certificates[0]!.worstGapMm).toBeLessThanOrEqual(3);
  expect(mixed.certificates[0]!.worstCrownMm).toBeLessThanOrEqual(3);
  expect(mixed.grindMm.every((g, cell) => g <= 3 && (g === 0 || mixed.fillMm[cell] === 0))).toBe(true);
  const perL = litreRates(rates, 3);
  expect(mixed.linearCost).toBeCloseTo(mixed.fillL * perL.fill + mixed.grindL * perL.grind, 6);
});

test('no plan is given where the limits of depth leave none', () => {
  const { grid, heights } = at(50, trough);
  const rates = { fillPerL: 3, grindPerL: 10, touchPerM2: 3 };
  const shallow = limitsOf(heights.length, 0.5, 3);
  expect(mixedChange(grid, heights, [RULE], rates, shallow, { open, contactsOnly: false, every: 2 })).toBeNull();
});

test('filling against rocking cures a hump without grinding, and stays under its top', () => {
  const { grid, heights } = at(50, hump);
  const fill = smallestFill(grid, heights, [RULE], undefined, undefined, true);
  expect(fill.settled).toBe(true);
  const after = heights.map((z, cell) => z + fill.fillMm[cell]!);
  const left = certify(grid, after, RULE);
  expect(certify(grid, heights, RULE).crownHolds).toBe(false);
  expect(left.holds).toBe(true);
  expect(Math.max(...after)).toBeLessThanOrEqual(Math.max(...heights));
});
