import { mendBetween } from './between.ts';
import { certify, type Certificate } from './certificate.ts';
import { smallestFill } from './fill.ts';
import type { WantedOn } from './on-nodes.ts';
import type { Change, PlanRates } from './programme.ts';
import { targetsMet } from './targets.ts';
import { withoutCrumbs } from './tidy.ts';
import type { Grid } from '../flat/index.ts';

/** A floor to be changed, and what the change is paid by. */
export interface FloorPriced extends WantedOn {
  rates: PlanRates;
  shouldStop?: (() => boolean) | undefined;
}

/** A change as it will be done, priced. */
export interface Finished extends Change {
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

/** Thinner than this is not touched, mm: a trowel's scrape. */
const TOUCHED_MM = 0.05;
/** A plan without crumbs may be dearer by this share: setting up for each is not priced. */
export const TIDY_SHARE = 0.03;

/**
 * A change with what it leaves over the rules filled, and priced. `changed` are the cells in which it differs from a change that
 * kept the rules; null: anything may be broken.
 */
export function finished(floor: FloorPriced, change: Change, changed: readonly number[] | null): Finished {
  const { grid, heights, rules, contactsOnly, kept, shouldStop } = floor;
  const after = heights.map((z, cell) => z + change.fillMm[cell]! - change.grindMm[cell]!);
  const last = smallestFill(grid, after, rules, { rocking: !contactsOnly, changed, shouldStop, kept });
  // The last fill asks nothing of limits: it is a matter of hundredths unless the programme was stopped.
  return priced(
    floor,
    after.map((z, cell) => z + last.fillMm[cell]!),
    last.settled || shouldStop?.() === true,
  );
}

/** A change that brings the floor to some heights, priced. */
function priced(
  { grid, heights, limits, rates, perL, targets }: FloorPriced,
  now: Float64Array,
  settled: boolean,
): Finished {
  const { fillMm, grindMm } = changeTo(grid, heights, now);
  const sums = amounts(grid, fillMm, grindMm);
  return {
    fillMm,
    grindMm,
    keeps: settled && fillMm.every((f, cell) => f <= limits.fillMm[cell]! + TOUCHED_MM) && targetsMet(targets, now),
    ...sums,
    cost: sums.fillL * rates.fillPerL + sums.grindL * rates.grindPerL + sums.touchedM2 * rates.touchPerM2,
    linearCost: sums.fillL * perL.fill + sums.grindL * perL.grind,
  };
}

/** A finished change mended between the lines it was made on, within its limits, and certified. */
export function certified(floor: FloorPriced, plan: Finished): Finished & { certificates: Certificate[] } {
  const { grid, heights, rules, limits, contactsOnly, targets, kept, shouldStop } = floor;
  const after = heights.map((z, cell) => z + plan.fillMm[cell]! - plan.grindMm[cell]!);
  const mostMm = heights.map((z, cell) => z + limits.fillMm[cell]!);
  for (const { cells, levelMm, toleranceMm } of targets)
    for (const cell of cells) mostMm[cell] = Math.min(mostMm[cell]!, levelMm + toleranceMm);
  const mended = mendBetween(grid, after, rules, { contactsOnly, mostMm, kept, shouldStop });
  return {
    ...priced(floor, mended.heights, plan.keeps),
    certificates: rules.map((rule, r) =>
      certify(grid, mended.heights, rule, contactsOnly, { between: mended.left[r]!, kept }),
    ),
  };
}

/** The same without its crumbs, unless those are worth more than tidiness. */
export function tidied(floor: FloorPriced, plan: Finished): Finished {
  const crumbs = withoutCrumbs(floor.grid, plan);
  return crumbs ? better(finished(floor, crumbs, crumbs.left), plan) : plan;
}

/** The tidy plan, unless only the other keeps all it should or it is cheaper by more than tidiness is worth. */
export function better(tidy: Finished, other: Finished): Finished {
  return other.keeps && (!tidy.keeps || tidy.linearCost > other.linearCost * (1 + TIDY_SHARE)) ? other : tidy;
}

/** What takes a floor from some heights to others. */
export function changeTo(grid: Grid, from: Float64Array, to: Float64Array): Change {
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
