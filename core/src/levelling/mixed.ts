import type { FlatnessRule } from '../coverings/index.ts';
import { CERTIFIED_DIRECTIONS, type Grid } from '../flat/index.ts';
import { certify, type Certificate } from './certificate.ts';
import { coarsen, refined, sampled } from './coarse.ts';
import { smallestFill } from './fill.ts';
import { trimmed } from './trim.ts';
import {
  litreRates,
  solveProgramme,
  type Change,
  type PlanLimits,
  type PlanRates,
  type ProgrammeOptions,
} from './programme.ts';

export interface MixedOptions extends ProgrammeOptions {
  /** Cells of the programme, as multiples of the judgement grid's: 4 for the live plan, 2 to make it tighter. */
  every: number;
}

export interface MixedChange extends Change {
  certificates: Certificate[];
  /** Every certificate holds, and no cell is filled deeper than its limit. */
  holds: boolean;
  /** Priced by `rates`, the charge for each m2 touched included. */
  cost: number;
  /** Litres and area of both. */
  fillL: number;
  grindL: number;
  touchedM2: number;
  /** Cost of the programme's own optimum on its grid, and what the plan costs by the same linear rates. */
  boundCost: number;
  linearCost: number;
  rounds: number;
  rows: number;
  settled: boolean;
}

/** The depth over which the charge for each m2 touched is spread in the programme, mm. */
const SPREAD_OVER_MM = 3;
/** Thinner than this is not touched, mm: a trowel's scrape. */
const TOUCHED_MM = 0.05;

/**
 * Fill and grinding mixed at the least cost: the programme on a coarser grid, carried to the judgement grid, and mended there at
 * 36 directions until every edge of every rule is satisfied (flatness definitions, section 3). Null when the limits of depth
 * leave no solution, or when stopped.
 */
export function mixedChange(
  grid: Grid,
  heights: Float64Array,
  rules: readonly FlatnessRule[],
  rates: PlanRates,
  limits: PlanLimits,
  options: MixedOptions,
): MixedChange | null {
  const coarse = coarsen(grid, options.every);
  const perL = litreRates(rates, SPREAD_OVER_MM);
  const solved = solveProgramme(
    coarse.grid,
    sampled(coarse, grid, heights),
    rules,
    perL,
    { fillMm: least(coarse.grid, grid, limits.fillMm), grindMm: least(coarse.grid, grid, limits.grindMm) },
    options,
  );
  if (!solved || options.shouldStop?.()) return null;
  const grindMm = refined(coarse, grid, solved.grindMm).map((g, cell) =>
    g > TOUCHED_MM ? Math.min(g, limits.grindMm[cell]!) : 0,
  );
  const ground = heights.map((z, cell) => z - grindMm[cell]!);
  const raised = raise(grid, ground, refined(coarse, grid, solved.fillMm), rules, options);
  const spare = trimmed(grid, ground, raised, rules, options.contactsOnly);
  const now = raise(grid, ground, spare, rules, options).map((f, cell) => ground[cell]! + f);
  const certificates = rules.map((rule) => certify(grid, now, rule, options.contactsOnly));
  const fill = now.map((z, cell) => (grid.inside[cell] ? Math.max(0, z - heights[cell]!) : 0));
  const grind = now.map((z, cell) => (grid.inside[cell] ? Math.max(0, heights[cell]! - z) : 0));
  const sums = amounts(grid, fill, grind);
  return {
    fillMm: fill,
    grindMm: grind,
    certificates,
    // Mending raises without asking how deep a place may be: where it went too far the plan does not stand.
    holds: certificates.every((c) => c.holds) && fill.every((f, cell) => f <= limits.fillMm[cell]! + TOUCHED_MM),
    ...sums,
    cost: sums.fillL * rates.fillPerL + sums.grindL * rates.grindPerL + sums.touchedM2 * rates.touchPerM2,
    linearCost: sums.fillL * perL.fill + sums.grindL * perL.grind,
    boundCost: solved.boundCost,
    rounds: solved.rounds,
    rows: solved.rows,
    settled: solved.settled,
  };
}

/** Litres added and taken off, and the area touched by either. */
export function amounts(grid: Grid, fillMm: Float64Array, grindMm: Float64Array) {
  let [fillL, grindL, touched] = [0, 0, 0];
  for (let cell = 0; cell < fillMm.length; cell++) {
    if (!grid.inside[cell]) continue;
    fillL += fillMm[cell]!;
    grindL += grindMm[cell]!;
    if (fillMm[cell]! > TOUCHED_MM || grindMm[cell]! > TOUCHED_MM) touched++;
  }
  return { fillL: fillL * grid.cellAreaM2, grindL: grindL * grid.cellAreaM2, touchedM2: touched * grid.cellAreaM2 };
}

/** The smallest limit of the fine cells under each large one: what is kept there is kept everywhere. */
function least(coarse: Grid, fine: Grid, limitMm: Float64Array): Float64Array {
  const out = new Float64Array(coarse.inside.length).fill(Infinity);
  for (let cell = 0; cell < limitMm.length; cell++) {
    if (!fine.inside[cell]) continue;
    const ix = Math.round((fine.x0Mm + (cell % fine.nx) * fine.cellMm - coarse.x0Mm) / coarse.cellMm);
    const iy = Math.round((fine.y0Mm + Math.floor(cell / fine.nx) * fine.cellMm - coarse.y0Mm) / coarse.cellMm);
    const at = Math.min(coarse.ny - 1, Math.max(0, iy)) * coarse.nx + Math.min(coarse.nx - 1, Math.max(0, ix));
    out[at] = Math.min(out[at]!, limitMm[cell]!);
  }
  return out;
}

/** A fill raised until every edge is satisfied on the fine grid. */
function raise(
  grid: Grid,
  ground: Float64Array,
  fillMm: Float64Array,
  rules: readonly FlatnessRule[],
  { contactsOnly, shouldStop }: MixedOptions,
): Float64Array {
  const from = ground.map((z, cell) => z + fillMm[cell]!);
  const more = smallestFill(grid, from, rules, CERTIFIED_DIRECTIONS, shouldStop, !contactsOnly);
  return fillMm.map((f, cell) => f + more.fillMm[cell]!);
}
