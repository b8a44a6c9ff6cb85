import { distanceMm, signedAreaM2, type PointMm, type Polygon } from './geometry.ts';
import type { Start, Wall } from './outline.ts';

/** A room's outline as it is after dragging: walls anew, and where the first corner went. */
export interface Reshaped {
  walls: Wall[];
  start: Start;
}

const SNAP_MM = 5;
/** Turns this near to a whole number of degrees are that number: a hand is no finer. */
const SQUARE_DEG = 0.02;

/**
 * Moves wall `index` sideways by `byMm` (towards the room is positive); the two walls beside it grow or shrink along their own
 * way, so that every angle stays. Null where they are parallel to it and cannot follow.
 */
export function moveWall(corners: Polygon, walls: readonly Wall[], index: number, byMm: number): Reshaped | null {
  const n = corners.length;
  const at = (i: number) => corners[(i + n) % n]!;
  const [p, a, b, q] = [at(index - 1), at(index), at(index + 1), at(index + 2)];
  const length = distanceMm(a, b) || 1;
  const [ux, uy] = [(b.xMm - a.xMm) / length, (b.yMm - a.yMm) / length];
  const moved = { xMm: a.xMm - uy * byMm, yMm: a.yMm + ux * byMm };
  const meet = (from: PointMm, to: PointMm): PointMm | null => {
    // Along from -> to until on the moved wall's line.
    const [dx, dy] = [to.xMm - from.xMm, to.yMm - from.yMm];
    const cross = dx * uy - dy * ux;
    if (Math.abs(cross) < 1e-6 * Math.hypot(dx, dy)) return null;
    const t = ((moved.xMm - from.xMm) * uy - (moved.yMm - from.yMm) * ux) / cross;
    return { xMm: from.xMm + t * dx, yMm: from.yMm + t * dy };
  };
  const [a2, b2] = [meet(p, a), meet(q, b)];
  if (!a2 || !b2) return null;
  const next = corners.map((c, i) => (i === index ? a2 : i === (index + 1) % n ? b2 : c));
  return fromCorners(next, walls, [(index + n - 1) % n, index, (index + 1) % n]);
}

/** Moves one corner; the two walls that meet there change in length and way. */
export function moveCorner(corners: Polygon, walls: readonly Wall[], index: number, to: PointMm): Reshaped | null {
  const n = corners.length;
  const next = corners.map((c, i) => (i === index ? to : c));
  return fromCorners(next, walls, [(index + n - 1) % n, index]);
}

/** A sideways movement rounded so that the wall before it comes out at a length one can tape. */
export function snapMm(mm: number): number {
  return Math.round(mm / SNAP_MM) * SNAP_MM;
}

/**
 * Walls of a polygon. Those in `changed` carry `drawn`: their lengths are off the drawing. Lengths are kept to a tenth of a
 * millimetre. Null when the polygon turned inside out or a wall vanished.
 */
function fromCorners(corners: Polygon, before: readonly Wall[], changed: readonly number[]): Reshaped | null {
  const n = corners.length;
  if (signedAreaM2(corners) <= 0.01) return null;
  const heading = (i: number) => {
    const [a, b] = [corners[i % n]!, corners[(i + 1) % n]!];
    return (Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm) * 180) / Math.PI;
  };
  const walls: Wall[] = [];
  for (let i = 0; i < n; i++) {
    const lengthMm = Math.round(distanceMm(corners[i]!, corners[(i + 1) % n]!) * 10) / 10;
    if (lengthMm < 20) return null;
    let turnDeg = heading(i + 1) - heading(i);
    turnDeg = ((((turnDeg + 180) % 360) + 360) % 360) - 180;
    const whole = Math.round(turnDeg);
    turnDeg = Math.abs(turnDeg - whole) < SQUARE_DEG ? whole : Math.round(turnDeg * 1000) / 1000;
    if (Math.abs(turnDeg) > 179) return null;
    const { drawn, ...rest } = before[i]!;
    const same = Math.abs(rest.lengthMm - lengthMm) < 0.5;
    walls.push({
      ...rest,
      lengthMm: same ? rest.lengthMm : lengthMm,
      turnDeg,
      ...((changed.includes(i) && !same) || drawn ? { drawn: true } : {}),
    });
  }
  const first = heading(0);
  const whole = Math.round(first);
  return {
    walls,
    start: {
      xMm: Math.round(corners[0]!.xMm * 10) / 10,
      yMm: Math.round(corners[0]!.yMm * 10) / 10,
      headingDeg: Math.abs(first - whole) < SQUARE_DEG ? whole : Math.round(first * 1000) / 1000,
    },
  };
}
