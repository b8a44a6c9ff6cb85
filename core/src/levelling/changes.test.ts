import { gridOver } from '../flat/index.ts';
import { rectanglePlan } from '../flat/invented.ts';
import { changesOver, noteChanges, untouchedSince } from './changes.ts';

const grid = gridOver(rectanglePlan(500, 400));
const run = (cells: number[]) => ({ cells: Int32Array.from(cells), length: cells.length }) as never;

test('a line beside a change is looked at again, one two cells off is not', () => {
  const changes = changesOver(grid);
  const before = changes.clock;
  noteChanges(changes, [3 * grid.nx + 4]);
  const row = (iy: number) => run(Array.from({ length: grid.nx }, (_, ix) => iy * grid.nx + ix));
  expect([1, 2, 3, 4, 5].map((iy) => untouchedSince(changes, row(iy), before))).toEqual([
    true,
    false,
    false,
    false,
    true,
  ]);
  expect(untouchedSince(changes, row(3), changes.clock)).toBe(true);
});

test('a change at an edge does not reach round to the other side', () => {
  const changes = changesOver(grid);
  noteChanges(changes, [2 * grid.nx]);
  expect(untouchedSince(changes, run([2 * grid.nx - 1, 3 * grid.nx - 1]), 0)).toBe(true);
});

test('nothing changed is no tick', () => {
  const changes = changesOver(grid);
  noteChanges(changes, []);
  expect(changes.clock).toBe(0);
});
