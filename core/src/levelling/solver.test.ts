import loadHighs from 'highs';
import { gridOver, heightsFrom, randomFloor, rectanglePlan } from '../flat/invented.ts';
import { latticeProgramme, solveProgramme } from './programme.ts';
import type { EdgeRow } from './rows.ts';
import { highsModels, type OpenModel } from './solver.ts';

let open: OpenModel;
beforeAll(async () => {
  open = highsModels(await loadHighs());
});

const atMost = (cell: number, limitMm: number): EdgeRow => ({ cells: [cell], weights: [1], limitMm });
const atLeast = (cell: number, leastMm: number): EdgeRow => ({ cells: [cell], weights: [-1], limitMm: -leastMm });
const opened = (columns: number, most = Infinity) =>
  open(new Float64Array(columns).fill(1), new Float64Array(columns), new Float64Array(columns).fill(most));

test('the cheapest is found, with what a unit less of its rows would cost', () => {
  const model = opened(2);
  // Least x + y with x + 2 y >= 4 and x >= 1: (1, 1.5), where the first row is worth 1/2 and the second 1/2.
  model.addRows([{ cells: [0, 1], weights: [-1, -2], limitMm: -4 }, atLeast(0, 1)]);
  const solved = model.solve()!;
  expect([...solved.values]).toEqual([1, 1.5]);
  expect(solved.cost).toBeCloseTo(2.5, 9);
  expect(solved.price).toBeCloseTo(1, 9);
  model.close();
});

test('what the bounds refuse has no solution', () => {
  const model = opened(1, 3);
  model.addRows([atLeast(0, 3.5)]);
  expect(model.solve()).toBeNull();
  model.close();
});

test('rows that long held nothing are let go of, those that stay are not', () => {
  const model = opened(2);
  model.addRows(Array.from({ length: 60 }, () => atMost(0, 5)));
  model.addRows([{ ...atMost(1, 5), stays: true }]);
  for (let k = 0; k < 2; k++) expect(model.solve()!.cost).toBe(0);
  model.addRows([atLeast(0, 7), atLeast(1, 4)]);
  expect([...model.solve()!.values]).toEqual([7, 4]);
  model.addRows([atLeast(1, 6)]);
  expect(model.solve()).toBeNull();
  model.close();
});

test('letting go of rows changes no optimum: waves solved with every row kept cost the same', () => {
  const grid = gridOver(rectanglePlan(4000, 3000), 100);
  const heights = heightsFrom(grid, randomFloor(7, 5));
  const limits = {
    fillMm: new Float64Array(grid.inside.length).fill(Infinity),
    grindMm: new Float64Array(grid.inside.length).fill(3),
  };
  const programme = latticeProgramme(grid, heights, [{ gapMm: 3, edgeMm: 2000 }], limits, false);
  const keeping: OpenModel = (...columns) => {
    const model = open(...columns);
    return { ...model, addRows: (rows) => model.addRows(rows.map((row) => ({ ...row, stays: true }))) };
  };
  const [free, kept] = [open, keeping].map((by) => solveProgramme(programme, { fill: 4, grind: 12 }, { open: by })!);
  expect(free!.settled && kept!.settled).toBe(true);
  expect(free!.boundCost).toBeCloseTo(kept!.boundCost, 6);
});
