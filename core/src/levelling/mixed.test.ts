import loadHighs from 'highs';
import { randomFloor } from '../flat/invented.ts';
import { smallestFill } from './fill.ts';
import { amounts } from './finished.ts';
import { bowed, floorAt, hump, limitsOf, trough } from './invented-floor.ts';
import { mixedChange, type Pace } from './mixed.ts';
import { litreRates } from './programme.ts';
import { highsModels, type OpenModel } from './solver.ts';

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const RULE = { gapMm: 3, edgeMm: 2000 };
const rates = { fillPerL: 3, grindPerL: 10, touchPerM2: 3 };

test.each([
  ['trough', trough],
  ['hump', hump],
  ['waves', randomFloor(7, 5)],
] as const)('a mixed plan for %s is certified within its limits, and priced by what it moves', (_, formula) => {
  const { grid, heights, limits } = floorAt(50, formula);
  const mixed = mixedChange(grid, heights, [RULE], rates, limits, { open, contactsOnly: false, pace: 'live' })!;
  expect(mixed.holds).toBe(true);
  expect(mixed.certificates[0]).toMatchObject({ directions: 36, cellMm: 50 });
  expect(mixed.certificates[0]!.worstGapMm).toBeLessThanOrEqual(3);
  expect(mixed.certificates[0]!.worstCrownMm).toBeLessThanOrEqual(3);
  expect(mixed.grindMm.every((g, cell) => g <= 3 && (g === 0 || mixed.fillMm[cell] === 0))).toBe(true);
  const perL = litreRates(rates, 3);
  expect(mixed.linearCost).toBeCloseTo(mixed.fillL * perL.fill + mixed.grindL * perL.grind, 6);
});

test('nodes nearer together make the plan no dearer', () => {
  const { grid, heights, limits } = floorAt(50, hump);
  const [live, tighter] = (['live', 'tighter'] as const).map((pace) =>
    mixedChange(grid, heights, [RULE], rates, limits, { open, contactsOnly: false, pace })!,
  );
  expect(tighter!.holds).toBe(true);
  expect(tighter!.linearCost).toBeLessThanOrEqual(live!.linearCost * 1.01);
  // The programme's optimum is the least its nodes allow; the plan lies close above it.
  expect(tighter!.linearCost).toBeLessThan(tighter!.boundCost * 1.05);
});

test('no plan is given where the limits of depth leave none', () => {
  const { grid, heights } = floorAt(50, trough);
  const shallow = limitsOf(heights.length, 0.5, 3);
  expect(mixedChange(grid, heights, [RULE], rates, shallow, { open, contactsOnly: false, pace: 'tighter' })).toBeNull();
});

test('where all but nothing is ground the plan is no dearer than filling alone', () => {
  const { grid, heights, limits } = floorAt(50, bowed, 4800);
  const mixed = mixedChange(grid, heights, [RULE], rates, limits, { open, contactsOnly: false, pace: 'live' })!;
  const alone = smallestFill(grid, heights, [RULE], { rocking: true }).fillMm;
  const { fillL } = amounts(grid, alone, new Float64Array(alone.length));
  expect(mixed.holds).toBe(true);
  expect(mixed.linearCost).toBeLessThanOrEqual(fillL * litreRates(rates, 3).fill);
});

test.each<[string, Pace, (x: number, y: number) => number, number]>([
  ['few edges broken: nearer together', 'live', hump, 150],
  ['many of them: farther apart, for a plan is wanted at once', 'live', bowed, 200],
  ['as near as is waited for', 'tighter', hump, 100],
])('nodes stand apart by what the floor asks: %s', (_, pace, formula, nodesMm) => {
  const { grid, heights, limits } = floorAt(50, formula, 4800);
  const made = mixedChange(grid, heights, [RULE], rates, limits, { open, contactsOnly: false, pace })!;
  expect(made.nodesMm).toBe(nodesMm);
});
