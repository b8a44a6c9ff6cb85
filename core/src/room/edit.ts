import { signedAreaM2, type PointMm, type Polygon } from './geometry.ts';
import { cosDeg, outlineOf, sinDeg, type Start, type Wall } from './outline.ts';

/** A room's outline as it is after dragging: walls anew, and where the first corner went. */
export interface Reshaped {
  walls: Wall[];
  start: Start;
}

const SNAP_MM = 5;
/** Turns this near to a whole number of degrees are that number: a hand is no finer. */
const SQUARE_DEG = 0.02;
/** A wall that comes out this near its taped length keeps it: the difference is the drawing's, not the tape's. */
const SAME_MM = 0.5;

/**
 * Moves wall `index` sideways by `byMm` (towards the room is positive); the two walls beside it grow or shrink along their own
 * way, so that every angle stays. All other walls keep the lengths that were taped, and the closing error stays what it was.
 * Null where the neighbours are parallel to it and cannot follow.
 */
export function moveWall(
  corners: Polygon,
  walls: readonly Wall[],
  index: number,
  byMm: number,
  start: Start = startOf(corners),
): Reshaped | null {
  const n = walls.length;
  const deg = headingsOf(walls, start);
  const [before, after] = [(index + n - 1) % n, (index + 1) % n];
  /** How far along a neighbour's own way its end goes, until the wall has moved over by so much. */
  const follows = (neighbour: number): PointMm | null => {
    const across = sinDeg(deg[neighbour]! - deg[index]!);
    if (Math.abs(across) < 1e-6) return null;
    const along = byMm / across;
    return { xMm: along * cosDeg(deg[neighbour]!), yMm: along * sinDeg(deg[neighbour]!) };
  };
  const [from, to] = [follows(before), follows(after)];
  if (!from || !to) return null;
  return shifted(
    walls,
    start,
    new Map([
      [index, from],
      [after, to],
    ]),
  );
}

/** Moves one corner to a place of the drawing; the two walls that meet there change in length and way, the others stay as taped. */
export function moveCorner(
  corners: Polygon,
  walls: readonly Wall[],
  index: number,
  to: PointMm,
  start: Start = startOf(corners),
): Reshaped | null {
  const at = corners[index]!;
  return shifted(walls, start, new Map([[index, { xMm: to.xMm - at.xMm, yMm: to.yMm - at.yMm }]]));
}

/** A sideways movement rounded so that the wall before it comes out at a length one can tape. */
export function snapMm(mm: number): number {
  return Math.round(mm / SNAP_MM) * SNAP_MM;
}

/** Walls with their taped lengths, turned as they are drawn: what fitted diagonals have made of the angles. */
export function turnedAsDrawn(corners: Polygon, walls: readonly Wall[]): Wall[] {
  const n = corners.length;
  const heading = (i: number) => headingOf(corners[i % n]!, corners[(i + 1) % n]!);
  return walls.map((wall, i) => ({ ...wall, turnDeg: wholeDeg(turned(heading(i + 1) - heading(i))) }));
}

const headingOf = (a: PointMm, b: PointMm) => (Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm) * 180) / Math.PI;

/** Where drawn corners begin, and which way their first wall runs. */
export const startOf = (corners: Polygon): Start => ({
  ...corners[0]!,
  headingDeg: wholeDeg(headingOf(corners[0]!, corners[1]!)),
});

/** Which way each wall runs, degrees, by the turns before it. */
function headingsOf(walls: readonly Wall[], start: Start): number[] {
  let deg = start.headingDeg;
  return walls.map((wall) => {
    const own = deg;
    deg += wall.turnDeg;
    return own;
  });
}

/** An angle between -180 and 180 degrees. */
const turned = (deg: number) => ((((deg + 180) % 360) + 360) % 360) - 180;

const wholeDeg = (deg: number) => {
  const whole = Math.round(deg);
  return Math.abs(deg - whole) < SQUARE_DEG ? whole : Math.round(deg * 1000) / 1000;
};

const tenth = (mm: number) => Math.round(mm * 10) / 10;

/**
 * The walls after some corners were moved by so much, mm. Only walls with a moved end change, and carry `drawn`: their lengths are
 * off the drawing, to a tenth of a millimetre. Null when the polygon turned inside out or a wall vanished.
 */
function shifted(walls: readonly Wall[], start: Start, by: ReadonlyMap<number, PointMm>): Reshaped | null {
  const n = walls.length;
  const deg = headingsOf(walls, start);
  const moved = (corner: number) => by.get(corner % n) ?? { xMm: 0, yMm: 0 };
  const next = walls.map((wall, i) => {
    const [from, to] = [moved(i), moved(i + 1)];
    const x = wall.lengthMm * cosDeg(deg[i]!) + to.xMm - from.xMm;
    const y = wall.lengthMm * sinDeg(deg[i]!) + to.yMm - from.yMm;
    const turn = turned((Math.atan2(y, x) * 180) / Math.PI - deg[i]!);
    return { lengthMm: Math.hypot(x, y), deg: deg[i]! + (Math.abs(turn) < SQUARE_DEG ? 0 : turn) };
  });
  const reshaped: Reshaped = {
    walls: walls.map((wall, i) => {
      const turnedHere = next[i]!.deg !== deg[i] || next[(i + 1) % n]!.deg !== deg[(i + 1) % n];
      const turnDeg = turnedHere ? wholeDeg(turned(next[(i + 1) % n]!.deg - next[i]!.deg)) : wall.turnDeg;
      if (Math.abs(next[i]!.lengthMm - wall.lengthMm) < SAME_MM) return { ...wall, turnDeg };
      return { ...wall, lengthMm: tenth(next[i]!.lengthMm), turnDeg, drawn: true };
    }),
    start: {
      xMm: tenth(start.xMm + moved(0).xMm),
      yMm: tenth(start.yMm + moved(0).yMm),
      headingDeg: next[0]!.deg === start.headingDeg ? start.headingDeg : wholeDeg(turned(next[0]!.deg)),
    },
  };
  const vanished = reshaped.walls.some((wall) => wall.lengthMm < 20 || Math.abs(wall.turnDeg) > 179);
  if (vanished || signedAreaM2(outlineOf(reshaped.walls, reshaped.start).corners) <= 0.01) return null;
  return reshaped;
}
