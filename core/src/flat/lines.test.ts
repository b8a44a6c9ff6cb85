import { keptRuns, restrict, visitRuns, type Run } from './index.ts';
import { gridOver, heightsFrom, randomFloor, rectanglePlan } from './invented.ts';

const whole = gridOver(rectanglePlan(2400, 1700));
/** With a corner and a strip taken out, so that lines break. */
const grid = restrict(
  whole,
  whole.inside.map((on, cell) => {
    const [ix, iy] = [cell % whole.nx, Math.floor(cell / whole.nx)];
    return on && !(ix > 30 && iy > 20) && iy !== 11 ? 1 : 0;
  }),
);
const heights = heightsFrom(grid, randomFloor(3, 4));

interface Taken {
  at: [number, number];
  heights: number[];
  cells: number[];
}

function taken(heightsMm: Float64Array, direction: number, options: Parameters<typeof visitRuns>[6] = {}): Taken[] {
  const runs: Taken[] = [];
  visitRuns(
    grid,
    heightsMm,
    50,
    direction,
    36,
    ({ length, heights: h, cells, xMm, yMm }) =>
      runs.push({
        at: [xMm, yMm],
        heights: Array.from(h.slice(0, length)),
        cells: Array.from(cells.slice(0, length)),
      }),
    options,
  );
  return runs;
}

test.each([0, 5, 9, 18, 27, 31])('lines kept are the lines laid out anew, direction %i', (direction) => {
  const kept = keptRuns(grid)!;
  const anew = taken(heights, direction);
  expect(taken(heights, direction, { kept })).toEqual(anew);
  expect(kept.laid!.size).toBe(1);
  // Kept is where the samples lie, not what they read.
  const raised = heights.map((z) => z + 7);
  const again = taken(raised, direction, { kept });
  expect(again.map(({ cells }) => cells)).toEqual(anew.map(({ cells }) => cells));
  again.forEach((run, i) => run.heights.forEach((h, s) => expect(h).toBeCloseTo(anew[i]!.heights[s]! + 7, 9)));
});

test('a line that is not wanted is not visited, and is told where it lies before', () => {
  const seen: number[] = [];
  const wanted = ({ cells, length }: Run) => {
    seen.push(length);
    return cells.slice(0, length).includes(0);
  };
  const runs = taken(heights, 0, { wanted });
  expect(runs).toHaveLength(1);
  expect(runs[0]!.cells[0]).toBe(0);
  expect(seen.length).toBeGreaterThan(runs.length);
});

test('a plane is read off exactly in every direction: samples are carried by the cells about them', () => {
  const tilt = (xMm: number, yMm: number) => 0.004 * xMm - 0.007 * yMm + 3;
  const plane = heightsFrom(grid, (x, y) => tilt(x * 1000, y * 1000));
  for (let direction = 0; direction < 36; direction++)
    visitRuns(grid, plane, 50, direction, 36, ({ length, heights: h, xMm, yMm, dxMm, dyMm }) => {
      for (let s = 0; s < length; s++) expect(h[s]).toBeCloseTo(tilt(xMm + s * dxMm, yMm + s * dyMm), 5);
    });
});

test('no line crosses what is not floor', () => {
  for (let direction = 0; direction < 36; direction++)
    for (const { cells } of taken(heights, direction)) expect(cells.filter((cell) => !grid.inside[cell])).toEqual([]);
});

test('a very large floor’s lines are not kept', () => {
  expect(keptRuns({ ...grid, inside: new Uint8Array(200_000) }).laid).toBeNull();
});
