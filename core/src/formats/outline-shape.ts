import { gap, reach, say, type Said } from '../said/index.ts';
import {
  distanceMm,
  ORIGIN,
  outlineOf,
  startOf,
  turnedAsDrawn,
  TURN_DEG,
  type PointMm,
  type Start,
  type Wall,
  WALL_COUNT,
  WALL_LENGTH_MM,
  wallName,
} from '../room/index.ts';
import { roundTo } from '../units/index.ts';
import { openRing, twiceArea, type DrawnPoint } from './outline-drawn.ts';

/** Walls a room can be made of, or why these are none. */
export type RoomShape = { walls: Wall[]; start: Start } | { problem: Said };

/** Corners this near to one another are one, mm: no tape tells them apart. */
const ONE_CORNER_MM = 1;
/** A corner that turns by less is none: its wall runs straight on. */
const STRAIGHT_DEG = 0.05;

/** A ring of a drawing as corners in mm, walked with the room on the left hand; the first stays first. */
export function cornersOf(ring: readonly DrawnPoint[], mmPerUnit: number): PointMm[] {
  const points = openRing(
    ring.map(([x, y]): DrawnPoint => [x * mmPerUnit, y * mmPerUnit]),
    ONE_CORNER_MM,
  );
  const leftwards = twiceArea(points) < 0 ? [points[0]!, ...points.slice(1).reverse()] : points;
  return withoutStraight(leftwards.map(([xMm, yMm]) => ({ xMm, yMm })));
}

const headingDeg = (a: PointMm, b: PointMm) => (Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm) * 180) / Math.PI;

function withoutStraight(corners: readonly PointMm[]): PointMm[] {
  const n = corners.length;
  return corners.filter((corner, i) => {
    const turn = headingDeg(corner, corners[(i + 1) % n]!) - headingDeg(corners[(i + n - 1) % n]!, corner);
    const about = ((turn % 360) + 540) % 360;
    return Math.abs(about - 180) >= STRAIGHT_DEG;
  });
}

/** Walls along drawn corners: lengths to a tenth of a millimetre, each marked as drawn and not taped; the drawing's own way up. */
export function wallsAlong(corners: readonly PointMm[]): RoomShape {
  if (corners.length < WALL_COUNT.min) return countProblem(corners.length);
  const walls = corners.map((corner, i) => ({
    lengthMm: roundTo(distanceMm(corner, corners[(i + 1) % corners.length]!), 0.1),
    turnDeg: 0,
    drawn: true,
  }));
  const { headingDeg: first } = startOf(corners);
  return checkedShape(turnedAsDrawn(corners, walls), { ...ORIGIN, headingDeg: first });
}

const countProblem = (count: number): RoomShape => ({
  problem: say('formats.outlineWallCount', { count, min: WALL_COUNT.min, max: WALL_COUNT.max }),
});

/** Walls that a room takes: of a number, lengths and turns in range, closed, not crossing. */
export function checkedShape(walls: Wall[], start: Start = ORIGIN): RoomShape {
  if (walls.length < WALL_COUNT.min || walls.length > WALL_COUNT.max) return countProblem(walls.length);
  for (const [i, { lengthMm, turnDeg }] of walls.entries()) {
    if (lengthMm < WALL_LENGTH_MM.min || lengthMm > WALL_LENGTH_MM.max)
      return {
        problem: say('formats.outlineWallLength', {
          wall: wallName(walls, i),
          length: gap(lengthMm),
          min: gap(WALL_LENGTH_MM.min),
          max: reach(WALL_LENGTH_MM.max),
        }),
      };
    if (turnDeg < TURN_DEG.min || turnDeg > TURN_DEG.max)
      return { problem: say('formats.outlineDoublesBack', { wall: wallName(walls, i) }) };
  }
  const { problem } = outlineOf(walls, start);
  return problem ? { problem: problem.words } : { walls, start };
}
