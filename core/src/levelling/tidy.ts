import { components, type Grid } from '../flat/index.ts';
import type { Change } from './programme.ts';

/** A place smaller than this is not worth setting tools up for, m2. */
const WORTH_M2 = 0.1;
/** Thinner than this is no edge of a place, mm. */
const EDGE_MM = 0.05;

/**
 * A change without its crumbs: places too small to set tools up for are left as they are. `left` are the cells of both. Null where
 * it has none.
 */
export function withoutCrumbs(grid: Grid, { fillMm, grindMm }: Change): (Change & { left: number[] }) | null {
  const [fill, grind] = [without(grid, fillMm), without(grid, grindMm)];
  if (fill.crumbs + grind.crumbs === 0) return null;
  const moved = (cell: number) => fill.depthMm[cell] !== fillMm[cell] || grind.depthMm[cell] !== grindMm[cell];
  return {
    fillMm: fill.depthMm,
    grindMm: grind.depthMm,
    left: Array.from(fillMm.keys()).filter((cell) => grid.inside[cell] && moved(cell)),
  };
}

function without(grid: Grid, from: Float64Array): { depthMm: Float64Array; crumbs: number } {
  const depthMm = from.slice();
  let crumbs = 0;
  const worked = from.map((depth, cell) => (grid.inside[cell] && depth > EDGE_MM ? 1 : 0));
  for (const cells of components(grid, worked)) {
    if (cells.length * grid.cellAreaM2 >= WORTH_M2) continue;
    for (const cell of cells) depthMm[cell] = 0;
    crumbs++;
  }
  return { depthMm, crumbs };
}
