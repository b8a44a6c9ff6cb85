export type { Cut, Cutting, CutPiece, Guides, PieceLimits } from './cut-frame.ts';
export { cutIntoPieces, plainGrid } from './cut-plan.ts';
export type { Pack, Step } from './steps.ts';
export { laidOver, layersLeft, stripContext, underfootOf } from './context.ts';
export {
  type Choice,
  CHOICE_WORDS,
  CHOICES,
  NO_STRIP_FACTS,
  type StripContext,
  type StripFacts,
  type TrimFate,
} from './facts.ts';
export { compareLayers, type Comparison, type Option } from './options.ts';
export type { CutPlan } from './pieces.ts';
export { planStripOut, type StripPlan } from './plan.ts';
export { makeGoodOf } from './removal.ts';
export { type TapResult, tapResult } from './tile.ts';
export type { TrimPiece } from './trim.ts';
export type { Offer } from './ways-up.ts';
export { SCHOOL, SCHOOL_IDS, SCHOOLS, SKIRTING_KIND } from './schools.ts';
