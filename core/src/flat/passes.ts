import type { Grid } from './grid.ts';
import {
  along,
  CENTRED,
  linesOf,
  penOver,
  stretchesAlong,
  type Ground,
  type LaidRun,
  type Lie,
  type Line,
} from './lay-lines.ts';
import { copied } from './lines.ts';

/** Directions of one pass over a floor that is to be sure between its lines. */
const PASS_DIRECTIONS = 72;
/** A pass is turned by so many parts of the step between its directions. */
const TURNS = 8;
/** Directions at which lines across corners are sought. */
const FIT_DIRECTIONS = 288;

/** Lines of one look over the floor: the indices of its directions among `directions`, and how they lie. */
export interface Pass {
  of: readonly number[];
  directions: number;
  lie: Lie;
}

/**
 * The k-th pass: the first as the certificate's own lines lie at twice as many directions, each later one turned and shifted
 * by steps of the golden and of the plastic ratio, so that no two lie alike, with samples counted from the middle and either end by turns.
 */
export function passOf(k: number): Pass {
  const turn = k === 0 ? 0 : Math.round(TURNS * fraction(0.5 + 0.618 * (k - 1))) % TURNS;
  return {
    of: Array.from({ length: PASS_DIRECTIONS }, (_, d) => d * TURNS + turn),
    directions: PASS_DIRECTIONS * TURNS,
    lie: k === 0 ? CENTRED : { acrossCells: fraction(0.5 + 0.7549 * (k - 1)), from: COUNTED[k % 3]! },
  };
}

/** Samples are counted from the middle, the first and the last end by turns: near a wall an edge rocks on what its samples leave it. */
const COUNTED = ['middle', 'first', 'last'] as const;

const fraction = (value: number) => value - Math.floor(value);

/** Runs of one direction on which an edge just fits. */
export interface FitLines {
  direction: number;
  directions: number;
  unit: [number, number];
  runs: LaidRun[];
}

/**
 * Lines across the corners of the floor on which an edge of `edgeMm` just fits from wall to wall: what lies under it there
 * lies under no shorter one, and lines a cell apart pass it by. Samples `stepMm` apart from the first end.
 */
export function fitLines(grid: Grid, ground: Ground, edgeMm: number, stepMm: number): FitLines[] {
  const edge = edgeMm / grid.cellMm - 1e-9;
  return Array.from({ length: FIT_DIRECTIONS }, (_, direction) => {
    const unit = along(direction, FIT_DIRECTIONS);
    const runs: LaidRun[] = [];
    const pen = penOver(grid, ground, stepMm, unit, (run) => runs.push(copied(run)));
    const lines = linesOf(grid, unit);
    const stretches = lines.map((line) => stretchesAlong(grid, ground, line));
    lines.forEach((line, m) => {
      for (const stretch of stretches[m]!) {
        if (stretch[1] - stretch[0] < edge) continue;
        for (const side of [-1, 1] as const) {
          const beside = stretches[m + side]?.filter((other) => overlap(stretch, other) > 0) ?? [];
          // Beyond the last line it ends at the wall: a corner, or the wall itself.
          if (beside.some(([first, last]) => last - first >= edge)) continue;
          const fit = justFitting(grid, ground, line, stretch, side, edge);
          if (fit) pen.stretch(fit.line, ...fit.stretch, 'first');
        }
      }
    });
    return { direction, directions: FIT_DIRECTIONS, unit, runs };
  }).filter(({ runs }) => runs.length > 0);
}

type Stretch = [first: number, last: number];

const overlap = (a: Stretch, b: Stretch) => Math.min(a[1], b[1]) - Math.max(a[0], b[0]);

/** Halvings: a thousandth of a cell is near enough. */
const HALVINGS = 10;

/** The line farthest to one side of a line, within a cell, whose stretch beside the given one still takes an edge. */
function justFitting(
  grid: Grid,
  ground: Ground,
  line: Line,
  stretch: Stretch,
  side: -1 | 1,
  edge: number,
): { line: Line; stretch: Stretch } | null {
  let found: { line: Line; stretch: Stretch } | null = null;
  let [within, beyond] = [0, 1];
  for (let halving = 0; halving < HALVINGS; halving++) {
    const by = ((within + beyond) / 2) * side;
    const moved = { ...line, ox: line.ox - line.uy * by, oy: line.oy + line.ux * by };
    const fits = stretchesAlong(grid, ground, moved).find(
      (other) => overlap(stretch, other) > 0 && other[1] - other[0] >= edge,
    );
    if (fits) {
      found = { line: moved, stretch: fits };
      within = Math.abs(by);
    } else beyond = Math.abs(by);
  }
  return found;
}
