import type { Grid } from './grid.ts';

/** Where readings reach. Distances are from each cell to the nearest reading; what a scan saw is a reading everywhere. */
export interface Evidence {
  /** 1 where the surface is judged: within the reach of a reading. */
  judged: Uint8Array;
  /** The spacing it is held to, mm. */
  spacingMm: number;
  /** 1 where a reading lies within that spacing's own reach, or edges both ways do. */
  covered: Uint8Array;
  /** Share of the floor that is, 0 to 1. */
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

type Place = { xMm: number; yMm: number };

/** Places that edges lie over, by the way they lie: along the room's first wall, or across it. */
export interface EdgePlaces {
  along: readonly Place[];
  across: readonly Place[];
}

const NO_EDGES: EdgePlaces = { along: [], across: [] };

/**
 * Reach of readings over a floor; `seen` marks the cells that a scan covers. Edges cover a place where they lie near it both ways:
 * one way alone says nothing of how the floor runs from edge to edge.
 */
export function evidenceOf(
  grid: Grid,
  sites: readonly Place[],
  spacingMm: number,
  seen: Uint8Array | null = null,
  edges: EdgePlaces = NO_EDGES,
): Evidence {
  const judged = new Uint8Array(grid.inside.length);
  const coveredCells = new Uint8Array(grid.inside.length);
  const cover = (COVER_REACH * spacingMm) ** 2;
  const reach = Math.max(MAP_REACH_MM ** 2, cover);
  const toSeen = seen?.includes(1) ? squaredDistances(grid, seen) : null;
  let [floor, covered, worst, at] = [0, 0, -1, -1];
  for (let cell = 0; cell < judged.length; cell++) {
    if (!grid.inside[cell]) continue;
    floor++;
    const x = grid.x0Mm + (cell % grid.nx) * grid.cellMm;
    const y = grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm;
    const toPoint = toSeen ? toSeen[cell]! : Infinity;
    const toSite = toPoint > 0 ? Math.min(toPoint, nearestOf(sites, x, y)) : toPoint;
    const [toAlong, toAcross] = toSite > 0 ? [nearestOf(edges.along, x, y), nearestOf(edges.across, x, y)] : [0, 0];
    const nearest = Math.min(toSite, toAlong, toAcross);
    if (nearest <= reach) judged[cell] = 1;
    if (Math.min(toSite, Math.max(toAlong, toAcross)) <= cover) {
      coveredCells[cell] = 1;
      covered++;
    }
    if (nearest > worst) {
      worst = nearest;
      at = cell;
    }
  }
  const known = (sites.length + edges.along.length + edges.across.length > 0 || toSeen !== null) && at >= 0;
  return {
    judged,
    spacingMm,
    covered: coveredCells,
    coveredShare: floor === 0 ? 0 : covered / floor,
    // The true middle may lie up to half a cell's diagonal from the cell found: the figure is a bound, never too small.
    blindMm: known ? 2 * Math.sqrt(worst) + grid.cellMm * Math.SQRT2 : Infinity,
    blindAt:
      at < 0 ? null : [grid.x0Mm + (at % grid.nx) * grid.cellMm, grid.y0Mm + Math.floor(at / grid.nx) * grid.cellMm],
  };
}

/** Squared distance from a place to the nearest of some, mm2. */
function nearestOf(places: readonly Place[], x: number, y: number): number {
  let nearest = Infinity;
  for (const { xMm, yMm } of places) {
    const d = (xMm - x) ** 2 + (yMm - y) ** 2;
    if (d < nearest) nearest = d;
  }
  return nearest;
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
