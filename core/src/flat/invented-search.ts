import type { Grid } from './grid.ts';

/** The worst gap and rocking under an edge, mm. */
export interface Worst {
  gapMm: number;
  crownMm: number;
}

/**
 * Lays an edge by plain search, without the core's lines, hulls or shortcuts: `directions` directions, lines a cell apart shifted
 * across and along by `phase` of a cell and of a step, every pair of contacts no farther apart than the edge. Heights in mm.
 */
export function bruteWorst(
  grid: Grid,
  heights: Float64Array,
  edgeMm: number,
  directions: number,
  phase: number,
): Worst {
  const { nx, ny, cellMm } = grid;
  const steps = Math.ceil(edgeMm / cellMm - 1e-9);
  const step = edgeMm / steps / cellMm;
  const worst: Worst = { gapMm: 0, crownMm: 0 };
  const reach = Math.hypot(nx, ny) / 2 + 2;
  const line: number[] = [];
  const weigh = () => {
    weighLine(line, steps, worst);
    line.length = 0;
  };
  for (let d = 0; d < directions; d++) {
    const [ux, uy] = [Math.cos((Math.PI * d) / directions), Math.sin((Math.PI * d) / directions)];
    for (let across = -Math.ceil(reach) + phase; across <= reach; across++) {
      for (let t = -Math.ceil(reach / step) + phase; t * step <= reach; t++) {
        const x = (nx - 1) / 2 + ux * t * step - uy * across;
        const y = (ny - 1) / 2 + uy * t * step + ux * across;
        const h = heightAt(grid, heights, x, y);
        // The edge has to lie on floor between two samples too: at an inner corner it might cut across what is none.
        const over = [0.25, 0.5, 0.75].some(
          (part) => heightAt(grid, heights, x - ux * step * part, y - uy * step * part) === null,
        );
        if (h === null || over) weigh();
        if (h !== null) line.push(h);
      }
      weigh();
    }
  }
  return worst;
}

function heightAt({ nx, ny, inside }: Grid, heights: Float64Array, x: number, y: number): number | null {
  if (x < 0 || y < 0 || x > nx - 1 || y > ny - 1) return null;
  const [ix, iy] = [Math.floor(x), Math.floor(y)];
  let h = 0;
  for (const [dx, dy] of [
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ] as const) {
    const weight = (dx ? x - ix : 1 - x + ix) * (dy ? y - iy : 1 - y + iy);
    if (weight < 1e-9) continue;
    const cell = (iy + dy) * nx + ix + dx;
    if (!inside[cell]) return null;
    h += weight * heights[cell]!;
  }
  return h;
}

function weighLine(line: readonly number[], steps: number, worst: Worst): void {
  const n = line.length;
  for (let i = 0; i < n - 2; i++) {
    // From the far contact inwards: the steepest chord seen so far spans every sample before it.
    let steepest = -Infinity;
    for (let j = Math.min(n - 1, i + steps); j > i + 1; j--) {
      steepest = Math.max(steepest, (line[j]! - line[i]!) / (j - i));
      const gap = line[i]! + steepest * (j - 1 - i) - line[j - 1]!;
      if (gap > worst.gapMm) worst.gapMm = gap;
    }
  }
  for (let c = 1; c < n - 1; c++) {
    const a = Math.min(steps / 2, c, n - 1 - c);
    const [near, far] = [Math.floor(a), Math.ceil(a)];
    const ends = (line[c - near]! + line[c - far]! + line[c + near]! + line[c + far]!) / 4;
    worst.crownMm = Math.max(worst.crownMm, line[c]! - ends);
  }
}
