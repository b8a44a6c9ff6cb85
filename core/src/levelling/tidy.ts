import { components, type Grid } from '../flat/index.ts';
import type { Change } from './programme.ts';

/** A place smaller than this is not worth setting tools up for, m2. */
const WORTH_M2 = 0.1;
/** Thinner than this is no edge of a place, mm. */
const EDGE_MM = 0.05;

/** A change without its crumbs: places too small to set tools up for are left as they are. */
export function withoutCrumbs(grid: Grid, { fillMm, grindMm }: Change): Change {
  return { fillMm: without(grid, fillMm), grindMm: without(grid, grindMm) };
}

function without(grid: Grid, depthMm: Float64Array): Float64Array {
  const out = depthMm.slice();
  const worked = depthMm.map((depth, cell) => (grid.inside[cell] && depth > EDGE_MM ? 1 : 0));
  for (let cell = 0; cell < out.length; cell++) if (!worked[cell]) out[cell] = 0;
  for (const cells of components(grid, worked))
    if (cells.length * grid.cellAreaM2 < WORTH_M2) for (const cell of cells) out[cell] = 0;
  return out;
}
