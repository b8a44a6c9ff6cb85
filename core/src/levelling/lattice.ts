import type { Grid } from '../flat/index.ts';

/** Nodes of the grid along one straight line, all inside the room. Buffers are reused: copy what is kept. */
export interface LatticeRun {
  length: number;
  cells: Int32Array;
  heights: Float64Array;
  /** Distance between neighbouring nodes, mm. */
  stepMm: number;
}

/**
 * Sixteen directions in which a line goes from node to node of the grid: an edge laid along one rests on nodes and on nothing
 * between them, so what it demands hangs on three heights only. At most 18.4 degrees apart.
 */
export const LATTICE: readonly (readonly [number, number])[] = [
  [1, 0],
  [0, 1],
  ...([1, 2, 3] as const).flatMap((p) =>
    ([1, 2, 3] as const)
      .filter((q) => (p === 1 || q === 1 ? p !== q || p === 1 : p !== q))
      .flatMap((q) => [[p, q] as const, [p, -q] as const]),
  ),
];

/** Visits every run of nodes inside the room along (p, q): broken where a node, or a cell the step crosses, is outside. */
export function visitLattice(
  grid: Grid,
  heights: Float64Array,
  [p, q]: readonly [number, number],
  visit: (run: LatticeRun) => void,
): void {
  const { nx, ny, inside } = grid;
  const most = Math.max(nx, ny) + 1;
  const run: LatticeRun = {
    length: 0,
    cells: new Int32Array(most),
    heights: new Float64Array(most),
    stepMm: grid.cellMm * Math.hypot(p, q),
  };
  const crossed = between(p, q);
  const within = (ix: number, iy: number) => ix >= 0 && iy >= 0 && ix < nx && iy < ny;
  const finish = () => {
    if (run.length > 2) visit(run);
    run.length = 0;
  };
  for (let iy = 0; iy < ny; iy++)
    for (let ix = 0; ix < nx; ix++) {
      // A line starts where its node before the first would lie off the grid.
      if (within(ix - p, iy - q)) continue;
      for (let [x, y] = [ix, iy]; within(x, y); x += p, y += q) {
        const cell = y * nx + x;
        if (!inside[cell] || (run.length > 0 && crossed.some(([dx, dy]) => !inside[(y - dy) * nx + x - dx]))) finish();
        if (!inside[cell]) continue;
        run.cells[run.length] = cell;
        run.heights[run.length++] = heights[cell]!;
      }
      finish();
    }
}

/** Cells that the step (p, q) back from a node passes over, as offsets back from it. */
function between(p: number, q: number): [number, number][] {
  const steps = Math.max(Math.abs(p), Math.abs(q));
  return Array.from({ length: Math.max(0, steps - 1) }, (_, k) => [
    Math.round((p * (k + 1)) / steps),
    Math.round((q * (k + 1)) / steps),
  ]);
}
