import type { FlatnessRule } from '../coverings/index.ts';
import type { Grid } from '../flat/index.ts';
import { brokenRows, type BrokenRows, type EdgeRow } from './rows.ts';
import type { LinearModel, OpenModel } from './solver.ts';

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
  /** Nothing that keeps the rules on these nodes can be cheaper: the optimum less what the margins asked for cost. */
  boundCost: number;
  rounds: number;
  rows: number;
  /** False when it was stopped, or ran out of rounds, before every edge was satisfied. */
  settled: boolean;
}

export interface ProgrammeOptions {
  open: OpenModel;
  /** Told after each round: rounds done, rows, and the worst excess left, mm. */
  progress?: (told: { rounds: number; rows: number; worstMm: number }) => void;
  shouldStop?: () => boolean;
  /** Rounds after which what is left broken goes to the last fill. */
  mostRounds?: number;
}

/** The rule is asked for less this, and met within this, mm: arithmetic, not a safety margin. */
export const PROGRAMME_TOLERANCE_MM = 0.005;
const MOST_ROUNDS = 60;
/** A row with no more room than this at a solution may hold it, mm. */
const NEARLY_MM = 0.3;
/** A bound under this share of the cost says little: so many more rounds are spent on it. */
const WORTH_SAYING = 0.9;
const PROOF_ROUNDS = 3;

/** Cost of a litre with the charge for each m2 spread over a depth: the programme is linear, the charge is not. */
export function litreRates(rates: PlanRates, spreadOverMm: number): { fill: number; grind: number } {
  return {
    fill: rates.fillPerL + rates.touchPerM2 / spreadOverMm,
    grind: rates.grindPerL + rates.touchPerM2 / spreadOverMm,
  };
}

/** Looks for rows that a change at the nodes breaks; none: this source is content. */
export type RowSource = (changeMm: Float64Array, round: number) => BrokenRows;

/** What is solved: nodes with the floor each stands for, how far each may go, and where rows come from, in turn. */
export interface Programme {
  inside: Uint8Array;
  /** Floor that each node stands for, m2. */
  areaM2: Float64Array;
  limits: PlanLimits;
  /** How much more than the rule its rows ask for, besides the tolerance, mm. */
  marginMm: number;
  /** The next is asked when the one before is content; the last decides. */
  sources: readonly RowSource[];
  /**
   * Where the sources begin with guesses: rows along certified lines that a change all but breaks. With those found before, they
   * are what a bound stands on.
   */
  nearly?: (changeMm: Float64Array) => readonly EdgeRow[];
}

/** The programme over a grid's own cells, with rows along its lattice. */
export function latticeProgramme(
  grid: Grid,
  heights: Float64Array,
  rules: readonly FlatnessRule[],
  limits: PlanLimits,
  contactsOnly: boolean,
): Programme {
  const tight = tightened(rules);
  return {
    inside: grid.inside,
    areaM2: Float64Array.from(grid.inside, (on) => on * grid.cellAreaM2),
    limits,
    marginMm: 0,
    sources: [
      (change) => brokenRows(grid, heights, change, tight, { contactsOnly, toleranceMm: PROGRAMME_TOLERANCE_MM }),
    ],
  };
}

/** Rules asked for less the tolerance they are met within. */
export function tightened(rules: readonly FlatnessRule[], marginMm = 0): FlatnessRule[] {
  return rules.map((rule) => ({ ...rule, gapMm: rule.gapMm - PROGRAMME_TOLERANCE_MM - marginMm }));
}

/**
 * The cheapest fill and grinding that keeps every rule (flatness definitions, section 3): a linear programme over the nodes
 * with a row for each straightedge that would be broken, added until none is. `rates` are for a litre of each. Null when the
 * limits leave no solution.
 */
export function solveProgramme(
  { inside, areaM2, limits, marginMm, sources, nearly }: Programme,
  rates: { fill: number; grind: number },
  options: ProgrammeOptions,
): Solved | null {
  // Fill of each node inside first, then its grinding.
  const nodes = Array.from(inside.keys()).filter((node) => inside[node]);
  const column = new Int32Array(inside.length).fill(-1);
  nodes.forEach((node, i) => (column[node] = i));
  const cost = Float64Array.from(
    [rates.fill, rates.grind].flatMap((rate) => nodes.map((node) => areaM2[node]! * rate)),
  );
  const upper = Float64Array.from(
    [limits.fillMm, limits.grindMm].flatMap((limit) => nodes.map((node) => limit[node]!)),
  );
  const open = () => options.open(cost, new Float64Array(cost.length), upper);
  const change = new Float64Array(inside.length);
  const [fillMm, grindMm] = [new Float64Array(inside.length), new Float64Array(inside.length)];
  let [boundCost, rounds, rows] = [0, 0, 0];
  const sure: EdgeRow[] = [];
  /** Adds rows until the sources are content; null where nothing satisfies them. */
  const settle = (model: LinearModel): boolean | null => {
    let source = 0;
    while (rounds < (options.mostRounds ?? MOST_ROUNDS) && source < sources.length && !options.shouldStop?.()) {
      const broken = sources[source]!(change, rounds);
      if (broken.rows.length === 0) {
        source++;
        continue;
      }
      options.progress?.({ rounds, rows, worstMm: broken.worstMm });
      rounds++;
      rows += broken.rows.length;
      sure.push(...broken.rows.filter((row) => !row.seed));
      // What leans on guesses proves nothing.
      if (!take(model, broken.rows, nearly === undefined)) return null;
    }
    return source >= sources.length;
  };
  const take = (model: LinearModel, more: readonly EdgeRow[], proving: boolean): boolean => {
    model.addRows(more.map((row) => onColumns(row, column, nodes.length)));
    const solved = model.solve();
    if (!solved) return false;
    // The duals satisfy the programme without the margins too: what they price those at is taken off.
    if (proving) boundCost = Math.max(boundCost, solved.cost - solved.price * (marginMm + PROGRAMME_TOLERANCE_MM));
    nodes.forEach((node, i) => {
      fillMm[node] = solved.values[i]!;
      grindMm[node] = solved.values[nodes.length + i]!;
      change[node] = fillMm[node]! - grindMm[node]!;
    });
    return true;
  };
  const costOf = () =>
    nodes.reduce((sum, node, i) => sum + cost[i]! * fillMm[node]! + cost[nodes.length + i]! * grindMm[node]!, 0);
  return using(open(), (model) => {
    const settled = settle(model);
    if (settled === null) return null;
    const found = () => ({ fillMm, grindMm, boundCost, rounds, rows, settled });
    if (!nearly || rounds === 0 || options.shouldStop?.()) return found();
    // The solution leaned on guesses along lines that no certificate looks at: what it costs proves nothing.
    const [fill, grind, leaned] = [fillMm.slice(), grindMm.slice(), costOf()];
    return using(open(), (proof) => {
      const near = sure.filter((row) => row.stays || slackOf(row, change) < NEARLY_MM);
      if (!take(proof, [...near, ...nearly(change)], true)) return null;
      for (let more = 0; more < PROOF_ROUNDS && boundCost < leaned * WORTH_SAYING; more++)
        if (!take(proof, nearly(change), true)) return null;
      return { ...found(), fillMm: fill, grindMm: grind };
    });
  });
}

function slackOf({ cells, weights, limitMm }: EdgeRow, change: Float64Array): number {
  return cells.reduce((left, cell, i) => left - weights[i]! * change[cell]!, limitMm);
}

function using<T>(model: LinearModel, work: (model: LinearModel) => T): T {
  try {
    return work(model);
  } finally {
    model.close();
  }
}

/** A row over nodes rewritten for the unknowns; nodes that are none stay as they are. */
function onColumns({ cells, weights, ...row }: EdgeRow, column: Int32Array, count: number): EdgeRow {
  const known = cells.map((cell, i) => [column[cell]!, weights[i]!] as const).filter(([at]) => at >= 0);
  return {
    cells: [...known.map(([at]) => at), ...known.map(([at]) => count + at)],
    weights: [...known.map(([, w]) => w), ...known.map(([, w]) => -w)],
    ...row,
  };
}
