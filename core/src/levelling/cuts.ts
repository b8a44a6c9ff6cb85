import type { FlatnessRule } from '../coverings/index.ts';
import {
  cellAt,
  CERTIFIED_DIRECTIONS,
  crownsAlong,
  edgeScratch,
  edgeSteps,
  gapsAlong,
  mayExceed,
  visitRuns,
  type Grid,
  type KeptRuns,
  type Run,
} from '../flat/index.ts';
import type { Carry } from './carry.ts';
import { changesOver, noteChanges, untouchedSince, type Changes } from './changes.ts';
import type { EdgeRow } from './rows.ts';

interface CutOptions {
  contactsOnly: boolean;
  toleranceMm: number;
  /** Of the certified directions every so many, and the one to begin with: rounds may share them out. */
  stride: number;
  first: number;
  /** No more rows than this are given back, the worst first. */
  most: number;
  /** Lines laid out before on this grid. */
  kept?: KeptRuns | undefined;
}

/** Straightedges found broken, and the worst excess over a rule, mm. */
interface BrokenCuts {
  cuts: Cut[];
  worstMm: number;
}

/** What was looked at before: lines over cells that have not changed since are passed over. */
interface Looked {
  changes: Changes;
  /** The change last looked at, mm; null before the first. */
  changeMm: Float64Array | null;
  /** Tick at which each rule's directions were last looked at; -1: never. */
  at: Int32Array;
}

export function nothingLooked(grid: Grid, rules: readonly FlatnessRule[]): Looked {
  return {
    changes: changesOver(grid),
    changeMm: null,
    at: new Int32Array(rules.length * CERTIFIED_DIRECTIONS).fill(-1),
  };
}

/** A cell that moved by less than this has not changed, mm. */
const SAME_MM = 1e-7;

/** A straightedge that breaks its rule, as samples along one run: middle, and the samples it is weighed against. */
export interface Cut {
  excessMm: number;
  ruleMm: number;
  xMm: number;
  yMm: number;
  /** Step along the run in mm, and the samples with their weights. */
  dxMm: number;
  dyMm: number;
  samples: [at: number, weight: number][];
  direction: number;
}

/**
 * Straightedges that a floor changed by `changeMm` breaks on its own fine grid, in the certificate's directions: what satisfies
 * the row of every such needs no mending (flatness definitions, sections 2 and 3).
 */
export function brokenCuts(
  grid: Grid,
  heights: Float64Array,
  changeMm: Float64Array,
  rules: readonly FlatnessRule[],
  options: CutOptions,
  looked: Looked = nothingLooked(grid, rules),
): BrokenCuts {
  const { changes, changeMm: held } = looked;
  if (held) noteChanges(changes, movedCells(held, changeMm));
  looked.changeMm = changeMm;
  const now = heights.map((z, cell) => z + changeMm[cell]!);
  const cuts: Cut[] = [];
  for (const [r, rule] of rules.entries()) {
    const { window, stepMm } = edgeSteps(rule.edgeMm, grid.cellMm);
    const scratch = edgeScratch(Math.ceil(Math.hypot(grid.nx, grid.ny) / (stepMm / grid.cellMm)) + 4);
    const limit = rule.gapMm + options.toleranceMm;
    for (let direction = options.first; direction < CERTIFIED_DIRECTIONS; direction += options.stride) {
      const slot = r * CERTIFIED_DIRECTIONS + direction;
      const before = looked.at[slot]!;
      looked.at[slot] = changes.clock;
      const wanted = (run: Run) => before < 0 || !untouchedSince(changes, run, before);
      const look = (run: Run) => {
        if (!mayExceed(run.heights, run.length, window, limit)) return;
        const take = (s: number, value: number, samples: [number, number][]) => {
          const { xMm, yMm, dxMm, dyMm } = run;
          cuts.push({
            excessMm: value - rule.gapMm,
            ruleMm: rule.gapMm,
            xMm: xMm + s * dxMm,
            yMm: yMm + s * dyMm,
            dxMm,
            dyMm,
            samples: samples.map(([at, weight]) => [at - s, weight]),
            direction,
          });
        };
        const n = run.length;
        gapsAlong(run.heights, n, window, scratch);
        eachWorst(scratch.gap, n, limit, (s) => {
          const [i, j] = [scratch.from[s]!, scratch.to[s]!];
          const u = (s - i) / (j - i);
          take(s, scratch.gap[s]!, [
            [s, -1],
            [i, 1 - u],
            [j, u],
          ]);
        });
        if (options.contactsOnly) return;
        crownsAlong(run.heights, n, window, scratch.crown);
        eachWorst(scratch.crown, n, limit, (s) => {
          const a = Math.min(window / 2, s, n - 1 - s);
          const [near, far] = [Math.floor(a), Math.ceil(a)];
          const ends: [number, number][] =
            near === far
              ? [
                  [s - a, -0.5],
                  [s + a, -0.5],
                ]
              : [s - near, s - far, s + near, s + far].map((at) => [at, -0.25]);
          take(s, scratch.crown[s]!, [[s, 1], ...ends]);
        });
      };
      visitRuns(grid, now, stepMm, direction, CERTIFIED_DIRECTIONS, look, { kept: options.kept, wanted });
    }
  }
  // What is broken is looked at again, whether or not a row for it was among the worst.
  noteChanges(
    changes,
    cuts.map(({ xMm, yMm }) => cellAt(grid, xMm, yMm)).filter((cell) => cell >= 0),
  );
  cuts.sort((a, b) => b.excessMm - a.excessMm);
  return { cuts: thinned(grid, cuts, options.most), worstMm: cuts[0]?.excessMm ?? 0 };
}

function movedCells(before: Float64Array, now: Float64Array): number[] {
  const cells: number[] = [];
  for (let cell = 0; cell < now.length; cell++) if (Math.abs(now[cell]! - before[cell]!) > SAME_MM) cells.push(cell);
  return cells;
}

/** The worst sample of each stretch over the limit. */
function eachWorst(values: Float64Array, n: number, limit: number, take: (s: number) => void): void {
  for (let s = 0; s < n; s++) {
    if (values[s]! <= limit) continue;
    let worst = s;
    for (; s < n && values[s]! > limit; s++) if (values[s]! > values[worst]!) worst = s;
    take(worst);
  }
}

/** How near two cuts of like direction may lie in one round, in cells: the worse one mends most of its neighbours. */
const APART_CELLS = 2;

function thinned(grid: Grid, cuts: readonly Cut[], most: number): Cut[] {
  const taken = new Set<number>();
  const [across, down] = [Math.ceil(grid.nx / APART_CELLS) + 2, Math.ceil(grid.ny / APART_CELLS) + 2];
  const kept: Cut[] = [];
  for (const cut of cuts) {
    const ix = Math.round((cut.xMm - grid.x0Mm) / grid.cellMm / APART_CELLS);
    const iy = Math.round((cut.yMm - grid.y0Mm) / grid.cellMm / APART_CELLS);
    const key = ((cut.direction * 2 + (cut.samples[0]![1] > 0 ? 1 : 0)) * down + iy) * across + ix;
    if (taken.has(key)) continue;
    taken.add(key);
    kept.push(cut);
    if (kept.length >= most) break;
  }
  return kept;
}

/** Where a sample lies among the cells: as lines are sampled, bilinear over the cells that carry weight. */
function cellsAbout(grid: Grid, xMm: number, yMm: number): [cell: number, weight: number][] {
  const x = Math.min(grid.nx - 1, Math.max(0, (xMm - grid.x0Mm) / grid.cellMm));
  const y = Math.min(grid.ny - 1, Math.max(0, (yMm - grid.y0Mm) / grid.cellMm));
  const [ix, iy] = [Math.floor(x + 1e-7), Math.floor(y + 1e-7)];
  const [fx, fy] = [Math.max(0, x - ix), Math.max(0, y - iy)];
  const about: [number, number][] = [];
  for (let corner = 0; corner < 4; corner++) {
    const weight = (corner & 1 ? fx : 1 - fx) * (corner >> 1 ? fy : 1 - fy);
    if (weight > 1e-6) about.push([(iy + (corner >> 1)) * grid.nx + ix + (corner & 1), weight]);
  }
  return about;
}

/** A straightedge's row, written for the nodes that a change of `heights` is carried from. */
export function cutRow(grid: Grid, heights: Float64Array, cut: Cut, { nodes, weights }: Carry): EdgeRow {
  const sum = new Map<number, number>();
  let limitMm = cut.ruleMm;
  for (const [at, share] of cut.samples) {
    for (const [cell, part] of cellsAbout(grid, cut.xMm + at * cut.dxMm, cut.yMm + at * cut.dyMm)) {
      limitMm -= share * part * heights[cell]!;
      for (let k = cell * 4; k < cell * 4 + 4; k++) {
        const node = nodes[k]!;
        if (node >= 0) sum.set(node, (sum.get(node) ?? 0) + share * part * weights[k]!);
      }
    }
  }
  const held = [...sum].filter(([, weight]) => Math.abs(weight) > 1e-9);
  return { cells: held.map(([node]) => node), weights: held.map(([, weight]) => weight), limitMm };
}
