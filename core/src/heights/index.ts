export { accessOf, type CountryAccess } from './access-rules.ts';
export {
  accessAt,
  type AccessRule,
  type BarChoice,
  type BarKind,
  type BarLimits,
  capReachMm,
  chooseBar,
  type OpeningStep,
  underAccess,
  USUAL_ACCESS,
  USUAL_BAR_LIMITS,
} from './bar.ts';
export { BAR_WORDS } from './bar-words.ts';
export { BAY_AIR_MM, type BayRoom, bayRoom } from './bay.ts';
export {
  type BuildUp,
  buildUpMm,
  FLOOR_AGES,
  type FloorAge,
  pressedMm,
  type Underlay,
  USUAL_SET_SHARE,
} from './build-up.ts';
export { ABOUT_RIM_MM, type FlangeVerdict, judgeFlange, RINGS_MM } from './flange.ts';
export { grindInsteadL } from './grind-instead.ts';
export { type LeafClearance, leafClearance, type LeafNeed, type LeafSwing, type LevelUnder } from './leaf.ts';
export { type LeafCut, parallelCut, taperedCut } from './leaf-cut.ts';
export {
  clearanceWanted,
  judgeLeaf,
  LEAF_KINDS,
  type LeafFacts,
  type LeafKind,
  type LeafVerdict,
  type LeafWants,
  USUAL_LEAF,
} from './leaf-verdict.ts';
export { type MadeRamp, madeRamp, rampAtMm } from './made-ramp.ts';
export {
  gapBeneath,
  type GapAtWall,
  gapsAtWall,
  judgeSkirting,
  mayStay,
  type BoardLeft,
  SKIRTING_MM,
  type SkirtingVerdict,
} from './skirting.ts';
export {
  bestTread,
  evenRisers,
  type FlightAfter,
  flightAfter,
  type StairCode,
  type StairJudged,
  TREADS_MM,
  USUAL_STAIR,
} from './stair.ts';
export { placesAlong, type StepAt, stepProfile, type StepProfile } from './step-profile.ts';
export { deepenMm, type Packing, packingUnder, tiltDeg, type TrackBar } from './tilted-base.ts';
export { combined, READ_BY_MM, type ReadBy } from './uncertain.ts';
export {
  FRAME_KINDS,
  type FrameKind,
  FRAME_PARTS,
  type FramePart,
  frameTreatment,
  type Undercut,
  undercut,
  UNDERCUT_AIR_MM,
} from './undercut.ts';
export { WAY_OUT_MM, clearWidthMm, type Exit, type Machine, type WayOut, wayOut } from './way-out.ts';
export { INSIDE_MM, leafOf, OPENS_DEG, type PlaceAtOpening, placesAt } from './at-opening.ts';
export { beyondAt, type BeyondLevel, beyondToRead, MIDDLE_OVER_MM, type StepAlong, stepAlong } from './step-along.ts';
export {
  type HeightLeaf,
  type HeightLimit,
  type HeightOpening,
  type HeightRoom,
  type HeightsChoice,
  type HeightsJob,
  type HeightSample,
  type HeightSystem,
  leastSteps,
  type MixedProgramme,
  type MixedRow,
  type Pour,
  type SolveMixed,
  type StepClass,
  USUAL_STEP_CLASSES,
} from './least-steps.ts';
export { highsMixed } from './mixed-solver.ts';
export { barsToBuy, changedRows, type LedgerOpening, ledgerOf, type LedgerRow } from './ledger.ts';
export {
  type BaseAlong,
  datumLevel,
  type Level,
  levelFrom,
  LEVEL_OF,
  ON_ASKING,
  wallAbout,
  type LevelOf,
  type LevelRead,
  type Underfoot,
} from './level-read.ts';
export { type DatumTie, oneDatum, type OneDatum } from './one-datum.ts';
export {
  type FinishedAt,
  type HungLeaf,
  judgeOpening,
  type OpeningFacts,
  type OpeningJudged,
  type OpeningRules,
  USUAL_CAP_MM,
  USUAL_TRACK,
  usualOpeningRules,
} from './opening-judged.ts';
export { type HeightsJudged, judgeHeights, levelsBeyond, type RoomHeights } from './room-heights.ts';
export { sealantMm } from './sealant.ts';
export { ACCESS, HEIGHT_DONE } from './questions.ts';
export { type ApplianceSize, type FixtureJudged, rimPlaces } from './fixture-judged.ts';
export { buildUpOf, statedBuildUp, usualBuildUp } from './usual-build-up.ts';
export {
  type ApplianceFact,
  type BuildUpFact,
  type FlightFact,
  HEIGHT_RANGES,
  type LeafFact,
  type LevelFact,
  type PartingFact,
  type PoseFact,
  type SkirtingFact,
  SKIRTING_FITS,
  type SkirtingFit,
  WAVER,
} from './facts.ts';
export { type RunBreaks, runBreaks, type RunOpening, type RunRoom } from './run-breaks.ts';
export { cutFromStock, joinedFromStock, KERF_MM, type StockCut, type StockPlan } from './stock-lengths.ts';
export {
  type Disagreement,
  onStorey,
  type PlacedRoom,
  type Pose,
  type Storey,
  storeyOf,
  type StoreyRoom,
  WALL_THICKNESS_MM,
} from './storey.ts';
export { riseHeld, type RiseLimits } from './stair-limits.ts';
export { type Hopeless, withoutHopeless } from './hopeless.ts';
