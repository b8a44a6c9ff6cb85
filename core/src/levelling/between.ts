import type { FlatnessRule } from '../coverings/index.ts';
import {
  edgeScratch,
  edgeSteps,
  fitLines,
  passingRuns,
  passOf,
  runTaker,
  visitRuns,
  type Grid,
  type KeptRuns,
  type Part,
  type Run,
} from '../flat/index.ts';
import { askEdge } from './ask-edge.ts';
import { changesOver, noteChanges, untouchedSince, type Changes } from './changes.ts';
import { smallestFill } from './fill.ts';

/** What lines that nobody mended by show of a floor under one rule: the certificate between its own lines. */
export interface BetweenLines {
  /** Looks turned and shifted against one another; after the last of them nothing was changed. */
  passes: number;
  /** False when it was stopped before as many looks as are wanted had found nothing: then nothing is proved. */
  sure: boolean;
  /** The worst gap and rocking in the last looks, which found nothing, and on lines across corners, mm. */
  worstGapMm: number;
  worstCrownMm: number;
}

interface MendOptions {
  contactsOnly: boolean;
  /** How high each cell may come, mm over the datum. */
  mostMm?: Float64Array | undefined;
  kept?: KeptRuns | undefined;
  shouldStop?: (() => boolean) | undefined;
}

/** Between its lines a floor may be over its rule by this, mm: less is chased round and round by hundredths. */
const LET_PASS_MM = 0.03;
/** What is mended comes to this much under the rule, mm. */
const AIM_UNDER_MM = 0.02;
const MOST_PASSES = 40;
/** Looks without a change after which a floor is taken as sure. */
const QUIET_PASSES = 3;
const MOST_ROUNDS = 60;

/**
 * Mends heights until lines that were never mended by keep the rules too: passes turned and shifted against each other, and lines
 * across corners on which an edge just fits. All cells that carry a sample rise, in the least way that lifts the sample; after
 * each pass the certificate's own lines are brought back to the rule itself. Heights and result in mm.
 */
export function mendBetween(
  grid: Grid,
  heights: Float64Array,
  rules: readonly FlatnessRule[],
  { contactsOnly, mostMm, kept, shouldStop }: MendOptions,
): { heights: Float64Array; left: BetweenLines[] } {
  let now = heights.slice();
  const changes = changesOver(grid);
  const floor = rules.map((rule) => ruleOn(grid, rule, contactsOnly));
  let [quiet, passes] = [0, 0];
  let looks: Worst[][] = [];
  for (; quiet < QUIET_PASSES && !shouldStop?.(); passes++) {
    const began = changes.clock;
    const mending = passes < MOST_PASSES;
    const seen = floor.map((on) => on.pass(now, passes, mending ? { changes, mostMm } : null));
    if (changes.clock > began) {
      // Each round asks the lines over what rose since the round before began.
      for (let round = 1, since = began; round < MOST_ROUNDS; round++) {
        const at = changes.clock;
        for (const on of floor) on.pass(now, passes, { changes, mostMm, since });
        if (changes.clock === at) break;
        since = at;
      }
      const { fillMm } = smallestFill(grid, now, rules, {
        rocking: !contactsOnly,
        changed: changedSince(changes, began),
        kept,
      });
      now = now.map((z, cell) => z + fillMm[cell]!);
      [quiet, looks] = [0, []];
    } else {
      if (passes > 0) quiet++;
      looks.push(seen);
    }
  }
  return {
    heights: now,
    left: rules.map((_, r) => ({
      passes,
      sure: quiet >= QUIET_PASSES,
      worstGapMm: Math.max(0, ...looks.map((seen) => seen[r]!.gapMm)),
      worstCrownMm: Math.max(0, ...looks.map((seen) => seen[r]!.crownMm)),
    })),
  };
}

/** The same looks over a floor that is not to be changed. */
export function lookBetween(
  grid: Grid,
  heights: Float64Array,
  rule: FlatnessRule,
  contactsOnly: boolean,
): BetweenLines {
  const on = ruleOn(grid, rule, contactsOnly);
  const seen = Array.from({ length: QUIET_PASSES }, (_, k) => on.pass(heights, k + 1, null));
  return {
    passes: QUIET_PASSES,
    sure: true,
    worstGapMm: Math.max(...seen.map(({ gapMm }) => gapMm)),
    worstCrownMm: Math.max(...seen.map(({ crownMm }) => crownMm)),
  };
}

interface Worst {
  gapMm: number;
  crownMm: number;
}

/** What is raised by a pass: everything it finds broken, or what has changed since a tick. */
interface Mending {
  changes: Changes;
  mostMm?: Float64Array | undefined;
  since?: number;
}

function changedSince({ at }: Changes, tick: number): number[] {
  return Array.from(at.keys()).filter((cell) => at[cell]! > tick);
}

/** Looks over a floor by one rule, and mends it. */
function ruleOn(grid: Grid, rule: FlatnessRule, contactsOnly: boolean) {
  const { window, stepMm } = edgeSteps(rule.edgeMm, grid.cellMm);
  const scratch = edgeScratch(Math.ceil(Math.hypot(grid.nx, grid.ny) / (stepMm / grid.cellMm)) + 6);
  const ground = passingRuns(grid);
  const fits = fitLines(grid, ground, rule.edgeMm, stepMm);
  const rise = new Float64Array(grid.inside.length);
  const asking = {
    window,
    overMm: rule.gapMm + LET_PASS_MM,
    targetMm: rule.gapMm - AIM_UNDER_MM,
    rocking: !contactsOnly,
  };
  const lookingFor = { ...asking, mayMm: rule.gapMm };
  return {
    /** One look over every line of a pass and those across corners: the worst as it was before anything of its line was raised. */
    pass(now: Float64Array, k: number, mending: Mending | null): Worst {
      const worst = { gapMm: 0, crownMm: 0 };
      const looking = mending?.since === undefined;
      let touched: number[] = [];
      const show = (run: Run) => {
        const weighed = askEdge(run, looking ? lookingFor : asking, scratch, (s, by) => {
          if (!mending) return;
          const about = carriers(grid, run, s).filter(
            ([cell]) => !mending?.mostMm || now[cell]! < mending.mostMm[cell]!,
          );
          const squares = about.reduce((sum, [, w]) => sum + w * w, 0);
          for (const [cell, w] of about) {
            const up = (by * w) / squares;
            if (up <= rise[cell]!) continue;
            if (rise[cell] === 0) touched.push(cell);
            rise[cell] = up;
          }
        });
        if (!weighed || !looking) return;
        for (let s = 0; s < run.length; s++) {
          if (scratch.gap[s]! > worst.gapMm) worst.gapMm = scratch.gap[s]!;
          if (!contactsOnly && scratch.crown[s]! > worst.crownMm) worst.crownMm = scratch.crown[s]!;
        }
      };
      const risen = () => {
        if (!mending || touched.length === 0) return;
        for (const cell of touched) {
          now[cell] = Math.min(now[cell]! + rise[cell]!, mending.mostMm?.[cell] ?? Infinity);
          rise[cell] = 0;
        }
        noteChanges(mending.changes, touched);
        touched = [];
      };
      const since = mending?.since;
      const near = mending && since !== undefined ? partOf(grid, changedSince(mending.changes, since)) : null;
      const wanted =
        mending && since !== undefined ? (run: Run) => !untouchedSince(mending.changes, run, since) : undefined;
      const { of, directions, lie } = passOf(k);
      for (const direction of of) {
        visitRuns(grid, now, stepMm, direction, directions, show, {
          kept: ground,
          lie: { ...lie, near },
          ...(wanted && { wanted }),
        });
        risen();
      }
      for (const { unit, direction, runs } of fits) {
        const take = runTaker(grid, now, stepMm, unit, direction, show, wanted);
        for (const run of runs) take(run);
        risen();
      }
      return worst;
    },
  };
}

/** The rectangle about some cells; the whole grid where there are none. */
function partOf({ nx, ny }: Grid, cells: readonly number[]): Part {
  let [left, right, low, high] = [nx, -1, ny, -1];
  for (const cell of cells) {
    const [ix, iy] = [cell % nx, Math.floor(cell / nx)];
    [left, right, low, high] = [Math.min(left, ix), Math.max(right, ix), Math.min(low, iy), Math.max(high, iy)];
  }
  return right < 0 ? { ix: [0, nx - 1], iy: [0, ny - 1] } : { ix: [left, right], iy: [low, high] };
}

/** Cells that carry a sample, with their weights. */
function carriers({ nx }: Grid, { base, fx, fy }: Run, s: number): [cell: number, weight: number][] {
  const [cell, x, y] = [base[s]!, fx[s]!, fy[s]!];
  const all: [number, number][] = [
    [cell, (1 - x) * (1 - y)],
    [cell + 1, x * (1 - y)],
    [cell + nx, (1 - x) * y],
    [cell + nx + 1, x * y],
  ];
  return all.filter(([, weight]) => weight > 1e-6);
}
