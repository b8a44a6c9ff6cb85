import { gap, say, type Said } from '../said/index.ts';
import { figure, whole, type Held } from '../fields/index.ts';
import { distanceMm, type PointMm, type Polygon } from './geometry.ts';
import { WALL_COUNT, type Wall } from './outline.ts';

/** A diagonal measured from one corner to another (numbers from 0: corner 0 is where W1 starts). */
export const DIAGONAL = {
  from: whole(0, WALL_COUNT.max - 1),
  to: whole(0, WALL_COUNT.max - 1),
  lengthMm: figure(100, 90_000, 'mm'),
} as const;
export type Diagonal = Held<typeof DIAGONAL>;

/** What the measured diagonals did to the drawn room. */
export interface Adjustment {
  corners: Polygon;
  /** Farthest a corner was moved, mm, and which. */
  movedMm: number;
  movedCorner: number;
  /** Corner whose angle differs most from the turn it was drawn with, and by how much, degrees (positive: more open inside). */
  squareCorner: number;
  outOfSquareDeg: number;
  /** What that angle comes to at the end of the corner's longer wall, mm. */
  outOfSquareMm: number;
  /** What is left between the diagonals and the drawing, and between the walls and the drawing, mm (largest). */
  diagonalLeftMm: number;
  wallLeftMm: number;
}

/** Standard deviations of the least squares: a tape on a diagonal or a wall, and a corner taken for square. */
const TAPE_MM = 2;
const CORNER_RAD = (2 * Math.PI) / 180;
const ROUNDS = 25;

/**
 * Fits the corners to wall lengths, measured diagonals and (weakly) the drawn angles by least squares with Gauss and Newton:
 * the adjustment of a plane figure as surveyors do it. Corner 0 and the heading of the first wall stay.
 */
export function adjustToDiagonals(drawn: Polygon, walls: readonly Wall[], diagonals: readonly Diagonal[]): Adjustment {
  const n = drawn.length;
  const x = drawn.flatMap((p) => [p.xMm, p.yMm]);
  const heading = Math.atan2(drawn[1]!.yMm - drawn[0]!.yMm, drawn[1]!.xMm - drawn[0]!.xMm);
  const lengths = [
    ...walls.map((wall, i) => ({ from: i, to: (i + 1) % n, mm: wall.lengthMm })),
    ...diagonals.map((d) => ({ from: d.from, to: d.to, mm: d.lengthMm })),
  ];
  const turns = drawn.map((_, i) => turnAt(drawn, i));
  for (let round = 0; round < ROUNDS; round++) {
    const normal = Array.from({ length: 2 * n }, () => new Float64Array(2 * n + 1));
    const add = (columns: readonly (readonly [number, number])[], residual: number, sigma: number) => {
      const w = 1 / sigma ** 2;
      for (const [i, ci] of columns) {
        for (const [j, cj] of columns) normal[i]![j]! += w * ci * cj;
        normal[i]![2 * n]! -= w * ci * residual;
      }
    };
    for (const { from, to, mm } of lengths) {
      const [dx, dy] = [x[2 * to]! - x[2 * from]!, x[2 * to + 1]! - x[2 * from + 1]!];
      const length = Math.hypot(dx, dy) || 1;
      const [ux, uy] = [dx / length, dy / length];
      add(
        [
          [2 * from, -ux],
          [2 * from + 1, -uy],
          [2 * to, ux],
          [2 * to + 1, uy],
        ],
        length - mm,
        TAPE_MM,
      );
    }
    const now = pointsOf(x);
    for (let i = 0; i < n; i++) {
      // Turn at a corner = heading out - heading in; the heading of (dx, dy) changes by (dx ddy - dy ddx) / length^2.
      const [before, after] = [(i + n - 1) % n, (i + 1) % n];
      const part = (p: number, q: number, sign: number) => {
        const [dx, dy] = [x[2 * q]! - x[2 * p]!, x[2 * q + 1]! - x[2 * p + 1]!];
        const l2 = dx * dx + dy * dy || 1;
        return [
          [2 * p, (sign * dy) / l2],
          [2 * p + 1, (-sign * dx) / l2],
          [2 * q, (-sign * dy) / l2],
          [2 * q + 1, (sign * dx) / l2],
        ] as [number, number][];
      };
      add([...part(i, after, 1), ...part(before, i, -1)], wrap(turnAt(now, i) - turns[i]!), CORNER_RAD);
    }
    // Corner 0 is held, and so is the heading of the first wall.
    add([[0, 1]], 0, 1e-4);
    add([[1, 1]], 0, 1e-4);
    add(
      [
        [2, -Math.sin(heading)],
        [3, Math.cos(heading)],
      ],
      -(x[2]! - x[0]!) * Math.sin(heading) + (x[3]! - x[1]!) * Math.cos(heading),
      1e-4,
    );
    const step = solve(normal);
    let largest = 0;
    for (let i = 0; i < 2 * n; i++) {
      x[i]! += step[i]!;
      largest = Math.max(largest, Math.abs(step[i]!));
    }
    if (largest < 1e-4) break;
  }
  return report(drawn, pointsOf(x), walls, diagonals, turns);
}

function report(
  drawn: Polygon,
  corners: Polygon,
  walls: readonly Wall[],
  diagonals: readonly Diagonal[],
  turns: readonly number[],
): Adjustment {
  const n = corners.length;
  let [movedMm, movedCorner, squareCorner, outRad, wallLeftMm] = [0, 0, 0, 0, 0];
  corners.forEach((corner, i) => {
    const moved = distanceMm(corner, drawn[i]!);
    if (moved > movedMm) [movedMm, movedCorner] = [moved, i];
    // A corner that turns less than drawn is more open on the inside.
    const out = wrap(turns[i]! - turnAt(corners, i));
    if (Math.abs(out) > Math.abs(outRad)) [outRad, squareCorner] = [out, i];
    wallLeftMm = Math.max(wallLeftMm, Math.abs(distanceMm(corner, corners[(i + 1) % n]!) - walls[i]!.lengthMm));
  });
  const longer = Math.max(walls[squareCorner]!.lengthMm, walls[(squareCorner + n - 1) % n]!.lengthMm);
  return {
    corners,
    movedMm,
    movedCorner,
    squareCorner,
    outOfSquareDeg: (outRad * 180) / Math.PI,
    outOfSquareMm: Math.abs(Math.sin(outRad)) * longer,
    diagonalLeftMm: diagonals.reduce(
      (most, d) => Math.max(most, Math.abs(distanceMm(corners[d.from]!, corners[d.to]!) - d.lengthMm)),
      0,
    ),
    wallLeftMm,
  };
}

function pointsOf(x: readonly number[]): PointMm[] {
  return Array.from({ length: x.length / 2 }, (_, i) => ({ xMm: x[2 * i]!, yMm: x[2 * i + 1]! }));
}

function turnAt(corners: Polygon, i: number): number {
  const n = corners.length;
  const [a, b, c] = [corners[(i + n - 1) % n]!, corners[i]!, corners[(i + 1) % n]!];
  return wrap(Math.atan2(c.yMm - b.yMm, c.xMm - b.xMm) - Math.atan2(b.yMm - a.yMm, b.xMm - a.xMm));
}

function wrap(angle: number): number {
  return Math.atan2(Math.sin(angle), Math.cos(angle));
}

/** Gauss elimination with the largest pivot of each column; the last column is the right side. */
function solve(rows: Float64Array[]): number[] {
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    let best = i;
    for (let r = i + 1; r < n; r++) if (Math.abs(rows[r]![i]!) > Math.abs(rows[best]![i]!)) best = r;
    [rows[i], rows[best]] = [rows[best]!, rows[i]!];
    const pivot = rows[i]![i]! || 1e-12;
    for (let r = i + 1; r < n; r++) {
      const factor = rows[r]![i]! / pivot;
      if (factor !== 0) for (let k = i; k <= n; k++) rows[r]![k]! -= factor * rows[i]![k]!;
    }
  }
  const out = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let sum = rows[i]![n]!;
    for (let k = i + 1; k < n; k++) sum -= rows[i]![k]! * out[k]!;
    out[i] = sum / (rows[i]![i]! || 1e-12);
  }
  return out;
}

/** A diagonal this far from the drawing, or this share of itself, is asked back rather than fitted: a misread tape. */
const MISREAD_SHARE = 0.04;

/** Why a diagonal cannot be right, or null. */
export function diagonalProblem(corners: Polygon, diagonal: Diagonal): Said | null {
  const n = corners.length;
  const { from, to, lengthMm } = diagonal;
  if (from < 0 || to < 0 || from >= n || to >= n)
    return say('room.cornerDoesNotExistThereAre', { from: Math.max(from, to) + 1, n });
  const apart = Math.min((from - to + n) % n, (to - from + n) % n);
  if (apart < 2) return say('room.cornersAndAreTheEndsOf', { from: from + 1, to: to + 1 });
  const drawnMm = distanceMm(corners[from]!, corners[to]!);
  if (Math.abs(drawnMm - lengthMm) > MISREAD_SHARE * drawnMm)
    return say('room.diagonalApart', { lengthMm: gap(Math.round(lengthMm)), drawnMm: gap(Math.round(drawnMm)) });
  return null;
}
