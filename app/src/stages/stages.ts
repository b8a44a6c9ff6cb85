import type { RoomPicture } from '@maquette/core';
import { worstVerdict, type Verdict } from '@maquette/core/verdict';

/** The stages of a room, in the order of the work. */
export const STAGES = [
  { stage: 'room', label: 'Room' },
  { stage: 'strip', label: 'Strip out' },
  { stage: 'flat', label: 'Flat' },
  { stage: 'plan', label: 'Plan' },
] as const;
export type Stage = (typeof STAGES)[number]['stage'];

export function isStage(value: unknown): value is Stage {
  return STAGES.some((s) => s.stage === value);
}

/** Criteria that strip-out answers for; all others belong to flatness so far. */
const STRIP = /^(strip|hazard|site)/;

/**
 * Mark of each plank of the course: its own criteria only. The room itself is set up once it has a way in; strip-out is done
 * when nothing of it is left, and a bare base has nothing to strip.
 */
export function marksOf(hasWayIn: boolean, picture: RoomPicture | null): Record<Stage, Verdict> {
  const room: Verdict = hasWayIn ? 'lay' : 'measure';
  if (!picture) return { room, strip: 'measure', flat: 'measure', plan: 'measure' };
  const strip = picture.criteria.filter((c) => STRIP.test(c.id)).map((c) => c.verdict);
  const flat = worstVerdict(picture.criteria.filter((c) => !STRIP.test(c.id)).map((c) => c.verdict));
  return { room, strip: strip.length === 0 ? 'lay' : worstVerdict(strip), flat, plan: picture.verdict };
}
