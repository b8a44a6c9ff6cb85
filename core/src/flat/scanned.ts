import { anchoredBy, anchorOf, scanHeights, SMOOTHED_NOISE_SHARE, type Anchor, type Scan } from '../scan/index.ts';
import { restrict, type Grid } from './grid.ts';
import type { Height } from './heights.ts';
import { planeAt, planeOver } from './plane.ts';

/** What one scan gives the floor, once staffs have told its level and lean. */
export interface ScanState {
  id: string;
  fileName: string;
  takenAt: string;
  points: number;
  anchor: Anchor;
  /** Share of the floor it covers, 0 to 1. */
  coveredShare: number;
  /** The worst gap that its noise alone would show on a perfectly flat floor, mm. */
  noiseFloorMm: number;
}

/** Scans on the judgement grid: where there is one, readings only say how far the floor differs from it. */
export interface Scanned {
  /** Heights over the whole rectangle, carried on flat beyond what was seen, mm. */
  baseMm: Float64Array;
  /** 1 where a scan saw the floor. */
  seen: Uint8Array;
  /** Share of the floor that they saw together, 0 to 1. */
  seenShare: number;
  states: ScanState[];
}

/** With so much of the floor under a scan, what it can see is what counts. */
export const SCAN_ALONE_SHARE = 0.95;

/**
 * The worst gap over a flat floor as a multiple of a cell's noise after smoothing, under usual edges and 16 directions (a test
 * measures it): what is said of a scan's noise floor.
 */
export const NOISE_TO_GAP = 7;
/** Beyond what was seen, its unevenness fades over this far, mm. */
const FADES_MM = 300;

/** Lays scans, in the order in which they were made, on the grid, newest on top, each anchored by the staffs that stand on what it saw. Null without a scan. */
export function scannedOver(grid: Grid, scans: readonly Scan[], staffs: readonly Height[]): Scanned | null {
  if (scans.length === 0) return null;
  const seen = new Uint8Array(grid.inside.length);
  const heightMm = new Float64Array(grid.inside.length);
  const floor = grid.inside.reduce((sum, on) => sum + on, 0);
  const newestFirst = [...scans].reverse();
  const states = newestFirst.map((scan): ScanState => {
    const at = scanHeights(scan);
    const anchor = anchorOf(
      staffs.flatMap(({ xMm, yMm, heightMm: rodMm }) => {
        const scanMm = at(xMm, yMm);
        return scanMm === null ? [] : [{ xMm, yMm, scanMm, rodMm }];
      }),
    );
    let covered = 0;
    for (let cell = 0; cell < seen.length; cell++) {
      if (!grid.inside[cell]) continue;
      const x = grid.x0Mm + (cell % grid.nx) * grid.cellMm;
      const y = grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm;
      const height = at(x, y);
      if (height === null) continue;
      covered++;
      if (seen[cell]) continue;
      seen[cell] = 1;
      heightMm[cell] = height + anchoredBy(anchor, x, y);
    }
    return {
      id: scan.id,
      fileName: scan.fileName,
      takenAt: scan.takenAt,
      points: scan.points,
      anchor,
      coveredShare: floor === 0 ? 0 : covered / floor,
      noiseFloorMm: NOISE_TO_GAP * SMOOTHED_NOISE_SHARE * scan.noiseMm,
    };
  });
  const seenCells = seen.reduce((sum, on) => sum + on, 0);
  if (seenCells === 0) return null;
  return { baseMm: carriedOn(grid, heightMm, seen), seen, seenShare: seenCells / floor, states };
}

/** What was seen, and beyond it the plane through it with the nearest cell's unevenness fading out. */
function carriedOn(grid: Grid, heightMm: Float64Array, seen: Uint8Array): Float64Array {
  const { nx, ny, cellMm } = grid;
  const plane = planeOver(restrict({ ...grid, inside: new Uint8Array(seen.length).fill(1) }, seen), heightMm);
  const flat = (cell: number) =>
    planeAt(plane, grid.x0Mm + (cell % nx) * cellMm, grid.y0Mm + Math.floor(cell / nx) * cellMm);
  const out = heightMm.slice();
  const off = new Float64Array(seen.length);
  const away = new Int32Array(seen.length).fill(-1);
  let ring: number[] = [];
  for (let cell = 0; cell < seen.length; cell++) {
    if (!seen[cell]) continue;
    off[cell] = out[cell]! - flat(cell);
    away[cell] = 0;
    ring.push(cell);
  }
  for (let steps = 1; ring.length > 0; steps++) {
    const next: number[] = [];
    for (const cell of ring) {
      const ix = cell % nx;
      for (const [to, there] of [
        [cell - 1, ix > 0],
        [cell + 1, ix < nx - 1],
        [cell - nx, cell >= nx],
        [cell + nx, cell < nx * (ny - 1)],
      ] as const) {
        if (!there || away[to]! >= 0) continue;
        away[to] = steps;
        off[to] = off[cell]!;
        out[to] = flat(to) + off[to]! * Math.exp((-steps * cellMm) / FADES_MM);
        next.push(to);
      }
    }
    ring = next;
  }
  return out;
}

/** Height of the scans at a place, bilinear over the grid, mm; at its edge the nearest cell's. */
export function baseAt({ nx, ny, cellMm, x0Mm, y0Mm }: Grid, baseMm: Float64Array, xMm: number, yMm: number): number {
  const x = Math.min(nx - 1, Math.max(0, (xMm - x0Mm) / cellMm));
  const y = Math.min(ny - 1, Math.max(0, (yMm - y0Mm) / cellMm));
  const ix = Math.min(Math.max(0, nx - 2), Math.floor(x));
  const iy = Math.min(Math.max(0, ny - 2), Math.floor(y));
  const [fx, fy] = [x - ix, y - iy];
  const at = (dx: number, dy: number) => baseMm[Math.min(ny - 1, iy + dy) * nx + Math.min(nx - 1, ix + dx)]!;
  return (1 - fy) * ((1 - fx) * at(0, 0) + fx * at(1, 0)) + fy * ((1 - fx) * at(0, 1) + fx * at(1, 1));
}
