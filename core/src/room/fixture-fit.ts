import { reach, say, type Said } from '../said/index.ts';
import { contains, distanceToWallsMm, type Polygon } from './geometry.ts';
import { fixtureName, fixtureOutline, type Fixture, type FixtureKind } from './fixtures.ts';
import { wallName, type Wall } from './outline.ts';
import { nearestWall, placeOnWall } from './wall-place.ts';

/** Walls are not straight and tapes are not fine: a thing may be drawn this far into a wall, mm. */
const INTO_WALL_MM = 30;
const PART_OF_THE_WALL: readonly FixtureKind[] = ['hearth', 'column'];

/**
 * Why a fixture cannot stand where it is drawn, or null: it reaches out of the room by more than walls are out of true, or is
 * wider than the wall it is taped from. A hearth or a column may be part of the wall behind it: of that only the middle has to lie
 * in the room.
 */
export function fixtureProblem(corners: Polygon, walls: readonly Wall[], fixture: Fixture): Said | null {
  const built = PART_OF_THE_WALL.includes(fixture.kind);
  const ring = built ? [fixture] : fixtureOutline(fixture);
  const out = ring
    .filter(({ xMm, yMm }) => !contains(corners, xMm, yMm))
    .reduce((most, { xMm, yMm }) => Math.max(most, distanceToWallsMm(corners, xMm, yMm)), 0);
  if (out <= INTO_WALL_MM) return null;
  const wall = nearestWall(corners, fixture.xMm, fixture.yMm);
  const name = fixtureName(fixture);
  const { alongMm } = placeOnWall(corners, fixture, wall);
  const left = walls[wall]!.lengthMm - alongMm;
  if (!built && !fixture.round && fixture.widthMm > left + INTO_WALL_MM && left > 0)
    return say('room.fixtureWiderThanIsLeft', {
      name,
      width: reach(fixture.widthMm),
      wall: wallName(walls, wall),
      length: reach(walls[wall]!.lengthMm),
      left: reach(Math.round(left)),
    });
  return say('room.fixtureReachesOut', { name, out: reach(Math.round(out)), wall: wallName(walls, wall) });
}
