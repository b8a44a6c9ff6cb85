import { bandClock, type AirHistory } from '../air/index.ts';
import type { PlankBoxes } from './facts.ts';

/** What is wrong with where boxes lie: their clock does not run until it is put right. */
export type Misplaced = 'leaning' | 'on-concrete' | 'outer-wall' | 'vents-and-sun';

export interface BoxClock {
  boxes: PlankBoxes;
  misplaced: Misplaced[];
  hoursNeeded: number;
  hoursDone: number;
  /** When it runs out if the air stays in its band; null while that is not known or they lie wrong. */
  dueAt: string | null;
  isDone: boolean;
}

/** Boxes of one batch by the clock: hours in the card's air since they were put down, begun again whenever the air left its band. */
export function boxClock(boxes: PlankBoxes, air: AirHistory, hoursNeeded: number): BoxClock {
  const misplaced = (
    [
      [boxes.isFlat, 'leaning'],
      [boxes.isOffConcrete, 'on-concrete'],
      [boxes.isOffOuterWall, 'outer-wall'],
      [boxes.isOffVentsAndSun, 'vents-and-sun'],
    ] as const
  ).flatMap(([isRight, what]): Misplaced[] => (isRight ? [] : [what]));
  if (hoursNeeded === 0) return { boxes, misplaced, hoursNeeded, hoursDone: 0, dueAt: null, isDone: true };
  const { hoursDone, dueAt, done } = bandClock(air, hoursNeeded, boxes.stoodAt);
  return misplaced.length > 0
    ? { boxes, misplaced, hoursNeeded, hoursDone: 0, dueAt: null, isDone: false }
    : { boxes, misplaced, hoursNeeded, hoursDone, dueAt: done ? null : dueAt, isDone: done };
}
