import { WAY_OUT_MM, wayOut, type WayOut } from '../heights/index.ts';
import {
  boundsMm,
  contains,
  fixtureOutline,
  fixturePoint,
  FIXTURES,
  pointOnWall,
  type Plan,
  type RoomFacts,
} from '../room/index.ts';

/** How each appliance of a room leaves it, pulled straight out of its bay: moved on the drawing between what stands there. */
export function waysOutOf(
  room: Pick<RoomFacts, 'fixtures' | 'openings'>,
  { corners, islands }: Pick<Plan, 'corners' | 'islands'>,
): { fixtureId: string; way: WayOut }[] {
  const bounds = boundsMm(corners);
  const exits = room.openings
    .filter(({ kind }) => kind !== 'stair')
    .map(({ id, wall, fromMm, widthMm, kind }) => ({
      id,
      from: pointOnWall(corners, wall, fromMm),
      to: pointOnWall(corners, wall, fromMm + widthMm),
      leafStays: kind === 'door',
    }));
  return room.fixtures
    .filter(({ kind }) => kind === 'appliance')
    .map((machine) => {
      const inTheWay = room.fixtures
        .filter(({ id, kind }) => id !== machine.id && FIXTURES[kind].standing === 'over' && kind !== 'radiator')
        .map((fixture) => fixtureOutline(fixture));
      const isFloor = (x: number, y: number) =>
        x > bounds.minX &&
        x < bounds.maxX &&
        y > bounds.minY &&
        y < bounds.maxY &&
        contains(corners, x, y) &&
        !islands.some((island) => contains(island, x, y)) &&
        !inTheWay.some((outline) => contains(outline, x, y));
      const { widthMm, depthMm, turnDeg } = machine;
      const at = fixturePoint(machine, 0, depthMm + WAY_OUT_MM.beside);
      return { fixtureId: machine.id, way: wayOut(isFloor, { widthMm, depthMm, at, turnDeg }, exits) };
    });
}
