export {
  assessRoom,
  roomRunner,
  type AssessOptions,
  type RoomAssessment,
  type RoomRunner,
} from './assess/assess-room.ts';
export { dampContext } from './assess/damp-context.ts';
export { heightsAfter, type LevelledBy } from './assess/heights-room.ts';
export { leastStepsOf, type LeastAnswer } from './assess/least-room.ts';
export type { LeastSystem } from './assess/least-systems.ts';
export type { HeightsOfRoom } from './assess/heights-of.ts';
export { layPlanks, levellingOf, planRoom } from './assess/level-room.ts';
export { PARTS } from './assess/parts.ts';
export type { PartName } from './assess/room-part.ts';
export {
  pictureOf,
  surfacePicture,
  type RoomPicture,
  type ShownExtreme,
  type ShownPlacement,
  type ShownRule,
  type SurfacePicture,
} from './assess/picture.ts';
export { roomSet, type RoomSet } from './assess/room-set.ts';
export type { ShownLevel } from './assess/shown-level.ts';
export type { JudgedOption, UnderOfRoom } from './assess/under-of.ts';
export type { YearOfRoom } from './assess/under-year.ts';
export type { HeatOfRoom } from './assess/under-heat.ts';
export type { LayState, GlueZone } from './assess/lay-state.ts';
export type { LayPace } from './assess/lay-ask.ts';
export { planLaying, type LayPlan, type ShownBreach, type ShortEdge } from './assess/lay-plan.ts';
export { boxesOfJob, type BoxesOfJob } from './assess/lay-boxes.ts';
export { compareStarts, rulePrices, type RulePrice, type StartCompared } from './assess/lay-compare.ts';
export type { KindCompared } from './assess/lay-kinds.ts';
export { softSpots, type SoftSpot } from './assess/lay-soft.ts';
export type { ShownPlank } from './assess/lay-piece.ts';
export type { ShownChalk } from './assess/lay-chalk.ts';
export type { ShownHerringbone, ShownStave } from './assess/lay-herringbone.ts';
export { underPlanOf, type UnderPlan } from './assess/under-plan.ts';
export type { PanelsOfJob } from './assess/panel-job.ts';
export type { PanelsOfRoom, ShownPanel } from './assess/panel-room.ts';
export type { RollsOfJob, ShownStrip } from './assess/roll-job.ts';
