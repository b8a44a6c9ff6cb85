export { type Criterion, type OwnCriterion, type Verdict, VERDICTS, worstVerdict } from './words.ts';
export { flatCriteria, FULL_COVER_SHARE } from './flat.ts';
export { placeWords } from './place.ts';
export { LIPS_CHECK, markTick } from './ticks.ts';
export { stripCriteria } from './strip.ts';
export { assumedCriteria } from './assumed.ts';
export { dampCriteria } from './damp.ts';
export { roomAir } from './room-air.ts';
export { openMarks, soundCriteria } from './sound.ts';
