import type { FigureOf } from '../figures/index.ts';
import type { Grid } from '../flat/index.ts';

/**
 * Mean of a map over the floor within a square about each cell of the floor; 0 off it. A load is told by the square metre: what lies on a
 * hand's breadth is carried by the boards around it. `halfMm` is half the side of the square. By sums over rectangles from the corner.
 */
export function meanAround({ nx, ny, inside, cellMm }: Grid, values: Float64Array, halfMm: number): Float64Array {
  const reach = Math.max(0, Math.round(halfMm / cellMm - 0.5));
  const across = nx + 1;
  const [sums, counts] = [new Float64Array(across * (ny + 1)), new Float64Array(across * (ny + 1))];
  for (let y = 0; y < ny; y++)
    for (let x = 0; x < nx; x++) {
      const at = (y + 1) * across + x + 1;
      const on = inside[y * nx + x] ? 1 : 0;
      const from = (map: Float64Array, own: number) =>
        (map[at] = own + map[at - 1]! + map[at - across]! - map[at - across - 1]!);
      from(sums, on ? values[y * nx + x]! : 0);
      from(counts, on);
    }
  const means = new Float64Array(nx * ny);
  for (let y = 0; y < ny; y++)
    for (let x = 0; x < nx; x++) {
      if (!inside[y * nx + x]) continue;
      const [left, right] = [Math.max(0, x - reach), Math.min(nx, x + reach + 1)];
      const [low, high] = [Math.max(0, y - reach), Math.min(ny, y + reach + 1)];
      const over = (map: Float64Array) =>
        map[high * across + right]! -
        map[high * across + left]! -
        map[low * across + right]! +
        map[low * across + left]!;
      means[y * nx + x] = over(sums) / over(counts);
    }
  return means;
}

/** Bags that may be stacked on one square metre of a suspended timber floor; at least one, which a person carries as well. */
export const bagsPerM2 = (bagKg: number, figure: FigureOf): number =>
  Math.max(1, Math.floor(figure('stack-kg-m2') / bagKg + 1e-9));
