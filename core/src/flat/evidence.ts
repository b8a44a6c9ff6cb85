import type { Grid } from './grid.ts';

/** Where readings reach. Distances are from each cell to the nearest reading; what a scan saw is a reading everywhere. */
export interface Evidence {
  /** 1 where the surface is judged: within the reach of a reading. */
  judged: Uint8Array;
  /** Share of the floor within the spacing's own reach of a reading, 0 to 1. */
  coveredShare: number;
  /** Diameter no circle on the floor without a reading in it exceeds, mm: a feature wider than this is sure to be seen. */
  blindMm: number;
  /** Middle of that circle: the largest unmeasured area. */
  blindAt: [number, number] | null;
}

/** A square of stations leaves its middle 0.71 of the spacing from any; a little more allows for staffs set by eye. */
const COVER_REACH = 0.8;
/** The map may stand this far beyond a reading: half the shortest long edge in use. mm. */
const MAP_REACH_MM = 750;

/** Reach of readings over a floor; `seen` marks the cells that a scan covers. */
export function evidenceOf(
  grid: Grid,
  sites: readonly { xMm: number; yMm: number }[],
  spacingMm: number,
  seen: Uint8Array | null = null,
): Evidence {
  const judged = new Uint8Array(grid.inside.length);
  const cover = (COVER_REACH * spacingMm) ** 2;
  const reach = Math.max(MAP_REACH_MM ** 2, cover);
  const toSeen = seen?.includes(1) ? squaredDistances(grid, seen) : null;
  let [floor, covered, worst, at] = [0, 0, -1, -1];
  for (let cell = 0; cell < judged.length; cell++) {
    if (!grid.inside[cell]) continue;
    floor++;
    const x = grid.x0Mm + (cell % grid.nx) * grid.cellMm;
    const y = grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm;
    let nearest = toSeen ? toSeen[cell]! : Infinity;
    if (nearest > 0)
      for (const site of sites) {
        const d = (site.xMm - x) ** 2 + (site.yMm - y) ** 2;
        if (d < nearest) nearest = d;
      }
    if (nearest <= reach) judged[cell] = 1;
    if (nearest <= cover) covered++;
    if (nearest > worst) {
      worst = nearest;
      at = cell;
    }
  }
  const known = (sites.length > 0 || toSeen !== null) && at >= 0;
  return {
    judged,
    coveredShare: floor === 0 ? 0 : covered / floor,
    // The true middle may lie up to half a cell's diagonal from the cell found: the figure is a bound, never too small.
    blindMm: known ? 2 * Math.sqrt(worst) + grid.cellMm * Math.SQRT2 : Infinity,
    blindAt:
      at < 0 ? null : [grid.x0Mm + (at % grid.nx) * grid.cellMm, grid.y0Mm + Math.floor(at / grid.nx) * grid.cellMm],
  };
}

/**
 * Squared distance from each cell to the nearest marked one, mm2: exact, one pass over columns and one over rows
 * (Felzenszwalb and Huttenlocher, lower envelope of parabolas).
 */
export function squaredDistances({ nx, ny, cellMm }: Grid, marked: Uint8Array): Float64Array {
  // Farther than any cell of the grid, yet finite: envelopes of infinities have no crossings.
  const FAR = (nx + ny) ** 2;
  const out = Float64Array.from(marked, (on) => (on ? 0 : FAR));
  const longest = Math.max(nx, ny);
  const line = new Float64Array(longest);
  const roots = new Int32Array(longest);
  const bounds = new Float64Array(longest + 1);
  const pass = (n: number, cellOf: (i: number) => number) => {
    for (let i = 0; i < n; i++) line[i] = out[cellOf(i)]!;
    let k = 0;
    roots[0] = 0;
    bounds[0] = -Infinity;
    bounds[1] = Infinity;
    for (let q = 1; q < n; q++) {
      const meet = () => (line[q]! + q * q - (line[roots[k]!]! + roots[k]! ** 2)) / (2 * (q - roots[k]!));
      let s = meet();
      while (s <= bounds[k]!) {
        k--;
        s = meet();
      }
      roots[++k] = q;
      bounds[k] = s;
      bounds[k + 1] = Infinity;
    }
    k = 0;
    for (let i = 0; i < n; i++) {
      while (bounds[k + 1]! < i) k++;
      out[cellOf(i)] = (i - roots[k]!) ** 2 + line[roots[k]!]!;
    }
  };
  for (let ix = 0; ix < nx; ix++) pass(ny, (i) => i * nx + ix);
  for (let iy = 0; iy < ny; iy++) pass(nx, (i) => iy * nx + i);
  return out.map((d) => (d >= FAR ? Infinity : d * cellMm * cellMm));
}
