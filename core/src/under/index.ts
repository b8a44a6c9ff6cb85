export { type Beneath, crawlAir, groundAir, insideAir, outsideYear, usualMonths } from './climate.ts';
export {
  CLOSE_PITCH,
  fixingLength,
  type FixingLength,
  type FixingPitch,
  fixingsOfRectangle,
  fixingsOfShape,
  USUAL_PITCH,
} from './fixings.ts';
export { type HeatedFloor, heatedFloor, type HeatedRules, heatRamp, underRug, USUAL_HEATED } from './heated.ts';
export {
  type CoveringNeeds,
  type FilmFigures,
  FIRE_CLASSES,
  type FireClass,
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
export { type RolledFloor, type RollMake, type Strip, type StripLayout, stripsOf, type StripWay } from './strips.ts';
export { breaksOf, UNDER_RULES, type UnderBreak, type UnderRule } from './under-rules.ts';
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
