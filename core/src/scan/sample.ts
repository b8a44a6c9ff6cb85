import { toScan, type ScanPlace } from './facts.ts';
import type { ScanFloor } from './floor-cells.ts';

/** Heights of a scan at places of the plan, mm over its own level; null where it saw no floor. */
type ScanHeight = (xMm: number, yMm: number) => number | null;

/** Less of a sample than this lies on cells that were seen: it is not taken. */
const SEEN_SHARE = 0.7;
/** Weights across three cells: together about 7 cm wide at half height. */
const SMOOTH = [1, 2, 1] as const;

/** How much of one cell's noise is left after smoothing over its neighbours: root of the sum of squared weights, 6/16. */
export const SMOOTHED_NOISE_SHARE = 0.375;

/** Heights smoothed over about 7 cm, NaN where no floor was seen: one cell's noise would pass for roughness. */
export function smoothed({
  heightsTenthMm: raw,
  nx,
  ny,
}: Pick<ScanFloor, 'heightsTenthMm' | 'nx' | 'ny'>): Float64Array {
  const out = new Float64Array(raw.length).fill(NaN);
  for (let iy = 0; iy < ny; iy++)
    for (let ix = 0; ix < nx; ix++) {
      if (raw[iy * nx + ix] == null) continue;
      let [sum, weight] = [0, 0];
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          const [x, y] = [ix + dx, iy + dy];
          const height = x < 0 || y < 0 || x >= nx || y >= ny ? null : raw[y * nx + x];
          if (height == null) continue;
          const w = SMOOTH[dx + 1]! * SMOOTH[dy + 1]!;
          sum += w * height;
          weight += w;
        }
      out[iy * nx + ix] = sum / weight / 10;
    }
  return out;
}

/** A scan ready to be asked at places of the plan: smoothed, bilinear between cells. */
export function scanHeights(scan: ScanFloor & ScanPlace): ScanHeight {
  const { nx, ny, cellMm, x0Mm, y0Mm } = scan;
  const heights = smoothed(scan);
  const own = toScan(scan, scan);
  return (xMm, yMm) => {
    const [sx, sy] = own(xMm, yMm);
    const [fx, fy] = [(sx - x0Mm) / cellMm, (sy - y0Mm) / cellMm];
    const [ix, iy] = [Math.floor(fx), Math.floor(fy)];
    let [sum, weight] = [0, 0];
    for (let corner = 0; corner < 4; corner++) {
      const [x, y] = [ix + (corner & 1), iy + (corner >> 1)];
      if (x < 0 || y < 0 || x >= nx || y >= ny) continue;
      const height = heights[y * nx + x]!;
      if (Number.isNaN(height)) continue;
      const w = (1 - Math.abs(fx - x)) * (1 - Math.abs(fy - y));
      sum += w * height;
      weight += w;
    }
    return weight < SEEN_SHARE ? null : sum / weight;
  };
}
