import type { FlatnessRule } from '../coverings/index.ts';
import { CERTIFIED_DIRECTIONS, gapMap, type Grid, type KeptRuns, type Placement } from '../flat/index.ts';
import { lookBetween, type BetweenLines } from './between.ts';

/** What is left under a rule once a plan has been carried out, re-checked from the heights alone. */
export interface Certificate {
  rule: FlatnessRule;
  cellMm: number;
  directions: number;
  worstGap: Placement | null;
  worstCrown: Placement | null;
  worstGapMm: number;
  worstCrownMm: number;
  /** What lines show that lie between these, and across corners. */
  between: BetweenLines;
  /** The worst along any line. Between was looked only where it could be over the rule: the rest is no worse than these lines. */
  worstAnywhereMm: number;
  gapHolds: boolean;
  crownHolds: boolean;
  /** Both hold, and between the lines too; with rocking left out by the user's setting, the gap alone. */
  holds: boolean;
}

/** A floor that is one plane shows nothing along any line. */
export const PLANE_BETWEEN: BetweenLines = { passes: 0, sure: true, worstGapMm: 0, worstCrownMm: 0 };

/** Between its lines a plan may stand over its rule by no more than this, mm; what it is stands on the certificate. */
const BETWEEN_OVER_MM = 0.1;

/**
 * Re-checks heights under a rule at 36 directions, gap and rocking both. `between` is what mending between those lines left; where
 * nobody mended, it is looked at here.
 */
export function certify(
  grid: Grid,
  heights: Float64Array,
  rule: FlatnessRule,
  contactsOnly = false,
  {
    kept,
    between = lookBetween(grid, heights, rule, contactsOnly),
  }: { kept?: KeptRuns | undefined; between?: BetweenLines } = {},
): Certificate {
  const directions = CERTIFIED_DIRECTIONS;
  const map = gapMap(grid, heights, { edgeMm: rule.edgeMm, directions, worstOnly: true, kept });
  const worstGapMm = map.worstGap?.valueMm ?? 0;
  const worstCrownMm = map.worstCrown?.valueMm ?? 0;
  const gapHolds = worstGapMm <= rule.gapMm;
  const crownHolds = worstCrownMm <= rule.gapMm;
  const worstBetween = Math.max(between.worstGapMm, contactsOnly ? 0 : between.worstCrownMm);
  return {
    rule,
    cellMm: grid.cellMm,
    directions,
    worstGap: map.worstGap,
    worstCrown: map.worstCrown,
    worstGapMm,
    worstCrownMm,
    between,
    worstAnywhereMm: Math.max(worstGapMm, worstCrownMm, between.worstGapMm, between.worstCrownMm),
    gapHolds,
    crownHolds,
    holds: gapHolds && (contactsOnly || crownHolds) && between.sure && worstBetween <= rule.gapMm + BETWEEN_OVER_MM,
  };
}
