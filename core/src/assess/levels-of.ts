import { levelFrom, type BaseAlong, type Level, type LevelOf } from '../heights/index.ts';
import type { RoomSet } from './room-set.ts';

/** Levels that were read of something, over the room's datum, the newest last. */
export type LevelsOf = (of: LevelOf, aboutId: string) => (Level & { alongMm: number })[];

/** Levels of a room by what they are of; those that nothing ties are left out. */
export function levelsOfRoom(
  { levels }: Pick<RoomSet, 'levels'>,
  sightMm: ReadonlyMap<string, number>,
  base: BaseAlong,
): LevelsOf {
  return (of, aboutId) =>
    levels.flatMap((one) => {
      if (one.of !== of || one.aboutId !== aboutId) return [];
      const level = levelFrom(one, sightMm, base);
      return level ? [{ ...level, alongMm: one.alongMm }] : [];
    });
}
