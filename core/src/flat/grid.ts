import { boundsMm, contains, distanceToWallsMm, areaM2, type Plan, type PointMm } from '../room/index.ts';

/** Judgement grid over the room's bounding rectangle; `inside` is 1 where the cell's middle is on the floor. */
export interface Grid {
  nx: number;
  ny: number;
  cellMm: number;
  /** Middle of cell (0, 0). */
  x0Mm: number;
  y0Mm: number;
  inside: Uint8Array;
  /** Floor a cell stands for: the room's area over the cells inside, so that areas add up to the room's. */
  cellAreaM2: number;
}

/** Cell size maps are judged on, mm; planning may use twice this. */
const JUDGE_CELL_MM = 50;

/** Grid centred on the room's bounding rectangle, so that turning or mirroring the room by quarters turns the grid with it. */
export function gridOver(plan: Plan, cellMm = JUDGE_CELL_MM): Grid {
  const b = boundsMm(plan.corners);
  const nx = Math.max(1, Math.floor((b.maxX - b.minX) / cellMm + 1e-6));
  const ny = Math.max(1, Math.floor((b.maxY - b.minY) / cellMm + 1e-6));
  const x0Mm = (b.minX + b.maxX) / 2 - ((nx - 1) / 2) * cellMm;
  const y0Mm = (b.minY + b.maxY) / 2 - ((ny - 1) / 2) * cellMm;
  const inside = new Uint8Array(nx * ny);
  let count = 0;
  for (let iy = 0; iy < ny; iy++) {
    for (let ix = 0; ix < nx; ix++) {
      const x = x0Mm + ix * cellMm;
      const y = y0Mm + iy * cellMm;
      if (!contains(plan.corners, x, y) || plan.islands.some((island) => contains(island, x, y))) continue;
      // A cell whose middle lies on a wall belongs to neither side: either answer would break mirror symmetry.
      if (distanceToWallsMm(plan.corners, x, y) < 1) continue;
      inside[iy * nx + ix] = 1;
      count++;
    }
  }
  return {
    nx,
    ny,
    cellMm,
    x0Mm,
    y0Mm,
    inside,
    cellAreaM2: count === 0 ? 0 : areaM2(plan.corners, plan.islands) / count,
  };
}

/** Middle of a cell in plan coordinates. */
export function cellCentre(grid: Grid, cell: number): PointMm {
  return { xMm: grid.x0Mm + (cell % grid.nx) * grid.cellMm, yMm: grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm };
}

/** Index of the cell a point lies in, or -1 outside the rectangle. */
export function cellAt(grid: Grid, xMm: number, yMm: number): number {
  const ix = Math.round((xMm - grid.x0Mm) / grid.cellMm);
  const iy = Math.round((yMm - grid.y0Mm) / grid.cellMm);
  return ix < 0 || iy < 0 || ix >= grid.nx || iy >= grid.ny ? -1 : iy * grid.nx + ix;
}

/** The same grid with only the cells for which `keep` is 1 left inside. */
export function restrict(grid: Grid, keep: Uint8Array): Grid {
  return { ...grid, inside: grid.inside.map((on, cell) => on & (keep[cell] ?? 0)) };
}
