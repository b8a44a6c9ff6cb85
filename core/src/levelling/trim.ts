import type { FlatnessRule } from '../coverings/index.ts';
import {
  CERTIFIED_DIRECTIONS,
  crownsAlong,
  edgeScratch,
  edgeSteps,
  gapsAlong,
  keptRuns,
  visitRuns,
  type Grid,
  type KeptRuns,
  type Run,
} from '../flat/index.ts';

const ROUNDING_MM = 1e-6;
/** Later rounds take off less than one part in a hundred. */
const MOST_ROUNDS = 4;

interface TrimOptions {
  contactsOnly: boolean;
  /**
   * How many times what is sure to hold all but the last round take off: what a place rests on comes down with it, so that its
   * room grows. With more than 1 a last fill has to mend where that went wrong.
   */
  bold?: number;
  /** No more rounds than this. */
  rounds?: number;
  /** Heights that no cell may come under, mm over the datum. */
  leastMm?: Float64Array | undefined;
  /** Lines laid out before on this grid. */
  kept?: KeptRuns | undefined;
}

/**
 * A fill with what no edge asks for taken off again. Lowering a place by no more than its own gap is under the rule breaks no
 * gap, however many are lowered together, for contacts only go down with it; lowering the free ends of an edge by no more than
 * its rocking is under the rule breaks no rocking. Fill and heights in mm.
 */
export function trimmed(
  grid: Grid,
  ground: Float64Array,
  fillMm: Float64Array,
  rules: readonly FlatnessRule[],
  { contactsOnly, bold = 1, rounds = MOST_ROUNDS, leastMm, kept = keptRuns(grid) }: TrimOptions,
): Float64Array {
  const { nx } = grid;
  const fill = fillMm.slice();
  for (let round = 0; round < rounds; round++) {
    const now = ground.map((z, cell) => z + fill[cell]!);
    const allowed = fill.map((f, cell) =>
      grid.inside[cell] ? Math.max(0, Math.min(f, ground[cell]! + f - (leastMm?.[cell] ?? -Infinity))) : 0,
    );
    const spare = allowed.slice();
    // A sample comes down by no more than the most of the cells that carry it: each of them is held.
    const hold = ({ base, fx, fy }: Run, first: number, last: number, room: Float64Array, from: number) => {
      for (let s = first; s <= last; s++) {
        const least = room[s - from]! > 0 ? room[s - from]! : 0;
        const cell = base[s]!;
        const [right, up] = [fx[s]! > 0, fy[s]! > 0];
        if (least < spare[cell]!) spare[cell] = least;
        if (right && least < spare[cell + 1]!) spare[cell + 1] = least;
        if (up && least < spare[cell + nx]!) spare[cell + nx] = least;
        if (right && up && least < spare[cell + nx + 1]!) spare[cell + nx + 1] = least;
      }
    };
    for (const rule of rules) {
      // Trimmed to the very rule, rounding alone would set the last fill off.
      const mostMm = rule.gapMm - ROUNDING_MM;
      const { window, stepMm } = edgeSteps(rule.edgeMm, grid.cellMm);
      const scratch = edgeScratch(Math.ceil(Math.hypot(grid.nx, grid.ny) / (stepMm / grid.cellMm)) + 4);
      const room = new Float64Array(scratch.gap.length);
      const ask = (run: Run) => {
        const [first, last] = spareOn(run, spare);
        // Only what could be taken off is asked about, and an edge over it reaches no farther than one length.
        const from = Math.max(0, first - window);
        const n = Math.min(run.length, last + window + 1) - from;
        const heights = run.heights.subarray(from, from + n);
        gapsAlong(heights, n, window, scratch);
        for (let s = 0; s < n; s++) room[s] = mostMm - below(heights, s, n, window, scratch.gap[s]!);
        if (!contactsOnly) {
          crownsAlong(heights, n, window, scratch.crown);
          for (let s = 1; s < n - 1; s++) {
            const a = Math.ceil(Math.min(window / 2, s, n - 1 - s));
            const ends = mostMm - scratch.crown[s]!;
            if (ends < room[s - a]!) room[s - a] = ends;
            if (ends < room[s + a]!) room[s + a] = ends;
          }
        }
        hold(run, first, last, room, from);
      };
      for (let direction = 0; direction < CERTIFIED_DIRECTIONS; direction++)
        visitRuns(grid, now, stepMm, direction, CERTIFIED_DIRECTIONS, ask, {
          kept,
          // A line over nothing that could be taken off holds nothing back.
          wanted: (run) => anySpare(run, spare),
        });
    }
    let most = 0;
    for (let cell = 0; cell < fill.length; cell++) {
      most = Math.max(most, spare[cell]!);
      fill[cell] = fill[cell]! - Math.min(allowed[cell]!, spare[cell]! * (round < rounds - 1 ? bold : 1));
    }
    if (most < 0.01) break;
  }
  return fill;
}

function anySpare({ cells, length }: Run, spare: Float64Array): boolean {
  for (let s = 0; s < length; s++) if (spare[cells[s]!]! > 0) return true;
  return false;
}

/** Cells a sample's own cell may lie from one that carries part of it, in samples. */
const BESIDE = 2;

/** First and last sample over what could be taken off, with those beside them; asked of lines that have some. */
function spareOn({ cells, length }: Run, spare: Float64Array): [first: number, last: number] {
  let [first, last] = [0, length - 1];
  while (spare[cells[first]!]! <= 0) first++;
  while (spare[cells[last]!]! <= 0) last--;
  return [Math.max(0, first - BESIDE), Math.min(length - 1, last + BESIDE)];
}

/**
 * How far a sample lies under the best chord over it: its gap where there is one, and less than nothing where it stands above its
 * neighbours and may come down that much before a gap begins.
 */
function below(heights: Float64Array, s: number, n: number, window: number, gapMm: number): number {
  if (gapMm > 0 || s === 0 || s === n - 1 || window < 2) return gapMm;
  return (heights[s - 1]! + heights[s + 1]!) / 2 - heights[s]!;
}
