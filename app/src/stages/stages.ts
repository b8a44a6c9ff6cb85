import type { RoomPicture } from '@maquette/core';
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

/** Which stage a criterion belongs to, by its id; what no pattern claims is flatness. */
const OWNERS: readonly [Stage, RegExp][] = [
  ['strip', /^(strip|hazard|site)/],
  ['damp', /^damp/],
  ['sound', /^sound/],
];

export function stageOf(criterionId: string): Stage {
  return OWNERS.find(([, pattern]) => pattern.test(criterionId))?.[0] ?? 'flat';
}

/**
 * Mark of each plank of the course: its own criteria only. The room itself is set up once it has a way in; strip-out is done
 * when nothing of it is left, and a bare base has nothing to strip.
 */
export function marksOf(hasWayIn: boolean, picture: RoomPicture | null): Record<Stage, Verdict> {
  const room: Verdict = hasWayIn ? 'lay' : 'measure';
  const of = (stage: Stage) => picture?.criteria.filter((c) => stageOf(c.id) === stage).map((c) => c.verdict) ?? [];
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
