export {
  boxChecks,
  damagedPlanks,
  glueBays as glueBaysDone,
  laidRows,
  PATTERNS,
  plankBoxes,
  setOuts,
  USUAL_SET_OUT,
  type BoxCheck,
  type DamagedPlanks,
  type GlueBayDone,
  type GlueTest,
  type LaidRow,
  type Pattern,
  type PlankBoxes,
  type SetOut,
} from './facts.ts';
export { type Border, borderRound, type BorderRun } from './border.ts';
export { boxClock, type BoxClock, type Misplaced } from './box-clock.ts';
export { areaBound, lengthBound } from './bounds.ts';
export { type CutList, cutList, type LaidPiece, type UsedPlank } from './cut-list.ts';
export { divide, type Division, startsOf } from './division.ts';
export { equalEdges, firstRows, type FirstRows, type HeldEdge, type Widths } from './first-row.ts';
export {
  boxesFor,
  type FirstRowSchool,
  type FloorAsk,
  type FloorPlan,
  type LaidStrip,
  planFloor,
} from './floor-plan.ts';
export { frameAlong, type Hand, layingFrame, type LayingFrame, middleFrame } from './frame.ts';
export { type JointBreach, type JointRule, type JointZone } from './joints.ts';
export { type KeptOff, type LayableFloor, layableRegion, roundHole } from './layable.ts';
export { type LaidPlank, type PlankEnds } from './plank.ts';
export { priceBound } from './price-bound.ts';
export { staggerBound } from './stagger-bound.ts';
export { framed, inFrame, rowStrips, type RowStrip } from './rows.ts';
export { type Bond, type BondPlan, mayBond, planBond } from './bond.ts';
export { type AdhesiveWork, bayTimes, type GlueBay, glueBays } from './bays.ts';
export {
  type HerringbonePlan,
  herringboneAt,
  type LaidStave,
  type StaveHand,
  planHerringbone,
  type Stave,
  tipBesideMm,
} from './herringbone.ts';
export { planMixed, type MixedPlan } from './mixed-lengths.ts';
export type { MixedLength } from './mixed-row.ts';
export { faceDown, notchFor, type Notch, pipeHole, type PipeHole, type StandingPipe } from './notches.ts';
export { type PlainWay, plainWay } from './plain-way.ts';
export { type ChalkLine, chalkLine, type RowLine, rowTable } from './row-table.ts';
export { spareSeen, stockLeft, type StockLeft } from './stock-left.ts';
export { tiltedMm, type WayIn, wayIn, type WaysAllowed, waysAllowed } from './way-in.ts';
