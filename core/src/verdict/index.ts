export { type Criterion, type OwnCriterion, type Verdict, VERDICTS, worstVerdict } from './words.ts';
export { flatCriteria, LIPS_CHECK, placeWords } from './flat.ts';
export { stripCriteria } from './strip.ts';
export { dampCriteria, roomAir } from './damp.ts';
export { markTick, soundCriteria } from './sound.ts';
