import type { Said } from '../said/index.ts';
import type { Carry } from './carry.ts';
import type { RowSource } from './programme.ts';
import type { EdgeRow } from './rows.ts';

/** A part of the floor that is to come to a height: at a threshold, a stair, under a tray. */
export interface LevelTarget {
  id: string;
  name: Said;
  cells: number[];
  /** Height over the datum, and how far off it is taken, mm. */
  levelMm: number;
  toleranceMm: number;
  /** Mean height there now, mm over the datum. */
  nowMm: number;
}

/** Met within this beyond the tolerance, mm: arithmetic, and the last fill's hundredths. */
const BEYOND_MM = 0.05;

/** Rows that hold every cell of the targets to its height (flatness definitions, section 3: |z + x - target| <= tol), asked once. */
export function targetRows(targets: readonly LevelTarget[], heights: Float64Array, carry: Carry): RowSource {
  let asked = false;
  return () => {
    if (asked || targets.length === 0) return { rows: [], worstMm: 0 };
    asked = true;
    const rows: EdgeRow[] = [];
    for (const { cells, levelMm, toleranceMm } of targets)
      for (const cell of cells) {
        const about = [0, 1, 2, 3].flatMap((k) => {
          const [node, weight] = [carry.nodes[cell * 4 + k]!, carry.weights[cell * 4 + k]!];
          return node >= 0 && weight > 1e-9 ? [{ node, weight }] : [];
        });
        const nodes = about.map(({ node }) => node);
        const needMm = levelMm - heights[cell]!;
        rows.push({
          cells: nodes,
          weights: about.map(({ weight }) => weight),
          limitMm: needMm + toleranceMm,
          stays: true,
        });
        rows.push({
          cells: nodes,
          weights: about.map(({ weight }) => -weight),
          limitMm: toleranceMm - needMm,
          stays: true,
        });
      }
    return { rows, worstMm: Math.max(...targets.map(({ levelMm, nowMm }) => Math.abs(levelMm - nowMm))) };
  };
}

/** Whether a floor comes to all its targets. */
export function targetsMet(targets: readonly LevelTarget[], after: Float64Array): boolean {
  return targets.every(({ cells, levelMm, toleranceMm }) =>
    cells.every((cell) => Math.abs(after[cell]! - levelMm) <= toleranceMm + BEYOND_MM),
  );
}

/** The least height of each cell that its target allows, mm over the datum: nothing may be taken off below it. */
export function leastHeights(targets: readonly LevelTarget[], count: number): Float64Array {
  const least = new Float64Array(count).fill(-Infinity);
  for (const { cells, levelMm, toleranceMm } of targets)
    for (const cell of cells) least[cell] = Math.max(least[cell]!, levelMm - toleranceMm);
  return least;
}
