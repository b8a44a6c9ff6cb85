import type { FlatnessRule } from '../coverings/index.ts';
import { edgeScratch, gapsAlong, type Grid } from '../flat/index.ts';
import { LATTICE, visitLattice, type LatticeRun } from './lattice.ts';

/**
 * One thing a straightedge demands of the change x = fill - grind, as a row of the programme: the sum of `weights` times x over
 * `cells` is at most `limitMm`.
 */
export interface EdgeRow {
  cells: number[];
  weights: number[];
  limitMm: number;
  /** It is told once only, so that the programme must not let go of it. */
  stays?: true;
  /** A first guess, along a line that no certificate looks at: nothing may be proved by it. */
  seed?: true;
}

export interface BrokenRows {
  rows: EdgeRow[];
  /** Worst excess over a rule, mm; 0 when none is broken. */
  worstMm: number;
}

/**
 * Rows that the heights `heights + change` break by more than `toleranceMm`, written for the unchanged heights: gaps between
 * two contacts no farther apart than the edge, and rocking on its middle unless only contacts count (flatness definitions,
 * sections 2 and 3). Of each stretch the worst sample and every second one.
 */
export function brokenRows(
  grid: Grid,
  heights: Float64Array,
  change: Float64Array,
  rules: readonly FlatnessRule[],
  { contactsOnly, toleranceMm }: { contactsOnly: boolean; toleranceMm: number },
): BrokenRows {
  const now = heights.map((z, cell) => z + change[cell]!);
  const found: BrokenRows = { rows: [], worstMm: 0 };
  const scratch = edgeScratch(Math.max(grid.nx, grid.ny) + 1);
  const excess = new Float64Array(scratch.gap.length);
  const take = (cells: number[], weights: number[], allowedMm: number) => {
    const limitMm = cells.reduce((left, cell, i) => left - weights[i]! * heights[cell]!, allowedMm);
    // Half an edge shorter than a step has its ends between its middle and the next node: a cell then counts more than once.
    const sum = new Map<number, number>();
    cells.forEach((cell, i) => sum.set(cell, (sum.get(cell) ?? 0) + weights[i]!));
    found.rows.push({ cells: [...sum.keys()], weights: [...sum.values()], limitMm });
  };
  for (const direction of LATTICE)
    visitLattice(grid, now, direction, (run) => {
      for (const rule of rules) {
        const window = Math.floor(rule.edgeMm / run.stepMm + 1e-9);
        if (window >= 2) {
          gapsAlong(run.heights, run.length, window, scratch);
          for (let s = 0; s < run.length; s++) excess[s] = scratch.gap[s]! - rule.gapMm;
          for (const s of picked(excess, run.length, toleranceMm)) {
            found.worstMm = Math.max(found.worstMm, excess[s]!);
            const [i, j] = [scratch.from[s]!, scratch.to[s]!];
            const u = (s - i) / (j - i);
            take([run.cells[i]!, run.cells[j]!, run.cells[s]!], [1 - u, u, -1], rule.gapMm);
          }
        }
        if (contactsOnly) continue;
        for (let s = 0; s < run.length; s++) excess[s] = rocking(run, s, rule.edgeMm) - rule.gapMm;
        for (const s of picked(excess, run.length, toleranceMm)) {
          found.worstMm = Math.max(found.worstMm, excess[s]!);
          const ends = freeEnds(run, s, rule.edgeMm);
          take([run.cells[s]!, ...ends.map(([at]) => run.cells[at]!)], [1, ...ends.map(([, w]) => -w)], rule.gapMm);
        }
      }
    });
  return found;
}

/** Nodes on which the two free ends of an edge balanced on node s lie, with their shares of the mean of both ends. */
function freeEnds(run: LatticeRun, s: number, edgeMm: number): [at: number, share: number][] {
  const a = Math.min(edgeMm / 2 / run.stepMm, s, run.length - 1 - s);
  const whole = Math.floor(a + 1e-9);
  const t = Math.max(0, a - whole);
  return t < 1e-9
    ? [
        [s - whole, 0.5],
        [s + whole, 0.5],
      ]
    : [
        [s - whole, 0.5 * (1 - t)],
        [s - whole - 1, 0.5 * t],
        [s + whole, 0.5 * (1 - t)],
        [s + whole + 1, 0.5 * t],
      ];
}

function rocking(run: LatticeRun, s: number, edgeMm: number): number {
  if (s === 0 || s === run.length - 1) return 0;
  return freeEnds(run, s, edgeMm).reduce((left, [at, share]) => left - share * run.heights[at]!, run.heights[s]!);
}

/** Of each stretch of samples over the tolerance the worst, and every second one from it. */
function picked(excess: Float64Array, n: number, toleranceMm: number): number[] {
  const out: number[] = [];
  for (let s = 0; s < n; s++) {
    if (excess[s]! <= toleranceMm) continue;
    let [end, worst] = [s, s];
    for (; end < n && excess[end]! > toleranceMm; end++) if (excess[end]! > excess[worst]!) worst = end;
    for (let k = s + ((worst - s) % 2); k < end; k += 2) out.push(k);
    s = end;
  }
  return out;
}
