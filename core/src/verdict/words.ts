import { type Said, type Sayable } from '../said/index.ts';
/** The five words a criterion or a room can be given, worst first. This is the only order of severity. */
export const VERDICTS = ['stop', 'work', 'measure', 'wait', 'lay'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** One judged criterion of a room. */
export interface Criterion {
  id: string;
  /** The part that judged it: the stage it is shown in, the plank of the course it marks. */
  part: string;
  /** Other parts in whose stage it is found or mended, and shown as well. */
  also: readonly string[];
  /** Where on the floor it is decided, mm in the plan; null where no one place does. */
  at: readonly [number, number] | null;
  /** What is judged, in the trade's words. */
  title: Said;
  verdict: Verdict;
  /** Margin first, place and rule after: complete sentences without units assumed. */
  margin: Sayable;
  next: Sayable;
}

/** A criterion as its part states it: whose it is the runner adds, and that it has no place where none is said. */
export type OwnCriterion = Omit<Criterion, 'part' | 'also' | 'at'> & Partial<Pick<Criterion, 'also' | 'at'>>;

/** The worst of some verdicts; `measure` when there is nothing to judge. */
export function worstVerdict(verdicts: readonly Verdict[]): Verdict {
  return VERDICTS.find((word) => verdicts.includes(word)) ?? 'measure';
}
