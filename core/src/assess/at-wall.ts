import { pointOnWall, type Plan, type PointMm } from '../room/index.ts';

/** The floor along a wall is looked at this far inside the room, and this often along it, mm. */
const INTO_ROOM_MM = 30;
export const EVERY_MM = 100;

/** A place so far along a wall of a length, just inside the room. */
export function insideWall(
  { corners }: Pick<Plan, 'corners'>,
  wall: number,
  alongMm: number,
  lengthMm: number,
): PointMm {
  const [start, end] = [pointOnWall(corners, wall, 0), pointOnWall(corners, wall, lengthMm)];
  const [ux, uy] = [(end.xMm - start.xMm) / lengthMm, (end.yMm - start.yMm) / lengthMm];
  return {
    xMm: start.xMm + ux * alongMm - uy * INTO_ROOM_MM,
    yMm: start.yMm + uy * alongMm + ux * INTO_ROOM_MM,
  };
}

/** Places along a wall at which its floor is looked at, from its start. */
export const placesAlongWall = (plan: Pick<Plan, 'corners'>, wall: number, lengthMm: number): PointMm[] =>
  Array.from({ length: Math.floor(lengthMm / EVERY_MM) + 1 }, (_, k) => insideWall(plan, wall, k * EVERY_MM, lengthMm));
