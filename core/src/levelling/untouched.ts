import type { FlatnessRule } from '../coverings/index.ts';
import type { Grid } from '../flat/index.ts';
import type { Certificate } from './certificate.ts';

/** What holds of a floor that nothing is done to: the worst along the certified lines, and what no edge anywhere can go over. */
export interface Untouched {
  rule: FlatnessRule;
  worstMm: number;
  mostMm: number;
}

/**
 * Share of the largest second difference by which a floor may depart from its certified lines between them: 36 directions in one
 * phase. Held in trials on floors that no plan has put kinks into; lines cut short by walls are left out.
 */
const BETWEEN_SHARE = 1.1;

/** Largest second difference over three cells in a row, along the axes and both diagonals, mm. */
export function largestSecondDifference({ nx, ny, inside }: Grid, heights: Float64Array): number {
  let most = 0;
  for (let y = 0; y < ny; y++)
    for (let x = 0; x < nx; x++) {
      const cell = y * nx + x;
      if (!inside[cell]) continue;
      for (const [dx, dy] of WAYS) {
        if (x - dx < 0 || x + dx >= nx || y - dy < 0 || y - dy >= ny || y + dy >= ny || y + dy < 0) continue;
        const [before, after] = [cell - dy * nx - dx, cell + dy * nx + dx];
        if (!inside[before] || !inside[after]) continue;
        most = Math.max(most, Math.abs(heights[before]! - 2 * heights[cell]! + heights[after]!));
      }
    }
  return most;
}

const WAYS = [
  [1, 0],
  [0, 1],
  [1, 1],
  [1, -1],
] as const;

/** A bound for each rule of a floor as it is: contacts may stand higher, the place between them lower, by the same. */
export function untouchedBounds(
  grid: Grid,
  heights: Float64Array,
  certificates: readonly Certificate[],
  contactsOnly: boolean,
): Untouched[] {
  const apart = 2 * BETWEEN_SHARE * largestSecondDifference(grid, heights);
  return certificates.map(({ rule, worstGapMm, worstCrownMm }) => {
    const worstMm = Math.max(worstGapMm, contactsOnly ? 0 : worstCrownMm);
    return { rule, worstMm, mostMm: worstMm + apart };
  });
}
