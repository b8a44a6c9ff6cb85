import type { Grid } from './grid.ts';

/** Where readings reach. Distances are from each cell to the nearest reading. */
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

/** Distance transform by brute force per cell over the readings. */
export function evidenceOf(grid: Grid, sites: readonly { xMm: number; yMm: number }[], spacingMm: number): Evidence {
  const judged = new Uint8Array(grid.inside.length);
  const cover = (COVER_REACH * spacingMm) ** 2;
  const reach = Math.max(MAP_REACH_MM ** 2, cover);
  let [floor, covered, worst, at] = [0, 0, -1, -1];
  for (let cell = 0; cell < judged.length; cell++) {
    if (!grid.inside[cell]) continue;
    floor++;
    const x = grid.x0Mm + (cell % grid.nx) * grid.cellMm;
    const y = grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm;
    let nearest = Infinity;
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
  const known = sites.length > 0 && at >= 0;
  return {
    judged,
    coveredShare: floor === 0 ? 0 : covered / floor,
    // The true middle may lie up to half a cell's diagonal from the cell found: the figure is a bound, never too small.
    blindMm: known ? 2 * Math.sqrt(worst) + grid.cellMm * Math.SQRT2 : Infinity,
    blindAt:
      at < 0 ? null : [grid.x0Mm + (at % grid.nx) * grid.cellMm, grid.y0Mm + Math.floor(at / grid.nx) * grid.cellMm],
  };
}
