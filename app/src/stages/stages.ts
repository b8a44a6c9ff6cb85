import type { RoomPicture } from '@maquette/core';
import type { LevellingPlan } from '@maquette/core/levelling';
import type { Verdict } from '@maquette/core/verdict';

/** The stages of a room, in the order of the work. */
export const STAGES = [
  { stage: 'room', label: 'Room' },
  { stage: 'flat', label: 'Flat' },
  { stage: 'plan', label: 'Plan' },
] as const;
export type Stage = (typeof STAGES)[number]['stage'];

export function isStage(value: unknown): value is Stage {
  return STAGES.some((s) => s.stage === value);
}

/** Mark of each plank of the course. The room itself is set up once it has a door to walk in by. */
export function markOf(
  stage: Stage,
  hasDoor: boolean,
  picture: RoomPicture | null,
  plan: LevellingPlan | null,
): Verdict {
  if (stage === 'room') return hasDoor ? 'lay' : 'measure';
  if (!picture) return 'measure';
  if (stage === 'flat') return picture.verdict;
  return plan && !plan.nothingToDo ? 'work' : picture.verdict;
}
