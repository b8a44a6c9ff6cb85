import { figure } from '../fields/index.ts';

/** A point of the room's plan in millimetres. x runs along the first wall, y to its left, into the room. */
export interface PointMm {
  xMm: number;
  yMm: number;
}

/** Places on the sheet reach this far from the first corner, mm. */
export const SHEET_MM = 100_000;

/** A place on the sheet, as facts hold it. */
export const PLACE = { xMm: figure(-SHEET_MM, SHEET_MM, 'mm'), yMm: figure(-SHEET_MM, SHEET_MM, 'mm') } as const;

export type Polygon = readonly PointMm[];

/** Length of the straight line between two points, mm. */
export function distanceMm(a: PointMm, b: PointMm): number {
  return Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
}

/** Signed area in m2 by the shoelace formula: positive when the corners run anticlockwise (y up). */
export function signedAreaM2(polygon: Polygon): number {
  let twiceMm2 = 0;
  for (let i = 0; i < polygon.length; i++) {
    const a = polygon[i]!;
    const b = polygon[(i + 1) % polygon.length]!;
    twiceMm2 += a.xMm * b.yMm - b.xMm * a.yMm;
  }
  return twiceMm2 / 2e6;
}

/** Area of the room's plan, m2, islands taken off. */
export function areaM2(polygon: Polygon, islands: readonly Polygon[] = []): number {
  return Math.abs(signedAreaM2(polygon)) - islands.reduce((sum, island) => sum + Math.abs(signedAreaM2(island)), 0);
}

/** Total length of the walls, mm. */
export function perimeterMm(polygon: Polygon): number {
  return polygon.reduce((sum, a, i) => sum + distanceMm(a, polygon[(i + 1) % polygon.length]!), 0);
}

/** Even-odd rule; a point exactly on a wall may fall on either side. */
export function contains(polygon: Polygon, x: number, y: number): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const a = polygon[i]!;
    const b = polygon[j]!;
    if (a.yMm > y !== b.yMm > y && x < ((b.xMm - a.xMm) * (y - a.yMm)) / (b.yMm - a.yMm) + a.xMm) inside = !inside;
  }
  return inside;
}

/** Distance from a point to the segment a-b, mm. */
export function distanceToSegmentMm(x: number, y: number, a: PointMm, b: PointMm): number {
  const dx = b.xMm - a.xMm;
  const dy = b.yMm - a.yMm;
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.xMm) * dx + (y - a.yMm) * dy) / length2));
  return Math.hypot(x - a.xMm - t * dx, y - a.yMm - t * dy);
}

/** Distance from a point to the nearest wall, mm, whichever side it is on. */
export function distanceToWallsMm(polygon: Polygon, x: number, y: number): number {
  let best = Infinity;
  for (let i = 0; i < polygon.length; i++) {
    best = Math.min(best, distanceToSegmentMm(x, y, polygon[i]!, polygon[(i + 1) % polygon.length]!));
  }
  return best;
}

function side(a: PointMm, b: PointMm, c: PointMm): number {
  const cross = (b.xMm - a.xMm) * (c.yMm - a.yMm) - (b.yMm - a.yMm) * (c.xMm - a.xMm);
  // Within a square millimetre of the line counts as on it: keyed lengths are no finer.
  return Math.abs(cross) < 1 ? 0 : Math.sign(cross);
}

function within(a: PointMm, b: PointMm, c: PointMm): boolean {
  return (
    c.xMm >= Math.min(a.xMm, b.xMm) - 1e-6 &&
    c.xMm <= Math.max(a.xMm, b.xMm) + 1e-6 &&
    c.yMm >= Math.min(a.yMm, b.yMm) - 1e-6 &&
    c.yMm <= Math.max(a.yMm, b.yMm) + 1e-6
  );
}

/** Whether segments a-b and c-d meet, touching included. */
export function segmentsMeet(a: PointMm, b: PointMm, c: PointMm, d: PointMm): boolean {
  const s1 = side(a, b, c);
  const s2 = side(a, b, d);
  const s3 = side(c, d, a);
  const s4 = side(c, d, b);
  if (s1 !== s2 && s3 !== s4 && s1 * s2 <= 0 && s3 * s4 <= 0 && (s1 !== 0 || s2 !== 0)) return true;
  return (
    (s1 === 0 && within(a, b, c)) ||
    (s2 === 0 && within(a, b, d)) ||
    (s3 === 0 && within(c, d, a)) ||
    (s4 === 0 && within(c, d, b))
  );
}

/** Whether segments a-b and c-d cross, each passing from one side of the other to the other. */
function segmentsCross(a: PointMm, b: PointMm, c: PointMm, d: PointMm): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/**
 * First pair of walls (by index, from 0) that cross away from a shared corner, or null. Touching counts unless `touching` is
 * false: the end of a chain that does not close yet may lie on a wall without crossing it.
 */
export function firstCrossing(polygon: Polygon, touching = true): { first: number; second: number } | null {
  const n = polygon.length;
  for (let i = 0; i < n; i++) {
    const [a, b] = [polygon[i]!, polygon[(i + 1) % n]!];
    for (let j = i + 1; j < n; j++) {
      const [c, d] = [polygon[j]!, polygon[(j + 1) % n]!];
      const adjacent = j === i + 1 || (i === 0 && j === n - 1);
      if (!adjacent) {
        if (touching ? segmentsMeet(a, b, c, d) : segmentsCross(a, b, c, d)) return { first: i, second: j };
      } else {
        // Neighbours share a corner; they overlap when one folds straight back on the other.
        const [tip, shared, other] = j === i + 1 ? [a, b, d] : [b, a, c];
        const folds =
          side(tip, shared, other) === 0 &&
          (tip.xMm - shared.xMm) * (other.xMm - shared.xMm) + (tip.yMm - shared.yMm) * (other.yMm - shared.yMm) > 0;
        if (folds) return { first: i, second: j };
      }
    }
  }
  return null;
}

/** Smallest upright rectangle around the plan, mm. */
export function boundsMm(polygon: Polygon): { minX: number; minY: number; maxX: number; maxY: number } {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const p of polygon) {
    minX = Math.min(minX, p.xMm);
    minY = Math.min(minY, p.yMm);
    maxX = Math.max(maxX, p.xMm);
    maxY = Math.max(maxY, p.yMm);
  }
  return { minX, minY, maxX, maxY };
}
