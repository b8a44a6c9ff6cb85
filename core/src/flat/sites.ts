import type { Grid } from './grid.ts';

/** Heights at scattered points, parallel arrays, in the order they were taken. mm. */
export interface Sites {
  x: Float64Array;
  y: Float64Array;
  z: Float64Array;
  /**
   * Readings under an edge: which placement each belongs to (-1: none, a staff reading), and metres along it. Readings of one
   * placement share a level and a tilt that nobody knows.
   */
  edge?: { group: Int32Array; alongM: Float64Array };
  /** Which side of the break-lines each lies on, and how any other place is told; absent: there are none. */
  side?: { of: Int32Array; at: SideOf };
}

/** Number of the piece that break-lines cut a floor into at a place: what lies on another piece says nothing of this one. */
export type SideOf = (xMm: number, yMm: number) => number;

/** Sides that sites lie on, in the order they are met; one where there are no break-lines. */
export function sidesOf({ side, x }: Sites): number[] {
  return side && x.length > 0 ? [...new Set(side.of)] : [0];
}

/** Whether two sites lie on the same side of every break-line. */
export const sameSide = ({ side }: Sites, i: number, j: number) => !side || side.of[i] === side.of[j];

/** Side of the break-lines that each cell of a grid lies on; null where there are none. */
export function sidesOver({ side }: Sites, { nx, ny, cellMm, x0Mm, y0Mm }: Grid): Int32Array | null {
  if (!side) return null;
  return Int32Array.from({ length: nx * ny }, (_, cell) =>
    side.at(x0Mm + (cell % nx) * cellMm, y0Mm + Math.floor(cell / nx) * cellMm),
  );
}

/** Variance given to the unknown level and tilt of an edge, mm2 and mm2 for each m2: larger than any floor needs. */
const EDGE_FREE_MM2 = 400;

/** Covariance that two readings share for having been read under one edge (flatness definitions, section 1). */
export function underEdge({ edge }: Sites, i: number, j: number): number {
  if (!edge || edge.group[i]! < 0 || edge.group[i] !== edge.group[j]) return 0;
  return EDGE_FREE_MM2 * (1 + edge.alongM[i]! * edge.alongM[j]!);
}
