import { contours as d3contours } from 'd3-contour';
import type { Grid } from './grid.ts';

/** Closed rings in plan mm, outer rings and holes alike (drawn with the even-odd rule). */
export type Rings = [number, number][][];

/**
 * Rings around the cells whose value is at least `threshold`. d3-contour puts sample (i, j) at (i + 0.5, j + 0.5); the half
 * cell is taken off here, so rings lie on the cells' middles.
 */
export function ringsAbove(grid: Grid, values: ArrayLike<number>, threshold: number): Rings {
  const shape = d3contours().size([grid.nx, grid.ny]).contour(Array.from(values), threshold);
  return shape.coordinates.flatMap((polygon) =>
    polygon.map((ring) =>
      ring.map(([x, y]): [number, number] => [
        grid.x0Mm + (x! - 0.5) * grid.cellMm,
        grid.y0Mm + (y! - 0.5) * grid.cellMm,
      ]),
    ),
  );
}

/** Every second cell of the grid and its values, for drawing: contours at half the resolution read the same on a screen. */
export function thinned(grid: Grid, values: ArrayLike<number>, by = 2): { grid: Grid; values: Float64Array } {
  const nx = Math.max(1, Math.floor((grid.nx - 1) / by) + 1);
  const ny = Math.max(1, Math.floor((grid.ny - 1) / by) + 1);
  const out = new Float64Array(nx * ny);
  const inside = new Uint8Array(nx * ny);
  for (let iy = 0; iy < ny; iy++) {
    for (let ix = 0; ix < nx; ix++) {
      out[iy * nx + ix] = values[iy * by * grid.nx + ix * by]!;
      inside[iy * nx + ix] = grid.inside[iy * by * grid.nx + ix * by]!;
    }
  }
  return {
    grid: { ...grid, nx, ny, cellMm: grid.cellMm * by, inside, cellAreaM2: grid.cellAreaM2 * by * by },
    values: out,
  };
}
