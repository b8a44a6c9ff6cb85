import type { FlatnessRule } from '../coverings/index.ts';
import { restrict, type Grid, type KeptRuns } from '../flat/index.ts';
import { carried, carryOf, cellsOf, leastOf, type Carry } from './carry.ts';
import { coarsen, sampled, type Coarse } from './coarse.ts';
import { brokenCuts, cutRow, nothingLooked, type Cut } from './cuts.ts';
import {
  latticeProgramme,
  solveProgramme,
  tightened,
  type PlanLimits,
  type Programme,
  type ProgrammeOptions,
  type RowSource,
  type Solved,
} from './programme.ts';
import type { BrokenRows } from './rows.ts';
import { targetRows, type LevelTarget } from './targets.ts';

/** The floor a change is wanted for, and what holds it back. */
export interface WantedOn {
  grid: Grid;
  heights: Float64Array;
  rules: readonly FlatnessRule[];
  limits: PlanLimits;
  /** What a litre costs. */
  perL: { fill: number; grind: number };
  contactsOnly: boolean;
  targets: readonly LevelTarget[];
  /** Lines laid out on the grid. */
  kept: KeptRuns | undefined;
}

/** A programme solved on nodes, carried to the cells. */
interface OnNodes {
  solved: Solved;
  /** Fill less grinding of each cell, mm. */
  changeMm: Float64Array;
  /** Straightedges that were found broken on the way. */
  cuts: Cut[];
}

/** Rows taken in a round: more of them slow each solve, fewer take more rounds. */
const ROWS_A_ROUND = 500;
/** Rows along certified lines that a bound stands on. */
const PROVING_ROWS = 1500;
/** Excess over what is asked that the programme lets pass, mm: chasing it takes more rounds than all before. */
const LEFT_MM = 0.04;
/** The certified directions are shared out over so many rounds before all are asked at once. */
const SHARED_OVER = 3;
/** A straightedge this far within its rule is no matter for nodes nearer together, mm. */
const NEARLY_MM = 0.25;
/** Thinner than this a cell counts as left alone when nodes are set nearer together, mm. */
const MOVED_MM = 0.05;
/** Nodes nearer together are set this many beyond what was changed. */
const AROUND = 2;

/** Edges laid along nodes `every` cells apart that break a rule before anything is changed: what a programme on them begins with. */
export function firstEdges(floor: WantedOn, every: number): BrokenRows {
  const { inside, sources } = alongNodes(floor, coarsen(floor.grid, every));
  return sources[0]!(new Float64Array(inside.length), 0);
}

/** The programme over the nodes alone, with rows along their lattice. */
function alongNodes({ grid, heights, rules, limits, contactsOnly }: WantedOn, coarse: Coarse): Programme {
  // With the same margin as the rows that follow: with less, most of those would be broken by a hair and each be asked again.
  const asked = rules.map((rule) => ({ ...rule, gapMm: rule.gapMm - LEFT_MM }));
  return latticeProgramme(onFloor(coarse, grid), sampled(coarse, grid, heights), asked, limits, contactsOnly);
}

/**
 * The cheapest change carried from nodes `every` cells apart. Every row but the first few comes from the judgement grid in the
 * certificate's own directions, asked for so much more than is let pass that what it settles on keeps the whole rule. Null when
 * the limits of depth leave no solution. `begin`: the first edges, where they are known already.
 */
export function solveOnNodes(
  floor: WantedOn,
  every: number,
  options: ProgrammeOptions,
  begin?: BrokenRows,
): OnNodes | null {
  const coarse = coarsen(floor.grid, every);
  const carry = carryOf(coarse, floor.grid);
  return solveWith(
    floor,
    coarse,
    carry,
    coarse.grid.inside,
    options,
    [
      ...(begin ? [asSeeds(once(begin))] : []),
      targetRows(floor.targets, floor.heights, carry),
      ...alongNodes(floor, coarse).sources.map(asSeeds),
    ],
    true,
  );
}

/** Edges along nodes lie on no certified line: good to begin with, and no proof of anything. */
function asSeeds(source: RowSource): RowSource {
  return (change, round) => {
    const found = source(change, round);
    return { ...found, rows: found.rows.map((row) => ({ ...row, seed: true })) };
  };
}

/** Rows known beforehand, given in the first round. */
function once(rows: BrokenRows): RowSource {
  return (_, round) => (round === 0 ? rows : { rows: [], worstMm: 0 });
}

/**
 * The same from nodes nearer together, set only about what a first solution changed: begun with the straightedges that
 * first solution was held by. Null where that would take more nodes than `mostNodes`, or leaves no solution.
 */
export function refinedOnNodes(
  floor: WantedOn,
  first: OnNodes,
  every: number,
  mostNodes: number,
  options: ProgrammeOptions,
): OnNodes | null {
  const { grid, heights, targets } = floor;
  const coarse = coarsen(grid, every);
  const carry = carryOf(coarse, grid);
  const active = about(coarse, carry, first.changeMm);
  if (active.reduce((sum, on) => sum + on, 0) > mostNodes) return null;
  const from = sampled(coarse, grid, first.changeMm);
  const rows = first.cuts
    .map((cut) => cutRow(grid, heights, cut, carry))
    .filter(
      ({ cells, weights, limitMm }) =>
        cells.reduce((sum, node, i) => sum + weights[i]! * from[node]!, -limitMm) > -NEARLY_MM,
    );
  return solveWith(
    floor,
    coarse,
    carry,
    active,
    options,
    [once({ rows, worstMm: 0 }), targetRows(targets, heights, carry)],
    false,
  );
}

function solveWith(
  { grid, heights, rules, limits, perL, contactsOnly, kept }: WantedOn,
  coarse: Coarse,
  carry: Carry,
  inside: Uint8Array,
  options: ProgrammeOptions,
  first: readonly RowSource[],
  bounded: boolean,
): OnNodes | null {
  const tight = tightened(rules, LEFT_MM);
  const looked = nothingLooked(grid, tight);
  const cuts: Cut[] = [];
  const source =
    (stride: number): RowSource =>
    (change, round) => {
      const found = brokenCuts(
        grid,
        heights,
        carried(carry, change),
        tight,
        { contactsOnly, toleranceMm: LEFT_MM, stride, first: round % stride, most: ROWS_A_ROUND, kept },
        looked,
      );
      cuts.push(...found.cuts);
      return { rows: found.cuts.map((cut) => cutRow(grid, heights, cut, carry)), worstMm: found.worstMm };
    };
  const nearly = (change: Float64Array) =>
    brokenCuts(grid, heights, carried(carry, change), tight, {
      contactsOnly,
      toleranceMm: -NEARLY_MM,
      stride: 1,
      first: 0,
      most: PROVING_ROWS,
      kept,
    }).cuts.map((cut) => cutRow(grid, heights, cut, carry));
  const count = inside.length;
  const solved = solveProgramme(
    {
      inside,
      areaM2: cellsOf(carry, count).map((cells) => cells * grid.cellAreaM2),
      limits: { fillMm: leastOf(carry, limits.fillMm, count), grindMm: leastOf(carry, limits.grindMm, count) },
      marginMm: LEFT_MM,
      sources: [...first, source(SHARED_OVER), source(1)],
      ...(bounded && { nearly }),
    },
    perL,
    options,
  );
  if (!solved) return null;
  const changeMm = carried(
    carry,
    solved.fillMm.map((f, node) => f - solved.grindMm[node]!),
  );
  return { solved, changeMm, cuts };
}

/** Nodes that bear on a changed cell, and those about them. */
function about({ grid: { nx, ny, inside } }: Coarse, { nodes, weights }: Carry, changeMm: Float64Array): Uint8Array {
  let active = new Uint8Array(inside.length);
  for (let at = 0; at < nodes.length; at++)
    if (nodes[at]! >= 0 && weights[at]! > 1e-6 && Math.abs(changeMm[at >> 2]!) > MOVED_MM) active[nodes[at]!] = 1;
  for (let ring = 0; ring < AROUND; ring++) {
    const wider = active.slice();
    for (let node = 0; node < active.length; node++) {
      if (!active[node]) continue;
      const [ix, iy] = [node % nx, Math.floor(node / nx)];
      for (let y = Math.max(0, iy - 1); y <= Math.min(ny - 1, iy + 1); y++)
        for (let x = Math.max(0, ix - 1); x <= Math.min(nx - 1, ix + 1); x++) wider[y * nx + x] = inside[y * nx + x]!;
    }
    active = wider;
  }
  return active;
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
