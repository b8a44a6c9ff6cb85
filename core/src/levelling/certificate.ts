import type { FlatnessRule } from '../coverings/index.ts';
import { CERTIFIED_DIRECTIONS, gapMap, type Grid, type KeptRuns, type Placement } from '../flat/index.ts';

/** What is left under a rule once a plan has been carried out, re-checked from the heights alone. */
export interface Certificate {
  rule: FlatnessRule;
  cellMm: number;
  directions: number;
  worstGap: Placement | null;
  worstCrown: Placement | null;
  worstGapMm: number;
  worstCrownMm: number;
  gapHolds: boolean;
  crownHolds: boolean;
  /** Both hold; with rocking left out by the user's setting, the gap alone. */
  holds: boolean;
}

/** Re-checks heights under a rule at 36 directions, gap and rocking both. */
export function certify(
  grid: Grid,
  heights: Float64Array,
  rule: FlatnessRule,
  contactsOnly = false,
  directions = CERTIFIED_DIRECTIONS,
  kept?: KeptRuns,
): Certificate {
  const map = gapMap(grid, heights, { edgeMm: rule.edgeMm, directions, worstOnly: true, kept });
  const worstGapMm = map.worstGap?.valueMm ?? 0;
  const worstCrownMm = map.worstCrown?.valueMm ?? 0;
  const gapHolds = worstGapMm <= rule.gapMm;
  const crownHolds = worstCrownMm <= rule.gapMm;
  return {
    rule,
    cellMm: grid.cellMm,
    directions,
    worstGap: map.worstGap,
    worstCrown: map.worstCrown,
    worstGapMm,
    worstCrownMm,
    gapHolds,
    crownHolds,
    holds: gapHolds && (contactsOnly || crownHolds),
  };
}
