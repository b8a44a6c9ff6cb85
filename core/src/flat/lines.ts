import type { Grid } from './grid.ts';

/** A straight run of samples inside the room, one step apart, along one direction. Buffers are used again: copy what is kept. */
export interface Run {
  length: number;
  heights: Float64Array;
  /** Cell nearest to each sample. */
  cells: Int32Array;
  /** Cell below and to the left of each sample, and how far beyond its middle the sample lies, in cells. */
  base: Int32Array;
  fx: Float32Array;
  fy: Float32Array;
  /** Direction index k of the angle pi k / directions. */
  direction: number;
  /** Plan position of sample 0 and the step between samples, mm. */
  xMm: number;
  yMm: number;
  dxMm: number;
  dyMm: number;
}

/**
 * Offset of sample positions from the grid's centre, in cells. Along the axes samples must fall on cell middles, which lie
 * half a cell off the centre when the count is even; elsewhere they are centred, so that mirroring changes nothing.
 */
function phase(count: number, onAxis: boolean): number {
  return onAxis && count % 2 === 0 ? 0.5 : 0;
}

/** Which of the nodes at, right of, above and across from a cell are inside: a sample needs those that carry weight. */
const SELF = 1;
const RIGHT = 2;
const UP = 4;
const ALL = 8;
function quadsOf({ nx, inside }: Grid): Uint8Array {
  const quads = new Uint8Array(inside.length);
  for (let cell = 0; cell < inside.length; cell++) {
    if (!inside[cell]) continue;
    const right = (cell + 1) % nx !== 0 && inside[cell + 1];
    const up = inside[cell + nx];
    const all = right && up && inside[cell + nx + 1];
    quads[cell] = SELF | (right ? RIGHT : 0) | (up ? UP : 0) | (all ? ALL : 0);
  }
  return quads;
}

/** Where the samples of one run lie. */
type LaidRun = Pick<Run, 'length' | 'base' | 'fx' | 'fy' | 'cells' | 'xMm' | 'yMm'>;

/** What is kept of a grid's lines for work that goes over them many times. */
export interface KeptRuns {
  /** Of each cell, which of the nodes about it are inside. */
  readonly quads: Uint8Array;
  /**
   * Runs as they were first laid out, by step and direction; null where they are laid out anew each time. About 16 bytes a
   * sample: half a megabyte for each 1000 cells at 36 directions.
   */
  readonly laid: Map<string, readonly LaidRun[]> | null;
}

/** Beyond this many cells lines are laid out anew each time rather than kept: a hundred megabytes are too many for a phone. */
const KEPT_CELLS_MOST = 120_000;

/** Room for a grid's lines, where it is small enough to keep them. */
export function keptRuns(grid: Grid): KeptRuns {
  return { quads: quadsOf(grid), laid: grid.inside.length <= KEPT_CELLS_MOST ? new Map() : null };
}

/** What every direction over a grid needs: its lines are laid out anew each time. */
export function passingRuns(grid: Grid): KeptRuns {
  return { quads: quadsOf(grid), laid: null };
}

interface RunsOptions {
  /** Lines laid out before on the same grid, and those laid out now. */
  kept?: KeptRuns | undefined;
  /** Asked before a run's heights are taken; what is not wanted is passed over. */
  wanted?: (run: Run) => boolean;
}

/**
 * Visits every run of samples at angle pi k / directions for all k: lines one cell apart, samples `stepMm` apart, heights
 * bilinear where the nodes that carry weight are all inside, runs broken at the mask (flatness definitions, section 2).
 */
export function visitRuns(
  grid: Grid,
  heights: Float64Array,
  stepMm: number,
  direction: number,
  directions: number,
  visit: (run: Run) => void,
  { kept = passingRuns(grid), wanted }: RunsOptions = {},
): void {
  const [ux, uy] = along(direction, directions);
  const run: Run = {
    length: 0,
    heights: new Float64Array(mostSamples(grid, ux, uy, stepMm)),
    cells: new Int32Array(0),
    base: new Int32Array(0),
    fx: new Float32Array(0),
    fy: new Float32Array(0),
    direction,
    xMm: 0,
    yMm: 0,
    dxMm: ux * stepMm,
    dyMm: uy * stepMm,
  };
  const take = (laid: LaidRun) => {
    Object.assign(run, laid);
    if (wanted && !wanted(run)) return;
    sample(laid, heights, grid.nx, run.heights);
    visit(run);
  };
  if (!kept.laid) return layRuns(grid, kept.quads, stepMm, direction, directions, take);
  const key = `${stepMm} ${direction}/${directions}`;
  let held = kept.laid.get(key);
  if (!held) {
    const laid: LaidRun[] = [];
    layRuns(grid, kept.quads, stepMm, direction, directions, (one) => laid.push(copied(one)));
    kept.laid.set(key, (held = laid));
  }
  for (const laid of held) take(laid);
}

/** Heights along a run: bilinear over those nodes that carry weight. */
function sample({ length, base, fx, fy }: LaidRun, heights: Float64Array, nx: number, into: Float64Array): void {
  for (let s = 0; s < length; s++) {
    const at = base[s]!;
    const x = fx[s]!;
    const y = fy[s]!;
    let h = heights[at]!;
    if (x > 0) h += x * (heights[at + 1]! - h);
    if (y > 0) {
      let top = heights[at + nx]!;
      if (x > 0) top += x * (heights[at + nx + 1]! - top);
      h += y * (top - h);
    }
    into[s] = h;
  }
}

function copied({ length, base, fx, fy, cells, xMm, yMm }: LaidRun): LaidRun {
  return {
    length,
    base: base.slice(0, length),
    fx: fx.slice(0, length),
    fy: fy.slice(0, length),
    cells: cells.slice(0, length),
    xMm,
    yMm,
  };
}

/** Quarter turns a direction makes, or -1 for one that lies between the axes. */
function quarterOf(direction: number, directions: number): number {
  return (direction * 2) % directions === 0 ? Math.round((direction * 2) / directions) : -1;
}

/** Unit vector of a direction, exact along the axes. */
function along(direction: number, directions: number): [number, number] {
  const quarter = quarterOf(direction, directions);
  const angle = (Math.PI * direction) / directions;
  return quarter === 0 ? [1, 0] : quarter === 1 ? [0, 1] : [Math.cos(angle), Math.sin(angle)];
}

function mostSamples({ nx, ny, cellMm }: Grid, ux: number, uy: number, stepMm: number): number {
  return Math.ceil(((Math.abs(ux) * (nx - 1) + Math.abs(uy) * (ny - 1)) * cellMm) / stepMm) + 3;
}

/** Lays out every run of one direction; the run handed on is used again for the next. */
function layRuns(
  grid: Grid,
  quads: Uint8Array,
  stepMm: number,
  direction: number,
  directions: number,
  lay: (run: LaidRun) => void,
): void {
  const { nx, ny, cellMm } = grid;
  const quarter = quarterOf(direction, directions);
  const [ux, uy] = along(direction, directions);
  const step = stepMm / cellMm;
  const [cx, cy] = [(nx - 1) / 2, (ny - 1) / 2];
  const onAxis = quarter >= 0;
  const across = phase(quarter === 0 ? ny : nx, onAxis);
  // Along an axis the samples start on a cell middle; with a step under one cell they drift off it, as any line does.
  const ahead = phase(quarter === 0 ? nx : ny, onAxis);
  const half = (Math.abs(ux) * (ny - 1) + Math.abs(uy) * (nx - 1)) / 2;
  const most = mostSamples(grid, ux, uy, stepMm);
  const run: LaidRun = {
    length: 0,
    base: new Int32Array(most),
    fx: new Float32Array(most),
    fy: new Float32Array(most),
    cells: new Int32Array(most),
    xMm: 0,
    yMm: 0,
  };
  const { base, fx, fy, cells } = run;
  const finish = (length: number) => {
    run.length = length;
    lay(run);
  };
  for (let m = Math.ceil(-half - across - 1e-9); m + across <= half + 1e-9; m++) {
    const ox = cx - uy * (m + across) + ux * ahead;
    const oy = cy + ux * (m + across) + uy * ahead;
    const [from, to] = clip(ox, oy, ux, uy, nx - 1, ny - 1);
    let length = 0;
    for (let t = Math.ceil(from / step - 1e-9); t * step <= to + 1e-9; t++) {
      const x = ox + ux * t * step + 1e-9;
      const y = oy + uy * t * step + 1e-9;
      // Truncation is flooring here: both are at least 0. The last row and column carry no weight beyond themselves.
      let ix = x | 0;
      let iy = y | 0;
      let restX = x - ix;
      let restY = y - iy;
      if (restX < 1e-7) restX = 0;
      if (restY < 1e-7) restY = 0;
      if (ix >= nx - 1) {
        ix = nx - 1;
        restX = 0;
      }
      if (iy >= ny - 1) {
        iy = ny - 1;
        restY = 0;
      }
      const at = iy * nx + ix;
      const need = restX > 0 ? (restY > 0 ? ALL : RIGHT) : restY > 0 ? UP : SELF;
      if (!(quads[at]! & need)) {
        if (length > 1) finish(length);
        length = 0;
        continue;
      }
      if (length === 0) {
        run.xMm = grid.x0Mm + x * cellMm;
        run.yMm = grid.y0Mm + y * cellMm;
      }
      base[length] = at;
      fx[length] = restX;
      fy[length] = restY;
      cells[length] = at + (restX >= 0.5 ? 1 : 0) + (restY >= 0.5 ? nx : 0);
      length++;
    }
    if (length > 1) finish(length);
  }
}

/** Range of t for which o + u t lies within [0, w] x [0, h]; empty (1, 0) when it never does. */
function clip(ox: number, oy: number, ux: number, uy: number, w: number, h: number): [number, number] {
  let [from, to] = [-Infinity, Infinity];
  for (const [o, u, most] of [
    [ox, ux, w],
    [oy, uy, h],
  ] as const) {
    if (Math.abs(u) < 1e-12) {
      if (o < -1e-9 || o > most + 1e-9) return [1, 0];
      continue;
    }
    const [a, b] = [-o / u, (most - o) / u];
    from = Math.max(from, Math.min(a, b));
    to = Math.min(to, Math.max(a, b));
  }
  return [from, to];
}
