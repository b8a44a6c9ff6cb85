import type { Grid } from './grid.ts';

/** A straight run of samples inside the room, one step apart, along one direction. Buffers are reused: copy what is kept. */
export interface Run {
  length: number;
  heights: Float64Array;
  /** Cell nearest to each sample. */
  cells: Int32Array;
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
const quadsByMask = new WeakMap<Uint8Array, Uint8Array>();

function quadsOf({ nx, inside }: Grid): Uint8Array {
  const held = quadsByMask.get(inside);
  if (held) return held;
  const quads = new Uint8Array(inside.length);
  for (let cell = 0; cell < inside.length; cell++) {
    if (!inside[cell]) continue;
    const right = (cell + 1) % nx !== 0 && inside[cell + 1];
    const up = inside[cell + nx];
    const all = right && up && inside[cell + nx + 1];
    quads[cell] = SELF | (right ? RIGHT : 0) | (up ? UP : 0) | (all ? ALL : 0);
  }
  quadsByMask.set(inside, quads);
  return quads;
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
): void {
  const { nx, ny, cellMm } = grid;
  const quads = quadsOf(grid);
  const angle = (Math.PI * direction) / directions;
  const quarter = (direction * 2) % directions === 0 ? Math.round((direction * 2) / directions) : -1;
  const ux = quarter === 0 ? 1 : quarter === 1 ? 0 : Math.cos(angle);
  const uy = quarter === 0 ? 0 : quarter === 1 ? 1 : Math.sin(angle);
  const step = stepMm / cellMm;
  const [cx, cy] = [(nx - 1) / 2, (ny - 1) / 2];
  const onAxis = quarter >= 0;
  const across = phase(quarter === 0 ? ny : nx, onAxis);
  // Along an axis the samples start on a cell middle; with a step under one cell they drift off it, as any line does.
  const along = phase(quarter === 0 ? nx : ny, onAxis);
  const half = (Math.abs(ux) * (ny - 1) + Math.abs(uy) * (nx - 1)) / 2;
  const most = Math.ceil((Math.abs(ux) * (nx - 1) + Math.abs(uy) * (ny - 1)) / step) + 3;
  const samples = new Float64Array(most);
  const nearest = new Int32Array(most);
  const run: Run = {
    length: 0,
    heights: samples,
    cells: nearest,
    direction,
    xMm: 0,
    yMm: 0,
    dxMm: ux * stepMm,
    dyMm: uy * stepMm,
  };
  const finish = (length: number) => {
    run.length = length;
    visit(run);
  };
  for (let m = Math.ceil(-half - across - 1e-9); m + across <= half + 1e-9; m++) {
    const ox = cx - uy * (m + across) + ux * along;
    const oy = cy + ux * (m + across) + uy * along;
    const [from, to] = clip(ox, oy, ux, uy, nx - 1, ny - 1);
    let length = 0;
    for (let t = Math.ceil(from / step - 1e-9); t * step <= to + 1e-9; t++) {
      const x = ox + ux * t * step + 1e-9;
      const y = oy + uy * t * step + 1e-9;
      // Truncation is flooring here: both are at least 0. The last row and column carry no weight beyond themselves.
      let ix = x | 0;
      let iy = y | 0;
      let fx = x - ix;
      let fy = y - iy;
      if (fx < 1e-7) fx = 0;
      if (fy < 1e-7) fy = 0;
      if (ix >= nx - 1) {
        ix = nx - 1;
        fx = 0;
      }
      if (iy >= ny - 1) {
        iy = ny - 1;
        fy = 0;
      }
      const base = iy * nx + ix;
      const need = fx > 0 ? (fy > 0 ? ALL : RIGHT) : fy > 0 ? UP : SELF;
      const ok = quads[base]! & need;
      if (!ok) {
        if (length > 1) finish(length);
        length = 0;
        continue;
      }
      let h = heights[base]!;
      if (need === ALL) {
        const low = h + fx * (heights[base + 1]! - h);
        const top = heights[base + nx]!;
        h = low + fy * (top + fx * (heights[base + nx + 1]! - top) - low);
      } else if (need === RIGHT) h += fx * (heights[base + 1]! - h);
      else if (need === UP) h += fy * (heights[base + nx]! - h);
      if (length === 0) {
        run.xMm = grid.x0Mm + x * cellMm;
        run.yMm = grid.y0Mm + y * cellMm;
      }
      samples[length] = h;
      nearest[length] = base + (fx >= 0.5 ? 1 : 0) + (fy >= 0.5 ? nx : 0);
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
