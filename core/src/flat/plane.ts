import type { Grid } from './grid.ts';

/** Least-squares plane z = level + slopeX (x - cx) + slopeY (y - cy); slopes in mm per mm. */
export interface Plane {
  levelMm: number;
  slopeX: number;
  slopeY: number;
  cx: number;
  cy: number;
}

export function planeAt(plane: Plane, x: number, y: number): number {
  return plane.levelMm + plane.slopeX * (x - plane.cx) + plane.slopeY * (y - plane.cy);
}

/** Plane through the heights of the cells inside, by the normal equations; level only where the cells do not fix a slope. */
export function planeOver(grid: Grid, heights: Float64Array, withSlope = true): Plane {
  let [n, sx, sy, sz] = [0, 0, 0, 0];
  const each = (visit: (x: number, y: number, z: number) => void) => {
    for (let cell = 0; cell < heights.length; cell++) {
      if (grid.inside[cell])
        visit(
          grid.x0Mm + (cell % grid.nx) * grid.cellMm,
          grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm,
          heights[cell]!,
        );
    }
  };
  each((x, y, z) => {
    n++;
    sx += x;
    sy += y;
    sz += z;
  });
  const [cx, cy, levelMm] = n === 0 ? [0, 0, 0] : [sx / n, sy / n, sz / n];
  const flat = { levelMm, slopeX: 0, slopeY: 0, cx, cy };
  if (!withSlope || n < 3) return flat;
  let [xx, yy, xy, xz, yz] = [0, 0, 0, 0, 0];
  each((x, y, z) => {
    xx += (x - cx) ** 2;
    yy += (y - cy) ** 2;
    xy += (x - cx) * (y - cy);
    xz += (x - cx) * z;
    yz += (y - cy) * z;
  });
  const det = xx * yy - xy * xy;
  if (det < 1e-6 * xx * yy || det === 0) return flat;
  return { levelMm, slopeX: (xz * yy - yz * xy) / det, slopeY: (yz * xx - xz * xy) / det, cx, cy };
}
