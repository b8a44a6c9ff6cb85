import type { FlatnessRule } from '../coverings/index.ts';
import type { Grid } from '../flat/index.ts';
import { brokenRows, type EdgeRow } from './rows.ts';
import type { OpenModel } from './solver.ts';

/** What a litre costs; money in the job's own currency. */
export interface PlanRates {
  fillPerL: number;
  grindPerL: number;
  /** For each m2 that is touched at all: priming, keying, setting up. */
  touchPerM2: number;
}

/** How much each cell may be raised and lowered, mm. Infinity: no limit; 0: not at all. */
export interface PlanLimits {
  fillMm: Float64Array;
  grindMm: Float64Array;
}

export interface Change {
  /** Thickness added and taken off in each cell, mm. Never both in one cell. */
  fillMm: Float64Array;
  grindMm: Float64Array;
}

export interface Solved extends Change {
  /** Cost of the programme's optimum: nothing under the same rows can be cheaper. */
  boundCost: number;
  rounds: number;
  rows: number;
  /** False when it was stopped, or ran out of rounds, before every edge was satisfied. */
  settled: boolean;
}

export interface ProgrammeOptions {
  open: OpenModel;
  contactsOnly: boolean;
  /** Told after each round: rounds done, rows, and the worst excess left, mm. */
  progress?: (told: { rounds: number; rows: number; worstMm: number }) => void;
  shouldStop?: () => boolean;
}

/** The rule is asked for less this, and met within this, mm: arithmetic, not a safety margin. */
export const PROGRAMME_TOLERANCE_MM = 0.005;
const MOST_ROUNDS = 60;

/** Cost of a litre with the charge for each m2 spread over a depth: the programme is linear, the charge is not. */
export function litreRates(rates: PlanRates, spreadOverMm: number): { fill: number; grind: number } {
  return {
    fill: rates.fillPerL + rates.touchPerM2 / spreadOverMm,
    grind: rates.grindPerL + rates.touchPerM2 / spreadOverMm,
  };
}

/**
 * The cheapest fill and grinding that keeps every rule (flatness definitions, section 3): a linear programme over the cells
 * with a row for each straightedge that would be broken, added until none is. `rates` are for a litre of each. Null when the
 * limits leave no solution.
 */
export function solveProgramme(
  grid: Grid,
  heights: Float64Array,
  rules: readonly FlatnessRule[],
  rates: { fill: number; grind: number },
  limits: PlanLimits,
  options: ProgrammeOptions,
): Solved | null {
  // Fill of each cell inside first, then its grinding.
  const cells = Array.from(grid.inside.keys()).filter((cell) => grid.inside[cell]);
  const column = new Int32Array(grid.inside.length);
  cells.forEach((cell, i) => (column[cell] = i));
  const cost = Float64Array.from([rates.fill, rates.grind].flatMap((rate) => cells.map(() => grid.cellAreaM2 * rate)));
  const upper = Float64Array.from(
    [limits.fillMm, limits.grindMm].flatMap((limit) => cells.map((cell) => limit[cell]!)),
  );
  const tight = rules.map((rule) => ({ ...rule, gapMm: rule.gapMm - PROGRAMME_TOLERANCE_MM }));
  const model = options.open(cost, new Float64Array(cost.length), upper);
  try {
    const change = new Float64Array(heights.length);
    let [boundCost, rounds, rows, settled] = [0, 0, 0, false];
    for (; rounds < MOST_ROUNDS && !options.shouldStop?.(); rounds++) {
      const broken = brokenRows(grid, heights, change, tight, {
        contactsOnly: options.contactsOnly,
        toleranceMm: PROGRAMME_TOLERANCE_MM,
      });
      options.progress?.({ rounds, rows, worstMm: broken.worstMm });
      if (broken.rows.length === 0) {
        settled = true;
        break;
      }
      rows += broken.rows.length;
      model.addRows(broken.rows.map((row) => onColumns(row, column, cells.length)));
      const solved = model.solve();
      if (!solved) return null;
      boundCost = solved.cost;
      cells.forEach((cell, i) => (change[cell] = solved.values[i]! - solved.values[cells.length + i]!));
    }
    return {
      fillMm: change.map((x) => Math.max(0, x)),
      grindMm: change.map((x) => Math.max(0, -x)),
      boundCost,
      rounds,
      rows,
      settled,
    };
  } finally {
    model.close();
  }
}

/** A row over cells rewritten for the unknowns. */
function onColumns({ cells, weights, limitMm }: EdgeRow, column: Int32Array, count: number): EdgeRow {
  return {
    cells: [...cells.map((cell) => column[cell]!), ...cells.map((cell) => count + column[cell]!)],
    weights: [...weights, ...weights.map((w) => -w)],
    limitMm,
  };
}
