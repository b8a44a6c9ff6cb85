import type { Grid } from './grid.ts';
import { along, CENTRED, layRuns, mostSamples, groundOf, type Ground, type LaidRun, type Lie } from './lay-lines.ts';

/** A straight run of samples inside the room, one step apart, along one direction. Buffers are used again: copy what is kept. */
export interface Run extends LaidRun {
  heights: Float64Array;
  /** Direction index k of the angle pi k / directions. */
  direction: number;
  /** The step between samples on the plan, mm. */
  dxMm: number;
  dyMm: number;
}

/** What is kept of a grid's lines for work that goes over them many times. */
export interface KeptRuns extends Ground {
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
  return { ...groundOf(grid), laid: grid.inside.length <= KEPT_CELLS_MOST ? new Map() : null };
}

/** What every direction over a grid needs: its lines are laid out anew each time. */
export function passingRuns(grid: Grid): KeptRuns {
  return { ...groundOf(grid), laid: null };
}

interface RunsOptions {
  /** Lines laid out before on the same grid, and those laid out now. */
  kept?: KeptRuns | undefined;
  /** Asked before a run's heights are taken; what is not wanted is passed over. */
  wanted?: (run: Run) => boolean;
  /** How the lines lie; centred where nothing else is asked for. */
  lie?: Lie;
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
  { kept = passingRuns(grid), wanted, lie = CENTRED }: RunsOptions = {},
): void {
  const unit = along(direction, directions);
  const take = runTaker(grid, heights, stepMm, unit, direction, visit, wanted);
  if (!kept.laid || lie.near) return layRuns(grid, kept, stepMm, direction, directions, lie, take);
  const key = `${stepMm} ${direction}/${directions} ${lie.acrossCells} ${lie.from}`;
  let held = kept.laid.get(key);
  if (!held) {
    const laid: LaidRun[] = [];
    layRuns(grid, kept, stepMm, direction, directions, lie, (one) => laid.push(copied(one)));
    kept.laid.set(key, (held = laid));
  }
  for (const laid of held) take(laid);
}

/** Takes the heights under laid runs of one direction and shows each; what is not wanted is passed over. */
export function runTaker(
  grid: Grid,
  heights: Float64Array,
  stepMm: number,
  [ux, uy]: readonly [number, number],
  direction: number,
  visit: (run: Run) => void,
  wanted?: (run: Run) => boolean,
): (laid: LaidRun) => void {
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
  return (laid) => {
    Object.assign(run, laid);
    if (wanted && !wanted(run)) return;
    sample(laid, heights, grid.nx, run.heights);
    visit(run);
  };
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

/** A laid run of its own: the one a pen hands on is used again. */
export function copied({ length, base, fx, fy, cells, xMm, yMm }: LaidRun): LaidRun {
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
