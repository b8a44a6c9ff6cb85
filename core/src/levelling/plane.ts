import type { Grid } from '../flat/index.ts';

/** A pour to one level over the whole floor, after the highest places have been ground by `groundMm`. */
export interface PlanePour {
  groundMm: number;
  groundVolumeL: number;
  groundAreaM2: number;
  /** Level of the pour over the datum, mm. */
  levelMm: number;
  volumeL: number;
  meanMm: number;
  deepestMm: number;
}

/**
 * Pour to a level plane: level = highest point after grinding `groundMm` off the top, plus the least depth the product takes.
 * The result is flat and level, so it meets every rule. mm in, litres out.
 */
export function pourToPlane(grid: Grid, heights: Float64Array, leastMm: number, groundMm = 0): PlanePour {
  let top = -Infinity;
  for (let cell = 0; cell < heights.length; cell++) if (grid.inside[cell]) top = Math.max(top, heights[cell]!);
  const ceiling = top - groundMm;
  const levelMm = ceiling + leastMm;
  let [ground, groundCells, depth, cells, deepestMm] = [0, 0, 0, 0, 0];
  for (let cell = 0; cell < heights.length; cell++) {
    if (!grid.inside[cell]) continue;
    const z = Math.min(heights[cell]!, ceiling);
    if (heights[cell]! > ceiling) {
      ground += heights[cell]! - ceiling;
      groundCells++;
    }
    depth += levelMm - z;
    cells++;
    deepestMm = Math.max(deepestMm, levelMm - z);
  }
  return {
    groundMm,
    groundVolumeL: ground * grid.cellAreaM2,
    groundAreaM2: groundCells * grid.cellAreaM2,
    levelMm,
    volumeL: depth * grid.cellAreaM2,
    meanMm: cells === 0 ? 0 : depth / cells,
    deepestMm,
  };
}

/** Pours after grinding 0, 0.5 ... `mostMm` off the highest places: the trade of grinding against bags. */
export function planeCurve(grid: Grid, heights: Float64Array, leastMm: number, mostMm = 4): PlanePour[] {
  return Array.from({ length: Math.round(mostMm / 0.5) + 1 }, (_, i) => pourToPlane(grid, heights, leastMm, i * 0.5));
}
