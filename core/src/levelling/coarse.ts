import type { Grid } from '../flat/index.ts';

/** A grid of larger cells over the same floor, and where its middles lie on the finer one, in cells. */
export interface Coarse {
  grid: Grid;
  every: number;
  offset: [number, number];
}

/** The same floor in cells `every` times as wide, laid out from the middle so that mirroring the floor mirrors it. */
export function coarsen(fine: Grid, every: number): Coarse {
  const nx = Math.max(1, Math.ceil(fine.nx / every));
  const ny = Math.max(1, Math.ceil(fine.ny / every));
  const offset: [number, number] = [(fine.nx - 1 - every * (nx - 1)) / 2, (fine.ny - 1 - every * (ny - 1)) / 2];
  const inside = new Uint8Array(nx * ny);
  let [count, fineCount] = [0, 0];
  // Inside is every cell with floor nearer to its middle than to any other's: each fine cell then has one to hang on.
  for (let cell = 0; cell < fine.inside.length; cell++) {
    if (!fine.inside[cell]) continue;
    const ix = Math.round(((cell % fine.nx) - offset[0]) / every);
    const iy = Math.round((Math.floor(cell / fine.nx) - offset[1]) / every);
    inside[Math.min(ny - 1, Math.max(0, iy)) * nx + Math.min(nx - 1, Math.max(0, ix))] = 1;
  }
  for (const on of inside) count += on;
  for (const on of fine.inside) fineCount += on;
  return {
    grid: {
      nx,
      ny,
      cellMm: fine.cellMm * every,
      x0Mm: fine.x0Mm + offset[0] * fine.cellMm,
      y0Mm: fine.y0Mm + offset[1] * fine.cellMm,
      inside,
      cellAreaM2: count === 0 ? 0 : (fine.cellAreaM2 * fineCount) / count,
    },
    every,
    offset,
  };
}

/** Values of the finer grid at the middles of the larger cells: bilinear over the cells inside. */
export function sampled({ grid, every, offset }: Coarse, fine: Grid, values: Float64Array): Float64Array {
  return Float64Array.from({ length: grid.nx * grid.ny }, (_, cell) =>
    grid.inside[cell]
      ? between(fine, values, offset[0] + every * (cell % grid.nx), offset[1] + every * Math.floor(cell / grid.nx))
      : 0,
  );
}

/** Mean of the four cells about a place given in cells, by nearness, those outside left out; 0 where none is inside. */
function between(grid: Grid, values: Float64Array, fx: number, fy: number): number {
  const x = Math.min(grid.nx - 1, Math.max(0, fx));
  const y = Math.min(grid.ny - 1, Math.max(0, fy));
  const [ix, iy] = [
    Math.min(Math.floor(x), Math.max(0, grid.nx - 2)),
    Math.min(Math.floor(y), Math.max(0, grid.ny - 2)),
  ];
  let [sum, weight] = [0, 0];
  for (const [dx, dy] of CORNERS) {
    if (ix + dx >= grid.nx || iy + dy >= grid.ny) continue;
    const cell = (iy + dy) * grid.nx + ix + dx;
    if (!grid.inside[cell]) continue;
    // A cell alone inside carries its value to all about it, however near its neighbours outside.
    const w = Math.max(1e-9, (1 - Math.abs(x - ix - dx)) * (1 - Math.abs(y - iy - dy)));
    sum += w * values[cell]!;
    weight += w;
  }
  return weight === 0 ? 0 : sum / weight;
}

const CORNERS = [
  [0, 0],
  [1, 0],
  [0, 1],
  [1, 1],
] as const;
