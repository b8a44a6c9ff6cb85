import type { DampContext, DampState } from '../damp/index.ts';
import type { OwnCriterion } from '../verdict/index.ts';

/** Damp of a room as it is judged, with what is said of it: whoever comes after hears the same words. */
export interface DampJudged {
  context: DampContext;
  state: DampState;
  criteria: OwnCriterion[];
}

/** What is said of its flatness. */
export interface FlatJudged {
  criteria: OwnCriterion[];
}
