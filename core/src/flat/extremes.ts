import type { FlatnessRule } from '../coverings/index.ts';
import { cellCentre, type Grid } from './grid.ts';
import type { GapMap } from './gap-map.ts';

/** A connected part of the floor over the rule. */
export interface Extreme {
  kind: 'high' | 'low';
  cells: number[];
  areaM2: number;
  /** Largest deviation in it, mm, and where. */
  worstMm: number;
  at: [number, number];
}

/** A cell is a high where edges rest on it more than this share of what lies open near it; a low the other way about. */
const NEAR_SHARE = 0.4;
/** A high rocks an edge by at least this share of the allowed gap; the rim of a pit, where edges also rest, does not. */
const ROCKING_SHARE = 0.25;
/** Cells with less than this share of the floor's largest are the fringe of a place, not a place. */
const FRINGE_SHARE = 0.003;
/** Places smaller than this are noise in the telling of highs from lows, m2. */
const SMALLEST_M2 = 0.03;

/** Largest value within `reach` samples either way along one row or column, for each of its samples (monotone queue). */
function runningMost(
  from: Float64Array,
  to: Float64Array,
  start: number,
  step: number,
  count: number,
  reach: number,
  queue: Int32Array,
): void {
  let [head, tail] = [0, 0];
  for (let k = 0; k < count + reach; k++) {
    if (k < count) {
      const value = from[start + k * step]!;
      while (tail > head && from[start + queue[tail - 1]! * step]! <= value) tail--;
      queue[tail++] = k;
    }
    const middle = k - reach;
    if (middle < 0) continue;
    while (queue[head]! < middle - reach) head++;
    to[start + middle * step] = from[start + queue[head]! * step]!;
  }
}

/** Largest value within `reach` cells either way, in a square: rows first, then columns. */
function nearbyMost(grid: Grid, values: Float64Array, reach: number): Float64Array {
  const { nx, ny } = grid;
  const rows = new Float64Array(values.length);
  const out = new Float64Array(values.length);
  const queue = new Int32Array(Math.max(nx, ny));
  for (let iy = 0; iy < ny; iy++) runningMost(values, rows, iy * nx, 1, nx, reach, queue);
  for (let ix = 0; ix < nx; ix++) runningMost(rows, out, ix, nx, ny, reach, queue);
  return out;
}

/**
 * 1 for a high, -1 for a low, 0 elsewhere. On a hump the edges all rest on a few cells and the open floor is spread about
 * them; over a pit it is the other way. So a cell's resting share is held against the largest open share within half an
 * edge, and its open share against the largest resting share: rims of a pit and flanks of a hump are then neither.
 */
export function highsAndLows(grid: Grid, map: GapMap, rule: FlatnessRule): Int8Array {
  const out = new Int8Array(map.gapShare.length);
  const reach = Math.round(rule.edgeMm / 2 / grid.cellMm);
  const openNear = nearbyMost(grid, map.gapShare, reach);
  const restNear = nearbyMost(grid, map.contactShare, reach);
  const fringe =
    FRINGE_SHARE * map.gapShare.reduce((most, value, cell) => Math.max(most, value, map.contactShare[cell]!), 0);
  for (let cell = 0; cell < out.length; cell++) {
    const [rest, open] = [map.contactShare[cell]!, map.gapShare[cell]!];
    const high =
      rest > fringe && rest > NEAR_SHARE * openNear[cell]! && map.crownMm[cell]! >= ROCKING_SHARE * rule.gapMm;
    const low = open > fringe && open > NEAR_SHARE * restNear[cell]!;
    if (high && (!low || rest > open)) out[cell] = 1;
    else if (low) out[cell] = -1;
  }
  return out;
}

/** Lows spread over all they lie open by more than the rule, so that their area is the floor's and not that of their core. */
function grown(grid: Grid, map: GapMap, rule: FlatnessRule, group: Int8Array): Int8Array {
  const open = group.map((kind, cell) => (kind !== 1 && map.gapMm[cell]! > rule.gapMm ? -1 : 0));
  const out = group.slice();
  for (const cells of components(grid, open))
    if (cells.some((cell) => group[cell] === -1)) for (const cell of cells) out[cell] = -1;
  return out;
}

/** Connected components (by shared sides) of cells for which `group` gives the same non-zero value. */
export function components(grid: Grid, group: ArrayLike<number>): number[][] {
  const seen = new Uint8Array(grid.nx * grid.ny);
  const found: number[][] = [];
  for (let seed = 0; seed < seen.length; seed++) {
    if (seen[seed] || !group[seed]) continue;
    const cells = [seed];
    seen[seed] = 1;
    for (let k = 0; k < cells.length; k++) {
      const cell = cells[k]!;
      const ix = cell % grid.nx;
      for (const next of [ix > 0 ? cell - 1 : -1, ix < grid.nx - 1 ? cell + 1 : -1, cell - grid.nx, cell + grid.nx]) {
        if (next < 0 || next >= seen.length || seen[next] || group[next] !== group[seed]) continue;
        seen[next] = 1;
        cells.push(next);
      }
    }
    found.push(cells);
  }
  return found;
}

/**
 * Highs and lows as places on the floor, worst first. A high's figure is the largest gap it holds an edge up by or rocks it by:
 * the worst placement resting on it; a low's is the largest gap over it.
 */
export function extremesOf(grid: Grid, map: GapMap, rule: FlatnessRule): Extreme[] {
  const group = grown(grid, map, rule, highsAndLows(grid, map, rule));
  const worstOn = new Float64Array(group.length);
  const raise = (x: number, y: number, value: number) => {
    const ix = Math.round((x - grid.x0Mm) / grid.cellMm);
    const iy = Math.round((y - grid.y0Mm) / grid.cellMm);
    const cell = Math.min(grid.ny - 1, Math.max(0, iy)) * grid.nx + Math.min(grid.nx - 1, Math.max(0, ix));
    worstOn[cell] = Math.max(worstOn[cell]!, value);
  };
  for (const p of map.over) {
    raise(p.at[0], p.at[1], p.valueMm);
    if (p.kind === 'gap') for (const contact of [p.from, p.to]) raise(contact[0], contact[1], p.valueMm);
  }
  return components(grid, group)
    .map((cells): Extreme => {
      let top = cells[0]!;
      for (const cell of cells) if (worstOn[cell]! > worstOn[top]!) top = cell;
      const at = cellCentre(grid, top);
      return {
        kind: group[top] === 1 ? 'high' : 'low',
        cells,
        areaM2: cells.length * grid.cellAreaM2,
        worstMm: worstOn[top]!,
        at: [at.xMm, at.yMm],
      };
    })
    .filter((extreme) => extreme.areaM2 >= SMALLEST_M2 && extreme.worstMm > 0)
    .sort((a, b) => b.worstMm - a.worstMm || b.areaM2 - a.areaM2);
}
