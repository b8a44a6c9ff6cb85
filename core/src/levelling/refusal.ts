import type { Said } from '../said/index.ts';
import { cellCentre } from '../flat/index.ts';
import { LIMIT_WORDS, type LevellingJob, type LimitName } from './job.ts';
import type { Change, PlanLimits } from './programme.ts';

/** Why a way cannot be gone: the limit that binds, and the place where it would have to give most. */
export interface Refusal {
  limit: LimitName;
  words: Said;
  /** Plan place, what it would take there and what is allowed, mm. */
  at: [number, number];
  takesMm: number;
  allowedMm: number;
}

/** More than this past a limit counts, mm: arithmetic. */
const PAST_MM = 1e-6;

/** Where a change goes farthest past the limits, or null where it keeps them all. */
export function worstOver(
  { grid, limits, boundBy }: LevellingJob,
  change: Change,
  asked: PlanLimits = limits,
): Refusal | null {
  let worst: Refusal | null = null;
  for (let cell = 0; cell < change.fillMm.length; cell++) {
    if (!grid.inside[cell]) continue;
    for (const map of ['fillMm', 'grindMm'] as const) {
      const takesMm = change[map][cell]!;
      const allowedMm = asked[map][cell]!;
      if (takesMm - allowedMm <= (worst ? worst.takesMm - worst.allowedMm : PAST_MM)) continue;
      const limit = boundBy[map === 'fillMm' ? 'fill' : 'grind'][cell]!;
      const { xMm, yMm } = cellCentre(grid, cell);
      worst = { limit, words: LIMIT_WORDS[limit], at: [xMm, yMm], takesMm, allowedMm };
    }
  }
  return worst;
}
