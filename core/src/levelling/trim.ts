import type { FlatnessRule } from '../coverings/index.ts';
import {
  CERTIFIED_DIRECTIONS,
  crownsAlong,
  edgeScratch,
  edgeSteps,
  gapsAlong,
  visitRuns,
  type Grid,
  type Run,
} from '../flat/index.ts';

/** A fourth round takes off less than one part in a hundred. */
const ROUNDS = 3;

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
  contactsOnly: boolean,
  /** Heights that no cell may come under, mm over the datum. */
  leastMm?: Float64Array,
): Float64Array {
  const fill = fillMm.slice();
  for (let round = 0; round < ROUNDS; round++) {
    const now = ground.map((z, cell) => z + fill[cell]!);
    const spare = fill.map((f, cell) =>
      grid.inside[cell] ? Math.max(0, Math.min(f, ground[cell]! + f - (leastMm?.[cell] ?? -Infinity))) : 0,
    );
    const keep = (cell: number, room: number) => {
      if (room < spare[cell]!) spare[cell] = Math.max(0, room);
    };
    for (const rule of rules) {
      const { window, stepMm } = edgeSteps(rule.edgeMm, grid.cellMm);
      const scratch = edgeScratch(Math.ceil(Math.hypot(grid.nx, grid.ny) / (stepMm / grid.cellMm)) + 4);
      for (let direction = 0; direction < CERTIFIED_DIRECTIONS; direction++)
        visitRuns(grid, now, stepMm, direction, CERTIFIED_DIRECTIONS, (run) => {
          // A line over nothing that could be taken off holds nothing back.
          if (!anySpare(run, spare)) return;
          gapsAlong(run.heights, run.length, window, scratch);
          for (let s = 0; s < run.length; s++)
            keep(run.cells[s]!, rule.gapMm - below(run.heights, s, run.length, window, scratch.gap[s]!));
          if (contactsOnly) return;
          crownsAlong(run.heights, run.length, window, scratch.crown);
          for (let s = 1; s < run.length - 1; s++) {
            const a = Math.ceil(Math.min(window / 2, s, run.length - 1 - s));
            keep(run.cells[s - a]!, rule.gapMm - scratch.crown[s]!);
            keep(run.cells[s + a]!, rule.gapMm - scratch.crown[s]!);
          }
        });
    }
    let most = 0;
    for (let cell = 0; cell < fill.length; cell++) {
      most = Math.max(most, spare[cell]!);
      fill[cell] = fill[cell]! - spare[cell]!;
    }
    if (most < 0.01) break;
  }
  return fill;
}

function anySpare({ cells, length }: Run, spare: Float64Array): boolean {
  for (let s = 0; s < length; s++) if (spare[cells[s]!]! > 0) return true;
  return false;
}

/**
 * How far a sample lies under the best chord over it: its gap where there is one, and less than nothing where it stands above its
 * neighbours and may come down that much before a gap begins.
 */
function below(heights: Float64Array, s: number, n: number, window: number, gapMm: number): number {
  if (gapMm > 0 || s === 0 || s === n - 1 || window < 2) return gapMm;
  return (heights[s - 1]! + heights[s + 1]!) / 2 - heights[s]!;
}
