import { decimals, say, type Said, type Sayable } from '../said/index.ts';
import type { LevelMap } from '../flat/index.ts';
import type { Bay, Certificate, ChalkPoint, Patch } from '../levelling/index.ts';
import type { Plan } from '../room/index.ts';

/** What is drawn of a levelled room, ready for a file: plan mm, x to the right along the first wall, y into the room. */
export interface LevelSheet {
  title: string;
  plan: Plan;
  /** Contours of the floor over the plane through it; null where nothing is read. */
  map: LevelMap | null;
  fills: readonly Patch[];
  grinding: readonly Patch[];
  bays: readonly Bay[];
  chalk: readonly ChalkPoint[];
  certificates: readonly Certificate[];
}

/** Puts what is said into words, as a file holds them. */
export type Written = (said: Sayable) => string;

/** The certificate in a file's own line: `rule 3 mm under 2000 mm, 36 directions on 50 mm, worst gap left 2.99 mm, … holds`. */
export function certificateLine({
  rule,
  directions,
  cellMm,
  worstGapMm,
  worstCrownMm,
  worstAnywhereMm,
  holds,
}: Certificate): Said {
  return say(holds ? 'formats.certificateHoldsFormula' : 'formats.certificateFailsFormula', {
    gapMm: rule.gapMm,
    edgeMm: rule.edgeMm,
    directions,
    cellMm,
    worstGapMm: decimals(worstGapMm, 2),
    worstCrownMm: decimals(worstCrownMm, 2),
    betweenMm: decimals(worstAnywhereMm, 2),
  });
}
