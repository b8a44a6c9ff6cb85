export {
  FINDING,
  type Finding,
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
  WATER_SIGNS,
} from './facts.ts';
export type { Quantity } from './quantities.ts';
export { treatmentOf, type Treatment, type Underfoot } from './treatment.ts';
export { WALK_DOES, walkOf, walkPlaces, type WalkStep } from './walk.ts';
export { lipsOf } from './lips.ts';
