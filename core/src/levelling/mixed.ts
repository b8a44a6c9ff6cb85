import type { FlatnessRule } from '../coverings/index.ts';
import { CERTIFIED_DIRECTIONS, restrict, type Grid } from '../flat/index.ts';
import { carried, carryOf, cellsOf, leastOf } from './carry.ts';
import { certify, type Certificate } from './certificate.ts';
import { coarsen, sampled, type Coarse } from './coarse.ts';
import { brokenCuts, nothingLooked } from './cuts.ts';
import { smallestFill } from './fill.ts';
import { leastHeights, targetRows, targetsMet, type LevelTarget } from './targets.ts';
import { withoutCrumbs } from './tidy.ts';
import { trimmed } from './trim.ts';
import {
  latticeProgramme,
  litreRates,
  solveProgramme,
  tightened,
  type Change,
  type PlanLimits,
  type PlanRates,
  type ProgrammeOptions,
} from './programme.ts';

export interface MixedOptions extends ProgrammeOptions {
  contactsOnly: boolean;
  /** Distance between nodes of the programme in cells of the judgement grid: 4 for the live plan, 2 to make it tighter. */
  every: number;
  /** Parts that are to come to a height. */
  targets?: readonly LevelTarget[];
}

/** A change as it will be done: certified and priced. */
interface Finished extends Change {
  certificates: Certificate[];
  /** Every certificate holds, no cell is filled deeper than its limit, and every target is met. */
  holds: boolean;
  /** Priced by `rates`, the charge for each m2 touched included. */
  cost: number;
  /** Litres and area of both. */
  fillL: number;
  grindL: number;
  touchedM2: number;
  /** By the programme's linear rates, the charge for each m2 spread over a depth. */
  linearCost: number;
}

export interface MixedChange extends Finished {
  /** Cost of the programme's own optimum on its nodes, by the linear rates. */
  boundCost: number;
  rounds: number;
  rows: number;
  settled: boolean;
}

/** The depth over which the charge for each m2 touched is spread in the programme, mm. */
const SPREAD_OVER_MM = 3;
/** Thinner than this is not touched, mm: a trowel's scrape. */
const TOUCHED_MM = 0.05;

/** A plan without crumbs may be dearer by this share: setting up for each is not priced. */
const TIDY_SHARE = 0.03;
/** Rows taken in a round: more of them slow each solve, fewer take more rounds. */
const ROWS_A_ROUND = 500;
/** Excess that the programme leaves to the last fill, mm: chasing it takes more rounds than all before. */
const LEFT_MM = 0.04;
/** The certified directions are shared out over so many rounds before all are asked at once. */
const SHARED_OVER = 3;

/**
 * Fill and grinding mixed at the least cost (flatness definitions, section 3). The change is carried from nodes farther apart
 * than the cells, but every row comes from the judgement grid in the certificate's own directions, so that the programme's
 * solution all but holds as it stands. What no edge asks for between the nodes is taken off, and what is left over filled. Null when the limits of depth leave no solution.
 */
export function mixedChange(
  grid: Grid,
  heights: Float64Array,
  rules: readonly FlatnessRule[],
  rates: PlanRates,
  limits: PlanLimits,
  options: MixedOptions,
): MixedChange | null {
  const { contactsOnly, targets = [] } = options;
  const coarse = coarsen(grid, options.every);
  const carry = carryOf(coarse, grid);
  const count = coarse.grid.inside.length;
  const perL = litreRates(rates, SPREAD_OVER_MM);
  // Where nothing may be filled the last fill has no say: there the programme itself has to keep the whole rule.
  const everywhere = limits.fillMm.every((mm, cell) => !grid.inside[cell] || mm > LEFT_MM);
  const tight = tightened(rules, everywhere ? 0 : LEFT_MM);
  const looked = nothingLooked(grid, tight);
  const cuts = (change: Float64Array, stride: number, first: number) =>
    brokenCuts(
      grid,
      heights,
      carried(carry, change),
      tight,
      carry,
      { contactsOnly, toleranceMm: LEFT_MM, stride, first, most: ROWS_A_ROUND },
      looked,
    );
  const solved = solveProgramme(
    {
      inside: coarse.grid.inside,
      areaM2: cellsOf(carry, count).map((cells) => cells * grid.cellAreaM2),
      limits: { fillMm: leastOf(carry, limits.fillMm, count), grindMm: leastOf(carry, limits.grindMm, count) },
      sources: [
        targetRows(targets, heights, carry),
        ...latticeProgramme(onFloor(coarse, grid), sampled(coarse, grid, heights), rules, limits, contactsOnly).sources,
        (change, round) => cuts(change, SHARED_OVER, round % SHARED_OVER),
        (change) => cuts(change, 1, 0),
      ],
    },
    perL,
    options,
  );
  if (!solved) return null;
  const change = carried(
    carry,
    solved.fillMm.map((f, node) => f - solved.grindMm[node]!),
  );
  const ground = heights.map((z, cell) => z + Math.min(0, change[cell]!));
  const raised = change.map((x, cell) => (grid.inside[cell] ? Math.max(0, x) : 0));
  const leastMm = leastHeights(targets, grid.inside.length);
  const lean = trimmed(grid, ground, raised, rules, contactsOnly, leastMm).map((f, cell) => ground[cell]! + f);
  const finish = (after: Float64Array, changed: readonly number[] | null): Finished => {
    const rocking = !contactsOnly;
    const { fillMm: last } = smallestFill(
      grid,
      after,
      rules,
      CERTIFIED_DIRECTIONS,
      options.shouldStop,
      rocking,
      changed,
    );
    const now = after.map((z, cell) => z + last[cell]!);
    const certificates = rules.map((rule) => certify(grid, now, rule, contactsOnly));
    const fillMm = now.map((z, cell) => (grid.inside[cell] ? Math.max(0, z - heights[cell]!) : 0));
    const grindMm = now.map((z, cell) => (grid.inside[cell] ? Math.max(0, heights[cell]! - z) : 0));
    const sums = amounts(grid, fillMm, grindMm);
    return {
      fillMm,
      grindMm,
      certificates,
      // The last fill asks nothing of limits: it is a matter of hundredths unless the programme was stopped.
      holds:
        certificates.every((c) => c.holds) &&
        fillMm.every((f, cell) => f <= limits.fillMm[cell]! + TOUCHED_MM) &&
        targetsMet(targets, now),
      ...sums,
      cost: sums.fillL * rates.fillPerL + sums.grindL * rates.grindPerL + sums.touchedM2 * rates.touchPerM2,
      linearCost: sums.fillL * perL.fill + sums.grindL * perL.grind,
    };
  };
  const whole = finish(lean, null);
  const swept = withoutCrumbs(grid, whole);
  const tidy =
    swept &&
    finish(
      heights.map((z, cell) => z + swept.fillMm[cell]! - swept.grindMm[cell]!),
      swept.left,
    );
  const kept = tidy?.holds && tidy.linearCost <= whole.linearCost * (1 + TIDY_SHARE) ? tidy : whole;
  const { boundCost, rounds, rows, settled } = solved;
  return { ...kept, boundCost, rounds, rows, settled };
}

/** The larger grid with only those nodes that stand on the floor: a line may run over these alone. */
function onFloor({ grid, every, offset }: Coarse, fine: Grid): Grid {
  return restrict(
    grid,
    grid.inside.map((_, node) => {
      const ix = Math.round(offset[0] + every * (node % grid.nx));
      const iy = Math.round(offset[1] + every * Math.floor(node / grid.nx));
      return ix < 0 || iy < 0 || ix >= fine.nx || iy >= fine.ny ? 0 : fine.inside[iy * fine.nx + ix]!;
    }),
  );
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
