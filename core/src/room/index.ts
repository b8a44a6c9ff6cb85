export { type Assumption, ASSUMPTIONS, openAssumptions } from './assumed.ts';
export {
  BASE,
  BASE_KINDS,
  BASE_RANGES,
  BASE_WORDS,
  type BaseDetails,
  type BaseKind,
  BENEATH_KINDS,
  BENEATH_WORDS,
  GRADE_WORDS,
  GRADES,
  HEATING_WORDS,
  HEATINGS,
  isTimber,
  UNKNOWN_BASE,
} from './base.ts';
export { band, type CutLine, cutPart, lineThrough } from './cut.ts';
export { adjustToDiagonals, type Diagonal, DIAGONAL, diagonalProblem } from './diagonals.ts';
export { moveCorner, moveWall, type Reshaped, snapMm, startOf, turnedAsDrawn } from './edit.ts';
export { BLANK_SHAPE, type RoomFacts } from './facts.ts';
export {
  type Fixture,
  FIXTURE,
  FIXTURE_KINDS,
  type FixtureKind,
  fixtureName,
  fixtureOutline,
  fixturePoint,
  fixtureRect,
  FIXTURES,
  newFixture,
} from './fixtures.ts';
export { fixtureProblem } from './fixture-fit.ts';
export { alongFirstWall, onSheet } from './frame.ts';
export {
  areaM2,
  boundsMm,
  contains,
  distanceMm,
  distanceToSegmentMm,
  distanceToWallsMm,
  firstCrossing,
  perimeterMm,
  PLACE,
  type PointMm,
  type Polygon,
  SHEET_MM,
} from './geometry.ts';
export { type Joists, joistOffsetMm, joistsWithin } from './joist-offset.ts';
export {
  type Area,
  areasOf,
  type DividingLine,
  liesWithin,
  mayLieAt,
  mayOverlap,
  regionAt,
  type Side,
  SIDES,
  type Where,
} from './lines.ts';
export {
  BEYOND_KINDS,
  BEYOND_WORDS,
  fitOpenings,
  newOpening,
  type Opening,
  OPENING,
  OPENING_KINDS,
  OPENING_MM,
  OPENING_WORDS,
  openingName,
  openingProblem,
  overlapProblem,
  renumberOpenings,
} from './openings.ts';
export {
  ORIGIN,
  outlineOf,
  pointOnWall,
  rectangleWalls,
  type Start,
  TURN_DEG,
  turnWords,
  type Wall,
  WALL,
  WALL_COUNT,
  WALL_LENGTH_MM,
  wallName,
} from './outline.ts';
export { tapeFrom, type WallDistance } from './place.ts';
export {
  centreOf,
  common,
  inRegion,
  type Region,
  regionAreaM2,
  regionOf,
  type RegionPart,
  together,
  without,
  outerOf,
} from './region.ts';
export {
  adjustmentOf,
  entryPoint,
  floorAreaM2,
  planAreaM2,
  floorOf,
  type Plan,
  planOf,
  type Shaped,
  shapeProblem,
} from './room.ts';
export {
  FOUND_WORDS,
  type Service,
  SERVICE,
  SERVICE_DEPTH_MM,
  SERVICE_FOUND,
  type ServiceFound,
  SERVICE_KINDS,
  type ServiceKind,
  serviceSideMm,
  SERVICE_WORDS,
  sideDistanceMm,
  type WorkedAt,
} from './services.ts';
export { type TurnedFrame, turnedFrame } from './turned.ts';
export { walkOf } from './walk.ts';
export { nearestWall, placeOnWall, setOnWall, tapedFromWall, type WallPlace } from './wall-place.ts';
