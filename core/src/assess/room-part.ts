import type { DampJudged, FlatJudged } from './judged.ts';
import type { FailureChance, FlatState, Station } from '../flat/index.ts';
import type { LevellingJob, LevellingPlan } from '../levelling/index.ts';
import type { Plan } from '../room/index.ts';
import type { HeightsOfRoom } from './heights-of.ts';
import type { LayState } from './lay-state.ts';
import type { Part } from './part.ts';
import type { RoomSet } from './room-set.ts';
import type { StripState } from './strip-state.ts';
import type { UnderOfRoom } from './under-of.ts';

/** States of the parts, by their names: what one may need of another. */
export interface PartStates {
  outline: Plan;
  strip: StripState;
  damp: DampJudged;
  sound: null;
  surface: SurfaceState;
  sure: FailureChance | null;
  flat: FlatJudged;
  heights: HeightsOfRoom;
  under: UnderOfRoom;
  lay: LayState;
  levelJob: LevelWork | null;
  levelling: LevellingPlan | null;
}
export type PartName = keyof PartStates;

/** A part of a room: what it reads of its facts, and which parts it needs. */
export type RoomPart<Id extends PartName, Needs extends PartName = never, Hears extends PartName = never> = Part<
  Id,
  RoomSet,
  Pick<PartStates, Needs>,
  PartStates[Id],
  Partial<Pick<PartStates, Hears>>
>;

export interface SurfaceState {
  /** Null where nothing is read. */
  state: FlatState | null;
  spacingMm: number;
  stations: Station[];
}

/** What levelling is planned from, with the floor as it was judged. */
export interface LevelWork {
  job: LevellingJob;
  state: FlatState;
}
