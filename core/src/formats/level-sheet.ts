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

/** `rule 3 mm under 2000 mm, 36 directions on 50 mm, worst gap 2.99 mm, holds`: the certificate in a file's own line. */
export function certificateLine({ rule, directions, cellMm, worstGapMm, worstCrownMm, holds }: Certificate): string {
  return `rule ${rule.gapMm} mm under ${rule.edgeMm} mm, ${directions} directions on ${cellMm} mm, worst gap left ${worstGapMm.toFixed(2)} mm, worst rocking ${worstCrownMm.toFixed(2)} mm, ${holds ? 'holds' : 'does not hold'}`;
}
