export { type Bay, pourPlan } from './bays.ts';
export { type Certificate, certify } from './certificate.ts';
export {
  compoundFigures,
  type CompoundCard,
  type CompoundNeed,
  compoundsFor,
  compoundsOf,
  COLD_C,
  coverHours,
  driesCold,
  dryingHours,
  hasSulfate,
  needOf,
  SHIPPED_COMPOUNDS,
} from './compound.ts';
export { smallestFill } from './fill.ts';
export { grindingTask, shimSteps } from './grinding.ts';
export { type KeepOff, type LevellingJob, levellingJob, mapAt, ratesOf, STOOD_ON } from './job.ts';
export { bagsPerM2 } from './load.ts';
export { type ChalkPoint, chalkPoints } from './marking-out.ts';
export { type MixedChange, mixedChange, type Pace } from './mixed.ts';
export { DEPTH_BOUNDS_MM, isSpot, type Patch, patchesOf } from './patches.ts';
export { panelOver } from './panel-over.ts';
export { type LevellingPlan, planLevelling } from './plan.ts';
export { type PlaneChoice, planeChoices } from './plane-choices.ts';
export { pourToPlane } from './plane.ts';
export type { Change } from './programme.ts';
export type { Refusal } from './refusal.ts';
export { type RuleCost, ruleCosts } from './rule-costs.ts';
export { highsModels, type OpenModel } from './solver.ts';
export type { LevelTarget } from './targets.ts';
export { type CostLine, type Way, type WayId, wayOf } from './way.ts';
export { type Programmed, programmedWay } from './ways.ts';
export { CHALKED, CHOSEN_OF_WAYS, PLANE_CHOSEN, POUR_LEAST, type Rise, WAY_CHOSEN } from './facts.ts';
