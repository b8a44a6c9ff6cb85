import { reach, say } from '../said/index.ts';
import { ScanProblem, TELL_EVERY, type Cloud, type Share } from './cloud.ts';
import { axesOf, type FloorPlane } from './find-plane.ts';

/** A floor found in a scan: heights of square cells in the scan's own frame, seen from above, mm. */
export interface ScanFloor {
  cellMm: number;
  nx: number;
  ny: number;
  /** Middle of cell (0, 0), from the scan's first point. */
  x0Mm: number;
  y0Mm: number;
  /** Tenths of a millimetre over the floor's own mean plane level, row by row; null where no floor was seen. */
  heightsTenthMm: (number | null)[];
  /** Spread of one cell's height for noise alone, mm (one standard deviation). */
  noiseMm: number;
}

/** What one pass over a scan finds. */
export interface FoundFloor extends ScanFloor {
  points: number;
  /** Middles of cells in which something upright and tall was seen, x and y in turn, mm: walls, for the placing only. */
  wallsMm: Float64Array;
}

const SCAN_CELL_MM = 50;
/** Heights are counted in bins of this, up to this far from the plane, mm. */
const BIN_MM = 0.5;
const REACH_MM = 40;
const BINS = (2 * REACH_MM) / BIN_MM;
const FEWEST_POINTS = 8;
/** What stands higher than this is not looked at: ceilings and lamps. mm */
const TALLEST_MM = 2200;
/** What was seen over this much height in one cell is upright, mm. */
const UPRIGHT_MM = 400;
const UPRIGHT_POINTS = 12;
const CELLS_MOST = 400_000;

/**
 * The floor near a plane in cells of 5 cm: the interpolated median of each cell's heights over a histogram of half millimetres.
 * Cells with fewer than eight points, or with more above the floor than on it, are left empty. One pass over the points.
 */
export function floorCells(cloud: Cloud, plane: FloorPlane, share: Share = () => undefined): FoundFloor {
  const { a, b, h } = axesOf(cloud, plane.up);
  const { levelM, slopeA, slopeB } = plane;
  const { count } = cloud;
  const cellM = SCAN_CELL_MM / 1000;
  let [minA, minB, maxA, maxB] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let i = 0; i < count; i++) {
    if (Math.abs(h[i]! - levelM - slopeA * a[i]! - slopeB * b[i]!) * 1000 > REACH_MM) continue;
    if (a[i]! < minA) minA = a[i]!;
    if (a[i]! > maxA) maxA = a[i]!;
    if (b[i]! < minB) minB = b[i]!;
    if (b[i]! > maxB) maxB = b[i]!;
  }
  const nx = Math.floor((maxA - minA) / cellM) + 1;
  const ny = Math.floor((maxB - minB) / cellM) + 1;
  if (!(nx * ny <= CELLS_MOST))
    throw new ScanProblem(
      say('scan.theScansFloorReachesOverBy', {
        longMm: reach(Math.round(maxA - minA) * 1000),
        wideMm: reach(Math.round(maxB - minB) * 1000),
      }),
    );
  const counts = new Uint16Array(nx * ny * BINS);
  const near = new Uint32Array(nx * ny);
  const above = new Uint32Array(nx * ny);
  const lowest = new Float32Array(nx * ny).fill(Infinity);
  const highest = new Float32Array(nx * ny).fill(-Infinity);
  for (let i = 0; i < count; i++) {
    if ((i + 1) % TELL_EVERY === 0) share((i + 1) / count);
    const ix = Math.floor((a[i]! - minA) / cellM);
    const iy = Math.floor((b[i]! - minB) / cellM);
    if (ix < 0 || iy < 0 || ix >= nx || iy >= ny) continue;
    const cell = iy * nx + ix;
    const overMm = (h[i]! - levelM - slopeA * a[i]! - slopeB * b[i]!) * 1000;
    if (overMm >= -REACH_MM && overMm < REACH_MM) {
      const bin = cell * BINS + Math.floor((overMm + REACH_MM) / BIN_MM);
      if (counts[bin]! < 65_535) counts[bin]!++;
      near[cell]!++;
    } else if (overMm > 0 && overMm < TALLEST_MM) {
      above[cell]!++;
      if (overMm < lowest[cell]!) lowest[cell] = overMm;
      if (overMm > highest[cell]!) highest[cell] = overMm;
    }
  }
  const middle = [(minA + maxA) / 2, (minB + maxB) / 2] as const;
  const heights: (number | null)[] = new Array<number | null>(nx * ny).fill(null);
  const walls: number[] = [];
  let points = 0;
  for (let cell = 0; cell < heights.length; cell++) {
    const a0 = minA + ((cell % nx) + 0.5) * cellM;
    const b0 = minB + (Math.floor(cell / nx) + 0.5) * cellM;
    if (above[cell]! >= UPRIGHT_POINTS && highest[cell]! - lowest[cell]! > UPRIGHT_MM) walls.push(a0 * 1000, b0 * 1000);
    if (near[cell]! < FEWEST_POINTS) continue;
    if (above[cell]! > near[cell]!) continue;
    points += near[cell]!;
    const tiltMm = (slopeA * (a0 - middle[0]) + slopeB * (b0 - middle[1])) * 1000;
    heights[cell] = Math.round((medianOf(counts, cell * BINS, near[cell]!) + tiltMm) * 10);
  }
  if (points === 0) throw new ScanProblem(say('scan.noFloorWithEnoughPointsOn'));
  return {
    cellMm: SCAN_CELL_MM,
    nx,
    ny,
    x0Mm: (minA + cellM / 2) * 1000,
    y0Mm: (minB + cellM / 2) * 1000,
    heightsTenthMm: heights,
    noiseMm: noiseOf(heights, nx, ny),
    points,
    wallsMm: Float64Array.from(walls),
  };
}

/** Median of one cell's histogram, interpolated within its bin, mm from the plane. */
function medianOf(counts: Uint16Array, from: number, total: number): number {
  let sum = 0;
  for (let bin = 0; bin < BINS; bin++) {
    const here = counts[from + bin]!;
    if (sum + here >= total / 2) return (bin + (total / 2 - sum) / here) * BIN_MM - REACH_MM;
    sum += here;
  }
  return 0;
}

/**
 * Noise of one cell from second differences along rows and columns: a floor bends little over 15 cm, noise does. Their variance
 * is six times a cell's; the median of their sizes keeps steps and edges out of it.
 */
function noiseOf(heights: readonly (number | null)[], nx: number, ny: number): number {
  const bends: number[] = [];
  for (const [step, across] of [
    [1, true],
    [nx, false],
  ] as const)
    for (let cell = step; cell < nx * ny - step; cell++) {
      if (across && (cell % nx === 0 || cell % nx === nx - 1)) continue;
      const [p, q, r] = [heights[cell - step], heights[cell], heights[cell + step]];
      if (p != null && q != null && r != null) bends.push(Math.abs(p - 2 * q + r) / 10);
    }
  if (bends.length === 0) return 0;
  bends.sort((p, q) => p - q);
  // The median of a normal's sizes is 0.6745 of its standard deviation.
  return bends[Math.floor(bends.length / 2)]! / 0.6745 / Math.sqrt(6);
}
