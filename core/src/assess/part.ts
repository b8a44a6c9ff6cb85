import type { OwnCriterion } from '../verdict/index.ts';

/** A state, and until when it holds whatever the time: null where no time changes it. */
interface Judged<State> {
  state: State;
  validUntil: string | null;
}

/** Work a judge may keep from one call to the next, and whom it tells on the way. It changes no answer. */
interface Aside {
  /** Kept for this part and nobody else, from its last judgement on. */
  memo: Map<string, unknown>;
  /** Told of something worth drawing before the judgement stands. */
  tell: (what: unknown) => void;
}

/**
 * One judge: what it reads of a room's facts, what it needs of other parts, and what it makes of them. A pure function of
 * those and the time, so that the runner may keep what it said while they are the same.
 */
export interface Part<Id extends string, Input, Needs, State, Hears = object> {
  readonly id: Id;
  readonly reads: readonly (keyof Input & string)[];
  readonly needs: readonly (keyof Needs & string)[];
  /** Parts whose state it takes into account where they are run, and does without where not. */
  readonly hears?: readonly (keyof Hears & string)[];
  /** Runs only where it is asked for by name: it takes longer than the rest together. */
  readonly onDemand?: boolean;
  judge(input: Input, needs: Needs & Hears, atUtc: string, aside: Aside): Judged<State>;
  criteria?(state: State, input: Input, needs: Needs & Hears, atUtc: string, aside: Aside): OwnCriterion[];
}
