export { type Beneath, crawlAir, groundAir, insideAir, outsideYear, unheatedAir, usualMonths } from './climate.ts';
export { fixingLength, type FixingLength, fixingsOfRectangle, fixingsOfShape } from './fixings.ts';
export { type FixingPitch, PITCHES } from './pitches.ts';
export { type HeatedFloor, heatedFloor, type HeatedRules, heatRamp, underRug, USUAL_HEATED } from './heated.ts';
export {
  type CoveringNeeds,
  type FilmFigures,
  UNDERLAY_KINDS,
  type UnderlayFigures,
  type UnderOption,
  type UnderRoom,
  type UnderSchools,
  USUAL_SCHOOLS,
} from './option.ts';
export { type CutSheet, cutPanels, cutsOf } from './panel-cuts.ts';
export { planPanels, type PanelPlan, type PanelSearch } from './panel-plan.ts';
export {
  type BaseSeams,
  layPanels,
  type PanelBreak,
  type PanelLayout,
  type PanelMake,
  type PanelPiece,
  type PanelRules,
  type PanelWay,
  USUAL_PANEL_RULES,
} from './panel-rows.ts';
export { NO_UNDERLAY, type RankedFigures, rankOf, type RankWeights, USUAL_WEIGHTS } from './rank.ts';
export { cutJoined, cutWhole, type RollCut, type RollPiece, type RollPlan } from './roll-cuts.ts';
export {
  type FloorToRoll,
  type JobRolls,
  planRolls,
  type RollPrices,
  type RollSchools,
  USUAL_ROLL_PRICES,
  USUAL_ROLL_SCHOOLS,
} from './roll-plan.ts';
export { type SideAir } from './saturation.ts';
export {
  grown,
  type RolledFloor,
  type RollMake,
  type Strip,
  type StripLayout,
  stripsOf,
  type StripWay,
} from './strips.ts';
export { breaksOf, FILM_SD_M, UNDER_RULES, type UnderBreak, type UnderRule } from './under-rules.ts';
export { CRAWL_R, type FaceR, INSIDE_R, type MonthAir, sdOf, sdWithOpen, type VapourLayer } from './vapour-layers.ts';
export {
  type DryingReserve,
  dryingReserve,
  USUAL_VAPOUR,
  type VapourLimits,
  type VapourVerdict,
  vapourVerdict,
  type VapourWord,
} from './vapour-verdict.ts';
export { type VapourMonth, type VapourYear, vapourYear } from './vapour-year.ts';
export { allUnder, cardOf, NO_UNDER_CARDS, SHIPPED_UNDER } from './cards.ts';
export {
  BINDERS,
  type FilmCard,
  type MembraneCard,
  PANEL_STUFF,
  type PanelCard,
  type UnderCards,
  type UnderlayCard,
} from './card-facts.ts';
export { type CableTest, type HeatDay, type UnderChoice } from './facts.ts';
export { type FloorMakeUp, floorLayers } from './floor-layers.ts';
export { membraneHolds, type MembranePlan, membranePlan } from './membrane-plan.ts';
export { filmFigures, needsOf, underlayFigures } from './needs.ts';
export { type Offered, offer, offeredBy, optionOf, rankedFigures } from './offered.ts';
export {
  ASKED_DB,
  ASKED_FIRE,
  BASE_THINNEST,
  BUMPS,
  CRAWL,
  ESCAPE,
  FILM_SCHOOL,
  FIXED_BY,
  FIXINGS_AT,
  HEAT_PROBE,
  JOINED,
  LAPS,
  LOCATED,
  MEMBRANE_STEP,
  PAD_SCHOOL,
  PLANKS_RUN,
  ROLLS_EDGE,
  ROLLS_LIE,
  SEAMS_KNOWN,
  TIMBER_SCHOOL,
  WET_ROOM,
} from './questions.ts';
