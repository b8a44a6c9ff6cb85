import type { FigureOf } from '../figures/index.ts';
import type { HeightGround } from './height-ground.ts';
import type { NewFloor } from './new-floor.ts';
import type { RoomSet } from './room-set.ts';

/** A room whose floor is read, on the storey's datum. */
export interface Side {
  set: RoomSet;
  ground: HeightGround;
  floor: NewFloor;
  /** Added to the room's own heights to have them over the storey's datum, mm. */
  offsetMm: number;
  figure: FigureOf;
}
