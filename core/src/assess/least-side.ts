import type { FigureOf } from '../figures/index.ts';
import type { HeightSample, LevelOf } from '../heights/index.ts';
import type { LevellingPlan } from '../levelling/index.ts';
import type { Fixture, PointMm } from '../room/index.ts';
import type { RoomRunner } from './assess-room.ts';
import type { HeightGround } from './height-ground.ts';
import { baseAlongOf } from './height-places.ts';
import { levelsOfRoom } from './levels-of.ts';
import type { NewFloor } from './new-floor.ts';
import type { RoomSet } from './room-set.ts';
import { sightOf } from './sight.ts';

/** A room whose floor is read, on the storey's datum. */
export interface Side {
  set: RoomSet;
  ground: HeightGround;
  /** Its floor with what levelling does to it that is planned where it is not poured. */
  floor: NewFloor;
  levelling: LevellingPlan | null;
  /** What judged the room: it keeps what it made for the questions that follow. */
  runner: RoomRunner;
  /** Added to the room's own heights to have them over the storey's datum, mm. */
  offsetMm: number;
  figure: FigureOf;
}

/** A place of the room with the level of its bare base once it is levelled; null where it is not known. */
export function sampleOf({ set, floor, offsetMm }: Side, at: PointMm): HeightSample | null {
  const mm = floor.levelledBareAt(at);
  return mm === null ? null : { roomId: set.room.id, keptMm: mm + offsetMm };
}

/** The highest of some places. */
export const highestOf = (side: Side, places: readonly PointMm[]): HeightSample | null =>
  places
    .map((at) => sampleOf(side, at))
    .reduce((highest, one) => (one && (!highest || one.keptMm > highest.keptMm) ? one : highest), null);

/** Levels of something as they were read, by staff, tape or eye, over the room's own datum, mm. */
export const readOf = ({ set, ground, floor }: Side, of: LevelOf, aboutId: string): number[] =>
  levelsOfRoom(
    set,
    sightOf(ground.state),
    baseAlongOf(ground.plan, set.room, floor),
  )(of, aboutId).map(({ levelMm }) => levelMm);

export const fixtureOf = ({ set }: Side, fixtureId: string): Fixture | undefined =>
  set.room.fixtures.find(({ id }) => id === fixtureId);
