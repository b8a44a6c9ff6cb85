import type { FlatState } from '../flat/index.ts';
import type { Plan } from '../room/index.ts';
import type { StripState } from './strip-state.ts';

/** A room as far as its heights need it. */
export interface HeightGround {
  plan: Plan;
  strip: StripState;
  /** Null where nothing is read. */
  state: FlatState | null;
}
