import type { FlatnessRule } from '../coverings/index.ts';
import { keptRuns, type Grid } from '../flat/index.ts';
import type { Certificate } from './certificate.ts';
import {
  amounts,
  better,
  certified,
  changeTo,
  finished,
  TIDY_SHARE,
  tidied,
  type Finished,
  type FloorPriced,
} from './finished.ts';
import { firstEdges, refinedOnNodes, solveOnNodes } from './on-nodes.ts';
import { leastHeights, type LevelTarget } from './targets.ts';
import { withoutCrumbs } from './tidy.ts';
import { trimmed } from './trim.ts';
import { litreRates, type PlanLimits, type PlanRates, type ProgrammeOptions } from './programme.ts';

/** A live plan follows every reading; a tighter one is asked for and waited for. */
export type Pace = 'live' | 'tighter';

interface MixedOptions extends Omit<ProgrammeOptions, 'mostRounds'> {
  contactsOnly: boolean;
  pace: Pace;
  /** Parts that are to come to a height. */
  targets?: readonly LevelTarget[];
}

export interface MixedChange extends Omit<Finished, 'keeps'> {
  certificates: Certificate[];
  /** Every certificate holds, no cell is filled deeper than its limit, and every target is met. */
  holds: boolean;
  /** Cost of the programme's own optimum on its nodes, by the linear rates, and how far apart those are. */
  boundCost: number;
  nodesMm: number;
  rounds: number;
  rows: number;
  settled: boolean;
}

/** The depth over which the charge for each m2 touched is spread in the programme, mm. */
const SPREAD_OVER_MM = 3;

/** The last fill mends what trimming took too much of: less is gained by more, and more to be mended. */
const BOLD = 1.6;
/** Distance between nodes in cells: of a live plan, of one for a floor that breaks its rules in few places, of a tighter one. */
const APART = { live: 4, few: 3, tighter: 2 };
/** A live plan stops here: later rounds take most of the time and less than one part in a hundred off the cost. */
const LIVE_ROUNDS = { live: 10, few: 13 };
/** Where no more edges than this are found broken at first, a programme is soon solved. */
const FEW_EDGES = 700;
/** More nodes than this at the tighter distance would take a live plan longer than they save. */
const REFINED_NODES_MOST = 700;
/** A second trimming takes off little: what the last fill left room for. */
const SECOND_ROUNDS = 2;
/** Where grinding takes a smaller share of the cost than this, filling alone is tried as well. */
const SMALL_GRIND_SHARE = 0.02;

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
  const { contactsOnly, pace, targets = [], shouldStop } = options;
  const perL = litreRates(rates, SPREAD_OVER_MM);
  const kept = keptRuns(grid);
  const floor: FloorPriced = { grid, heights, rules, limits, rates, perL, contactsOnly, targets, kept, shouldStop };
  const near = pace === 'live' ? firstEdges(floor, APART.few) : null;
  const few = near !== null && near.rows.length <= FEW_EDGES;
  const every = APART[few ? 'few' : pace];
  const paced = pace === 'live' ? { ...options, mostRounds: LIVE_ROUNDS[few ? 'few' : 'live'] } : options;
  const first = solveOnNodes(floor, every, paced, few ? near : undefined);
  if (!first) return null;
  const finer = pace === 'live' ? refinedOnNodes(floor, first, APART.tighter, REFINED_NODES_MOST, paced) : null;
  const { keeps, ...done } = certified(floor, leanPlan(floor, (finer ?? first).changeMm));
  const holds = keeps && done.certificates.every((certificate) => certificate.holds);
  const { boundCost, rounds, rows, settled } = first.solved;
  return { ...done, holds, boundCost, nodesMm: every * grid.cellMm, rounds, rows, settled };
}

/** A change from nodes as it will be done: trimmed, tidied, mended and priced; or filling alone where that is cheaper. */
function leanPlan(floor: FloorPriced, changeMm: Float64Array): Finished {
  const { grid, heights, rules, perL, contactsOnly, targets, kept } = floor;
  const leastMm = leastHeights(targets, grid.inside.length);
  const lean = (groundMm: Float64Array, fillMm: Float64Array, how: { bold?: number; rounds?: number }) =>
    changeTo(
      grid,
      heights,
      trimmed(grid, groundMm, fillMm, rules, { contactsOnly, ...how, leastMm, kept }).map(
        (f, cell) => groundMm[cell]! + f,
      ),
    );
  const least = lean(
    heights.map((z, cell) => z + Math.min(0, changeMm[cell]!)),
    changeMm.map((x, cell) => (grid.inside[cell] ? Math.max(0, x) : 0)),
    { bold: BOLD },
  );
  // Crumbs go before the last fill, which may leave a few of its own.
  let plan = tidied(floor, finished(floor, withoutCrumbs(grid, least) ?? least, null));
  if (plan.linearCost > 0 && plan.grindL * perL.grind <= plan.linearCost * SMALL_GRIND_SHARE) {
    const none = new Float64Array(grid.inside.length);
    plan = cheaper(plan, tidied(floor, finished(floor, { fillMm: none, grindMm: none }, null)));
  }
  const { fillL, grindL } = amounts(grid, least.fillMm, least.grindMm);
  if (!plan.keeps || plan.linearCost > (fillL * perL.fill + grindL * perL.grind) * (1 + TIDY_SHARE))
    plan = better(plan, finished(floor, least, null));
  // What the last fill raised may have left room elsewhere.
  const again = lean(
    heights.map((z, cell) => z - plan.grindMm[cell]!),
    plan.fillMm,
    { rounds: SECOND_ROUNDS },
  );
  const moved = Array.from(again.fillMm.keys()).filter((cell) => again.fillMm[cell] !== plan.fillMm[cell]);
  return cheaper(plan, finished(floor, again, moved));
}

/** The other where only it keeps all it should, or where it costs less and keeps as much. */
function cheaper(plan: Finished, other: Finished): Finished {
  return other.keeps && (!plan.keeps || other.linearCost < plan.linearCost) ? other : plan;
}
