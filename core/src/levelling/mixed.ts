import type { FlatnessRule } from '../coverings/index.ts';
import { CERTIFIED_DIRECTIONS, keptRuns, type Grid } from '../flat/index.ts';
import { certify, type Certificate } from './certificate.ts';
import { smallestFill } from './fill.ts';
import { refinedOnNodes, solveOnNodes, type WantedOn } from './on-nodes.ts';
import { leastHeights, targetsMet, type LevelTarget } from './targets.ts';
import { withoutCrumbs } from './tidy.ts';
import { trimmed } from './trim.ts';
import { litreRates, type Change, type PlanLimits, type PlanRates, type ProgrammeOptions } from './programme.ts';

export interface MixedOptions extends ProgrammeOptions {
  contactsOnly: boolean;
  /** Distance between nodes of the programme in cells of the judgement grid: 4 for the live plan, 2 to make it tighter. */
  every: number;
  /** Parts that are to come to a height. */
  targets?: readonly LevelTarget[];
}

/** A change as it will be done, priced. */
interface Finished extends Change {
  /** The last fill left nothing to mend, no cell is filled deeper than its limit, and every target is met. */
  keeps: boolean;
  /** Priced by `rates`, the charge for each m2 touched included. */
  cost: number;
  /** Litres and area of both. */
  fillL: number;
  grindL: number;
  touchedM2: number;
  /** By the programme's linear rates, the charge for each m2 spread over a depth. */
  linearCost: number;
}

export interface MixedChange extends Omit<Finished, 'keeps'> {
  certificates: Certificate[];
  /** Every certificate holds, no cell is filled deeper than its limit, and every target is met. */
  holds: boolean;
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

/** The last fill mends what trimming took too much of: less is gained by more, and more to be mended. */
const BOLD = 1.6;
/** A plan without crumbs may be dearer by this share: setting up for each is not priced. */
const TIDY_SHARE = 0.03;
/** Nodes are set nearer together where the change is, but no nearer than this many cells. */
const FINEST_EVERY = 2;
/** More of them would take longer than they save. */
const REFINED_NODES_MOST = 700;

/**
 * Fill and grinding mixed at the least cost (flatness definitions, section 3). The change is carried from nodes farther apart
 * than the cells, and nearer together where it is small, but every row comes from the judgement grid in the certificate's own
 * directions, so that the programme's solution all but holds as it stands. What no edge asks for between the nodes is taken off,
 * and what is left over filled. Null when the limits of depth leave no solution.
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
  const perL = litreRates(rates, SPREAD_OVER_MM);
  const kept = keptRuns(grid);
  const floor: WantedOn = { grid, heights, rules, limits, perL, contactsOnly, targets, kept };
  const first = solveOnNodes(floor, options.every, options);
  if (!first) return null;
  const nearer = options.every / 2;
  const finer = nearer >= FINEST_EVERY ? refinedOnNodes(floor, first, nearer, REFINED_NODES_MOST, options) : null;
  const change = (finer ?? first).changeMm;
  const ground = heights.map((z, cell) => z + Math.min(0, change[cell]!));
  const raised = change.map((x, cell) => (grid.inside[cell] ? Math.max(0, x) : 0));
  const leastMm = leastHeights(targets, grid.inside.length);
  const lean = trimmed(grid, ground, raised, rules, { contactsOnly, bold: BOLD, leastMm, kept }).map(
    (f, cell) => ground[cell]! + f,
  );
  const finish = (change: Change, changed: readonly number[] | null): Finished => {
    const { shouldStop } = options;
    const after = heights.map((z, cell) => z + change.fillMm[cell]! - change.grindMm[cell]!);
    const last = smallestFill(grid, after, rules, { rocking: !contactsOnly, changed, shouldStop, kept });
    const now = after.map((z, cell) => z + last.fillMm[cell]!);
    const { fillMm, grindMm } = changeTo(grid, heights, now);
    const sums = amounts(grid, fillMm, grindMm);
    return {
      fillMm,
      grindMm,
      // The last fill asks nothing of limits: it is a matter of hundredths unless the programme was stopped.
      keeps:
        (last.settled || shouldStop?.() === true) &&
        fillMm.every((f, cell) => f <= limits.fillMm[cell]! + TOUCHED_MM) &&
        targetsMet(targets, now),
      ...sums,
      cost: sums.fillL * rates.fillPerL + sums.grindL * rates.grindPerL + sums.touchedM2 * rates.touchPerM2,
      linearCost: sums.fillL * perL.fill + sums.grindL * perL.grind,
    };
  };
  const least = changeTo(grid, heights, lean);
  // Crumbs go before the last fill, which may leave a few of its own.
  let plan = finish(withoutCrumbs(grid, least) ?? least, null);
  const crumbs = withoutCrumbs(grid, plan);
  if (crumbs) plan = better(finish(crumbs, crumbs.left), plan);
  const { fillL, grindL } = amounts(grid, least.fillMm, least.grindMm);
  if (!plan.keeps || plan.linearCost > (fillL * perL.fill + grindL * perL.grind) * (1 + TIDY_SHARE))
    plan = better(plan, finish(least, null));
  const { boundCost, rounds, rows, settled } = first.solved;
  const { keeps, ...done } = plan;
  const after = heights.map((z, cell) => z + plan.fillMm[cell]! - plan.grindMm[cell]!);
  const certificates = rules.map((rule) => certify(grid, after, rule, contactsOnly, CERTIFIED_DIRECTIONS, kept));
  const holds = keeps && certificates.every((certificate) => certificate.holds);
  return { ...done, certificates, holds, boundCost, rounds, rows, settled };
}

/** The tidy plan, unless only the other keeps all it should or it is cheaper by more than tidiness is worth. */
function better(tidy: Finished, other: Finished): Finished {
  return other.keeps && (!tidy.keeps || tidy.linearCost > other.linearCost * (1 + TIDY_SHARE)) ? other : tidy;
}

/** What takes a floor from some heights to others. */
function changeTo(grid: Grid, from: Float64Array, to: Float64Array): Change {
  const change = (sign: 1 | -1) => from.map((z, cell) => (grid.inside[cell] ? Math.max(0, sign * (to[cell]! - z)) : 0));
  return { fillMm: change(1), grindMm: change(-1) };
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
