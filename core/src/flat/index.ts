export type { BreakLine } from './breaks.ts';
export type { Breaker } from './critic.ts';
export { type Rings, ringsAbove, thinned } from './contours.ts';
export { correlation, sitesThatDecide } from './covariance.ts';
export { evidenceOf, squaredDistances } from './evidence.ts';
export { components, highsAndLows } from './extremes.ts';
export {
  EDGE_RANGES,
  type EdgeTool,
  type EdgeWalk,
  type FlatFacts,
  type LevellingWork,
  type PredictedStation,
  ROD_MM,
  type RodReading,
  type SetUp,
  WAY_IDS,
  WORK_RANGES,
} from './facts.ts';
export { FAILURE_SHARE_MOST, type FailureChance, failureChance, smallestSeen, typicalSpacing } from './failure.ts';
export { type FlatMemo, flatMemo, type FloorSurface, floorSurface } from './floor-surface.ts';
export { CERTIFIED_DIRECTIONS, deviation, edgeSteps, gapMap, type Placement, worstOf } from './gap-map.ts';
export { baseAt } from './scanned.ts';
export { cellAt, cellCentre, type Grid, gridOver, restrict } from './grid.ts';
export { CLOSING_LIMIT_MM, type Height, heightsOf, type SetUpState } from './heights.ts';
export { acrossJoists, joistEvidence, joistsOf } from './joists.ts';
export { type FlatState, judgeFlat, type RuleResult, type SchoolResult, underEachSchool } from './judge.ts';
export { heightAt, heightsOver, krige } from './kriging.ts';
export { contoursOver, type LevelMap, levelMap } from './level-map.ts';
export {
  type FlatnessNumber,
  flatnessNumber,
  floorFlatness,
  leanOver,
  type Levelness,
  levelnessOf,
} from './levelness.ts';
export { type KeptRuns, keptRuns, type Run, passingRuns, runTaker, visitRuns } from './lines.ts';
export type { Part } from './lay-lines.ts';
export { fitLines, passOf } from './passes.ts';
export { type Profile, profileOf, worstPlacements } from './placements.ts';
export { planeAt, planeOver } from './plane.ts';
export { NOISE_TO_GAP, SCAN_ALONE_SHARE, scannedOver, type ScanState } from './scanned.ts';
export type { Sites } from './sites.ts';
export {
  proposeStations,
  SPACING_MM,
  type Station,
  stationsBesides,
  stationsOf,
  walk,
  WALL_OFFSET_MM,
} from './stations.ts';
export { crownsAlong, type EdgeScratch, edgeScratch, gapsAlong, mayExceed } from './straightedge.ts';
export {
  alongEdge,
  EDGE_SECONDS,
  edgeLengthMm,
  edgeProblem,
  edgeReadings,
  floorRuns,
  isLaid,
  isOwnLength,
  type ProposedEdge,
  proposeEdges,
  STAFF_SECONDS,
  worstUnder,
} from './walks.ts';
export { stationsMissing } from './missing.ts';
export { movedAt } from './moved.ts';
export { SETTLED_BY, triedOn } from './tried.ts';
export { type Achieved, achievedOf } from './works.ts';
