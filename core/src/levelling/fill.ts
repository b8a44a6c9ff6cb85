import type { FlatnessRule } from '../coverings/index.ts';
import {
  CERTIFIED_DIRECTIONS,
  edgeSteps,
  keptRuns,
  visitRuns,
  edgeScratch,
  type Grid,
  type KeptRuns,
  type Run,
} from '../flat/index.ts';

import { askEdge } from './ask-edge.ts';
import { changesOver, noteChanges, untouchedSince } from './changes.ts';

/** Gaps closer to the limit than this count as met, mm: arithmetic, not a safety margin. */
const FILL_TOLERANCE_MM = 0.004;
const MOST_ROUNDS = 400;

interface Fill {
  /** Thickness to add in each cell, mm. */
  fillMm: Float64Array;
  rounds: number;
  /** False when stopped early by `shouldStop` or the bound on rounds. */
  settled: boolean;
}

interface FillOptions {
  directions?: number;
  /** Raises the free ends of edges that rock too far as well. */
  rocking?: boolean;
  /** Cells that were changed on a floor that kept its rules before: only lines over them are asked at first. */
  changed?: readonly number[] | null;
  shouldStop?: (() => boolean) | undefined;
  /** Lines laid out before on this grid. */
  kept?: KeptRuns | undefined;
}

/**
 * The smallest fill with which no edge of any rule leaves more than its gap (flatness definitions, section 3).
 * Repeats f += max(0, gap - T), direction by direction, until nothing changes: every step stays at or under the least
 * solution, so what it settles on is that solution. With `rocking` the free ends of an edge that rocks too far are raised as
 * well, the lower one first and to no more than the height of its middle less the gap; the cell nearest to an end is the one
 * that rises. There is no smallest fill against rocking: this is one that settles, not the least.
 */
export function smallestFill(
  grid: Grid,
  heights: Float64Array,
  rules: readonly FlatnessRule[],
  {
    directions = CERTIFIED_DIRECTIONS,
    rocking = false,
    changed = null,
    shouldStop,
    kept = keptRuns(grid),
  }: FillOptions = {},
): Fill {
  const filled = heights.slice();
  const rise = new Float64Array(filled.length);
  // A line asks for more only where something under it has risen since it was last asked.
  const changes = changesOver(grid);
  const asked = new Int32Array(rules.length * directions).fill(changed ? 0 : -1);
  noteChanges(changes, changed ?? []);
  let rounds = 0;
  let settled = false;
  for (; rounds < MOST_ROUNDS; rounds++) {
    if (shouldStop?.()) break;
    let raised = false;
    for (const [r, rule] of rules.entries()) {
      const { window, stepMm } = edgeSteps(rule.edgeMm, grid.cellMm);
      const scratch = edgeScratch(Math.ceil(Math.hypot(grid.nx, grid.ny) / (stepMm / grid.cellMm)) + 4);
      const asking = { window, overMm: rule.gapMm, targetMm: rule.gapMm - FILL_TOLERANCE_MM / 2, rocking };
      for (let direction = 0; direction < directions; direction++) {
        const slot = r * directions + direction;
        const before = asked[slot]!;
        if (before === changes.clock) continue;
        asked[slot] = changes.clock;
        const touched: number[] = [];
        const ask = (run: Run) =>
          askEdge(run, asking, scratch, (s, by) => {
            const cell = run.cells[s]!;
            if (by <= rise[cell]!) return;
            if (rise[cell] === 0) touched.push(cell);
            rise[cell] = by;
          });
        const wanted = (run: Run) => before < 0 || !untouchedSince(changes, run, before);
        visitRuns(grid, filled, stepMm, direction, directions, ask, { kept, wanted });
        for (const cell of touched) {
          filled[cell] = filled[cell]! + rise[cell]!;
          rise[cell] = 0;
        }
        noteChanges(changes, touched);
        if (touched.length > 0) raised = true;
      }
    }
    if (!raised) {
      settled = true;
      break;
    }
  }
  return { fillMm: filled.map((value, cell) => (grid.inside[cell] ? value - heights[cell]! : 0)), rounds, settled };
}
