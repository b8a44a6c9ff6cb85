import { isTimber, type BaseKind } from '../room/index.ts';

/** Average month, days. */
const MONTH_DAYS = 30.4;

/**
 * Drying time by the trade's rule at about 20 C and 60 %RH, days from weathertight and cured: cement screed 1 mm a day for the
 * first 40 mm, then half that; calcium sulfate alike; concrete a month for each 25 mm, divided by its drying faces. Null for a
 * base that does not dry from a casting.
 */
export function ruleOfThumbDays(kind: BaseKind, thicknessMm: number, faces: 1 | 2): number | null {
  if (isTimber(kind) || kind === 'existing-resilient' || kind === 'existing-tile') return null;
  if (kind === 'cement-screed' || kind === 'calcium-sulfate-screed')
    return Math.min(thicknessMm, 40) + Math.max(0, thicknessMm - 40) * 2;
  return ((thicknessMm / 25) * MONTH_DAYS) / faces;
}
