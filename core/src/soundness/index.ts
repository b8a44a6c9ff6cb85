export {
  KEEP_OFF_KINDS,
  type Mark,
  MARK_KINDS,
  MARK_RANGES,
  MARK_SHAPES,
  MARK_WORDS,
  type MarkKind,
  newMark,
  NO_SOUND_FACTS,
  SEVERITIES,
  type SoundFacts,
  USUAL_SHAPE,
} from './facts.ts';
export type { Quantity } from './quantities.ts';
export { treatmentOf } from './treatment.ts';
export { walkOf, type WalkStep } from './walk.ts';
export { lipsOf } from './lips.ts';
