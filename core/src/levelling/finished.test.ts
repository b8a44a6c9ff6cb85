import { say } from '../said/index.ts';
import { keptRuns } from '../flat/index.ts';
import { amounts, better, changeTo, finished, tidied, type Finished, type FloorPriced } from './finished.ts';
import { smallestFill } from './fill.ts';
import { floorAt, limitsOf, trough } from './invented-floor.ts';
import { withoutCrumbs } from './tidy.ts';

const RULE = { gapMm: 3, edgeMm: 2000 };

function floor(part: Partial<FloorPriced> = {}, formula: (x: number, y: number) => number = trough): FloorPriced {
  const { grid, heights, limits } = floorAt(50, formula);
  return {
    grid,
    heights,
    rules: [RULE],
    limits,
    rates: { fillPerL: 3, grindPerL: 10, touchPerM2: 3 },
    perL: { fill: 4, grind: 11 },
    contactsOnly: true,
    targets: [],
    kept: keptRuns(grid),
    ...part,
  };
}
const nothing = ({ grid }: FloorPriced) => ({
  fillMm: new Float64Array(grid.inside.length),
  grindMm: new Float64Array(grid.inside.length),
});

test('what takes one floor to another is fill where it rises and grinding where it falls, never both', () => {
  const { grid, heights } = floor();
  const to = heights.map((z, cell) => z + (cell % 3) - 1);
  const { fillMm, grindMm } = changeTo(grid, heights, to);
  const inside = [...grid.inside.keys()].filter((cell) => grid.inside[cell]);
  for (const cell of inside) {
    expect(fillMm[cell]! - grindMm[cell]!).toBeCloseTo((cell % 3) - 1, 9);
    expect(fillMm[cell]! * grindMm[cell]!).toBe(0);
  }
});

test('litres are square metres times millimetres; a scrape is moved but touches nothing', () => {
  const { grid } = floor();
  const cells = [...grid.inside.keys()].filter((cell) => grid.inside[cell]).slice(0, 400);
  const fill = new Float64Array(grid.inside.length);
  const grind = fill.slice();
  for (const cell of cells.slice(0, 100)) fill[cell] = 2;
  for (const cell of cells.slice(100, 200)) grind[cell] = 1;
  for (const cell of cells.slice(200)) fill[cell] = 0.04;
  // 100 cells of 25 cm² are a quarter of a square metre: 0.5 l, 0.25 l, and 200 cells at 0.04 mm 0.02 l.
  expect(amounts(grid, fill, grind)).toEqual({
    fillL: expect.closeTo(0.52, 9),
    grindL: expect.closeTo(0.25, 9),
    touchedM2: expect.closeTo(0.5, 9),
  });
});

test('finishing nothing is the smallest fill, priced by the litre and by what is touched', () => {
  const on = floor();
  const plan = finished(on, nothing(on), null);
  const least = smallestFill(on.grid, on.heights, on.rules).fillMm;
  expect(plan.keeps).toBe(true);
  plan.fillMm.forEach((f, cell) => expect(f).toBeCloseTo(least[cell]!, 9));
  expect(plan.linearCost).toBeCloseTo(plan.fillL * 4, 9);
  expect(plan.cost).toBeCloseTo(plan.fillL * 3 + plan.touchedM2 * 3, 9);
});

test('a plan that would fill deeper than is allowed, or miss a height asked for, does not keep what it should', () => {
  const shallow = floor();
  shallow.limits = limitsOf(shallow.heights.length, 1);
  expect(finished(shallow, nothing(shallow), null).keeps).toBe(false);
  const high = { id: 'd', name: say('room.openingWordsDoor'), cells: [200], levelMm: 40, toleranceMm: 1, nowMm: 0 };
  const asked = floor({ targets: [high] });
  expect(finished(asked, nothing(asked), null).keeps).toBe(false);
});

test('crumbs are left out where that breaks nothing: a heap of two cells goes, the trough stays filled', () => {
  const on = floor();
  const plan = finished(on, nothing(on), null);
  const heap = plan.fillMm.slice();
  const flat = [...on.grid.inside.keys()].filter((cell) => on.grid.inside[cell] && plan.fillMm[cell] === 0);
  const [one] = flat.filter((cell) => cell % on.grid.nx < 3);
  heap[one!] = 1;
  heap[one! + 1] = 1;
  const crumbs = withoutCrumbs(on.grid, { fillMm: heap, grindMm: plan.grindMm })!;
  expect(crumbs.left).toEqual([one, one! + 1]);
  expect([...crumbs.fillMm]).toEqual([...plan.fillMm]);
  expect(withoutCrumbs(on.grid, plan)).toBeNull();
  const tidy = tidied(on, { ...plan, fillMm: heap });
  expect(tidy.keeps).toBe(true);
  expect(tidy.fillMm[one!]!).toBeLessThan(0.01);
});

test('tidiness may cost three parts in a hundred and no more, and never what should be kept', () => {
  const plan = (linearCost: number, keeps = true) => ({ linearCost, keeps }) as Finished;
  expect(better(plan(102), plan(100)).linearCost).toBe(102);
  expect(better(plan(104), plan(100)).linearCost).toBe(100);
  expect(better(plan(102, false), plan(200)).linearCost).toBe(200);
  expect(better(plan(104), plan(100, false)).linearCost).toBe(104);
});
