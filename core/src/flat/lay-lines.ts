import type { Grid } from './grid.ts';

/** Where the samples of one run lie. */
export interface LaidRun {
  length: number;
  /** Cell nearest to each sample. */
  cells: Int32Array;
  /** Cell below and to the left of each sample, and how far beyond its middle the sample lies, in cells. */
  base: Int32Array;
  fx: Float32Array;
  fy: Float32Array;
  /** Plan position of sample 0, mm. */
  xMm: number;
  yMm: number;
}

/** How the lines of one direction lie on the floor: shifted across by a part of a cell, samples counted from where. */
export interface Lie {
  acrossCells: number;
  /** From the middle of the floor, so that mirroring changes nothing, or from the first or the last end of every stretch. */
  from: 'middle' | 'first' | 'last';
  /** Lines that come near this part alone; all where there is none. */
  near?: Part | null;
}

export const CENTRED: Lie = { acrossCells: 0, from: 'middle' };

/** A line in cells: a place on it and its unit vector. */
export interface Line {
  ox: number;
  oy: number;
  ux: number;
  uy: number;
}

/** Which of the nodes at, right of, above and across from a cell are inside: a sample needs those that carry weight. */
const SELF = 1;
const RIGHT = 2;
const UP = 4;
const ALL = 8;
const quadsOf = ({ nx, inside }: Grid): Uint8Array => {
  const quads = new Uint8Array(inside.length);
  for (let cell = 0; cell < inside.length; cell++) {
    if (!inside[cell]) continue;
    const right = (cell + 1) % nx !== 0 && inside[cell + 1];
    const up = inside[cell + nx];
    const all = right && up && inside[cell + nx + 1];
    quads[cell] = SELF | (right ? RIGHT : 0) | (up ? UP : 0) | (all ? ALL : 0);
  }
  return quads;
};

/** Where lines may run over a grid. */
export interface Ground {
  /** Of each cell, which of the nodes about it are inside. */
  readonly quads: Uint8Array;
  /** Every cell is inside: lines then run from edge to edge. */
  readonly whole: boolean;
}

export function groundOf(grid: Grid): Ground {
  return { quads: quadsOf(grid), whole: grid.inside.every((on) => on === 1) };
}

/** Unit vector of the direction pi k / directions, exact along the axes. */
export function along(direction: number, directions: number): [number, number] {
  const angle = (Math.PI * direction) / directions;
  if ((direction * 2) % directions !== 0) return [Math.cos(angle), Math.sin(angle)];
  return direction === 0 ? [1, 0] : [0, 1];
}

/** The most samples any run along a direction can have. */
export function mostSamples({ nx, ny, cellMm }: Grid, ux: number, uy: number, stepMm: number): number {
  return Math.ceil(((Math.abs(ux) * (nx - 1) + Math.abs(uy) * (ny - 1)) * cellMm) / stepMm) + 3;
}

/**
 * Offset of sample positions from the grid's centre, in cells. Along the axes samples must fall on cell middles, which lie
 * half a cell off the centre when the count is even; elsewhere they are centred, so that mirroring changes nothing.
 */
function phase(count: number, onAxis: boolean): number {
  return onAxis && count % 2 === 0 ? 0.5 : 0;
}

/** Lines of one direction, one cell apart; with `near`, those alone that come near a part of the grid. */
export function linesOf(
  { nx, ny }: Grid,
  [ux, uy]: readonly [number, number],
  acrossCells = 0,
  near: Part | null = null,
): Line[] {
  const onAxis = ux === 0 || uy === 0;
  const across = phase(ux === 1 ? ny : nx, onAxis) + acrossCells;
  // Along an axis the samples start on a cell middle; with a step under one cell they drift off it, as any line does.
  const ahead = phase(ux === 1 ? nx : ny, onAxis);
  const half = (Math.abs(ux) * (ny - 1) + Math.abs(uy) * (nx - 1)) / 2;
  const lines: Line[] = [];
  const [from, to] = near ? acrossPart(near, (nx - 1) / 2, (ny - 1) / 2, ux, uy) : [-half, half];
  const last = Math.min(half, to) + 1e-9;
  for (let m = Math.ceil(Math.max(-half, from) - across - 1e-9); m + across <= last; m++)
    lines.push({
      ox: (nx - 1) / 2 - uy * (m + across) + ux * ahead,
      oy: (ny - 1) / 2 + ux * (m + across) + uy * ahead,
      ux,
      uy,
    });
  return lines;
}

/** A rectangle of cells. */
export interface Part {
  ix: readonly [first: number, last: number];
  iy: readonly [first: number, last: number];
}

/** How far to one side and the other of the middle a part lies, across a direction, with a cell's reach. */
function acrossPart({ ix, iy }: Part, cx: number, cy: number, ux: number, uy: number): [number, number] {
  const sides = ix.flatMap((x) => iy.map((y) => ux * (y - cy) - uy * (x - cx)));
  return [Math.min(...sides) - 1.5, Math.max(...sides) + 1.5];
}

/** Lays out every run of one direction; the run handed on is used again for the next. */
export function layRuns(
  grid: Grid,
  ground: Ground,
  stepMm: number,
  direction: number,
  directions: number,
  { acrossCells, from, near }: Lie,
  lay: (run: LaidRun) => void,
): void {
  const unit = along(direction, directions);
  const pen = penOver(grid, ground, stepMm, unit, lay);
  for (const line of linesOf(grid, unit, acrossCells, near)) {
    if (from === 'middle') pen.whole(line);
    else for (const [first, last] of stretchesAlong(grid, ground, line)) pen.stretch(line, first, last, from);
  }
}

/** Puts samples on lines of one direction, and hands every run of two or more on. */
export function penOver(
  grid: Grid,
  { quads }: Ground,
  stepMm: number,
  [ux, uy]: readonly [number, number],
  lay: (run: LaidRun) => void,
) {
  const { nx, ny, cellMm } = grid;
  const step = stepMm / cellMm;
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
  let length = 0;
  const finish = () => {
    run.length = length;
    if (length > 1) lay(run);
    length = 0;
  };
  const put = ({ ox, oy }: Line, t: number) => {
    const x = ox + ux * t + 1e-9;
    const y = oy + uy * t + 1e-9;
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
    if (!(quads[at]! & needs(restX, restY))) {
      finish();
      return;
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
  };
  return {
    /** Samples counted from the line's own place, the line broken wherever one is off the floor. */
    whole(line: Line) {
      const [from, to] = clip(line, nx - 1, ny - 1);
      for (let t = Math.ceil(from / step - 1e-9); t * step <= to + 1e-9; t++) put(line, t * step);
      finish();
    },
    /** Samples of one stretch that lies on the floor, counted from its first or its last end. */
    stretch(line: Line, first: number, last: number, from: 'first' | 'last') {
      const count = Math.floor((last - first) / step + 1e-9);
      const start = from === 'first' ? first : last - count * step;
      for (let k = 0; k <= count; k++) put(line, start + k * step);
      finish();
    },
  };
}

function needs(restX: number, restY: number): number {
  return restX > 0 ? (restY > 0 ? ALL : RIGHT) : restY > 0 ? UP : SELF;
}

/** Stretches of a line over floor, by distance along it in cells: from where it crosses into the nodes inside to where it leaves them. */
export function stretchesAlong(
  { nx, ny }: Grid,
  { quads, whole }: Ground,
  line: Line,
): [first: number, last: number][] {
  const { ox, oy, ux, uy } = line;
  const [from, to] = clip(line, nx - 1, ny - 1);
  if (whole) return to - from > 1e-9 ? [[from, to]] : [];
  const found: [number, number][] = [];
  let open = false;
  for (let t = from; t < to - 1e-9;) {
    // The next line between cells that is crossed, along either axis.
    const next = Math.min(to, crossing(ox, ux, t), crossing(oy, uy, t));
    const [x, y] = [ox + (ux * (t + next)) / 2 + 1e-9, oy + (uy * (t + next)) / 2 + 1e-9];
    const [ix, iy] = [Math.min(nx - 1, x | 0), Math.min(ny - 1, y | 0)];
    const need = needs(x - ix < 1e-7 ? 0 : x - ix, y - iy < 1e-7 ? 0 : y - iy);
    const on = (quads[iy * nx + ix]! & need) !== 0;
    if (on && open) found.at(-1)![1] = next;
    else if (on) found.push([t, next]);
    open = on;
    t = next;
  }
  return found;
}

/** The next distance beyond t at which o + u t is whole. */
function crossing(o: number, u: number, t: number): number {
  if (Math.abs(u) < 1e-12) return Infinity;
  const now = o + u * t;
  const next = u > 0 ? Math.floor(now + 1e-9) + 1 : Math.ceil(now - 1e-9) - 1;
  return (next - o) / u;
}

/** Range of t for which o + u t lies within [0, w] x [0, h]; empty (1, 0) when it never does. */
function clip({ ox, oy, ux, uy }: Line, w: number, h: number): [number, number] {
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
