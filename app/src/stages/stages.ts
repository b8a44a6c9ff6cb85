import type { PartName, RoomPicture } from '@maquette/core';
import { worstVerdict, type Verdict } from '@maquette/core/verdict';

/** The stages of a room, in the order of the work. */
export const STAGES = [
  { stage: 'room', label: 'Room' },
  { stage: 'strip', label: 'Strip' },
  { stage: 'damp', label: 'Damp' },
  { stage: 'sound', label: 'Sound' },
  { stage: 'flat', label: 'Flat' },
  { stage: 'plan', label: 'Plan' },
] as const;
export type Stage = (typeof STAGES)[number]['stage'];

export function isStage(value: unknown): value is Stage {
  return STAGES.some((s) => s.stage === value);
}

/**
 * Mark of each plank of the course: the criteria of its own part only. The room itself is set up once it has a way in; strip-out is done
 * when nothing of it is left, and a bare base has nothing to strip.
 */
export function marksOf(hasWayIn: boolean, picture: RoomPicture | null): Record<Stage, Verdict> {
  const room: Verdict = hasWayIn ? 'lay' : 'measure';
  const of = (part: PartName) => picture?.criteria.filter((c) => c.part === part).map((c) => c.verdict) ?? [];
  const strip: Verdict = picture && of('strip').length === 0 ? 'lay' : worstVerdict(of('strip'));
  return {
    room,
    strip,
    damp: worstVerdict(of('damp')),
    sound: worstVerdict(of('sound')),
    flat: worstVerdict(of('flat')),
    plan: picture?.verdict ?? 'measure',
  };
}
