import type { DampContext, DampState } from '../damp/index.ts';
import type { DampCover, OwnCriterion, Verdict } from '../verdict/index.ts';

/** Damp of a room as it is judged, with what is said of it: whoever comes after hears the same words. */
export interface DampJudged {
  context: DampContext;
  state: DampState;
  criteria: OwnCriterion[];
  /** What lies over a base that reads too damp; null where nothing does. */
  cover: DampCover | null;
  /** The worst that is said of the base itself, its membrane counted and no film: the air of the room left out, for which planks wait whatever lies under them. */
  ofFloor: Verdict;
}

/** What is said of its flatness. */
export interface FlatJudged {
  criteria: OwnCriterion[];
}
