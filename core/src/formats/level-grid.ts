import type { Grid } from '../flat/index.ts';

const NOTHING = -9999;

/**
 * Heights over the datum as an ESRI ASCII grid: millimetres for both place and height, rows from the far side of the room to the
 * first wall, -9999 where nothing is judged.
 */
export function esriGrid(grid: Grid, heightsMm: Float64Array): string {
  const rows = Array.from({ length: grid.ny }, (_, i) => {
    const iy = grid.ny - 1 - i;
    return Array.from({ length: grid.nx }, (__, ix) => {
      const cell = iy * grid.nx + ix;
      return grid.inside[cell] ? heightsMm[cell]!.toFixed(2) : String(NOTHING);
    }).join(' ');
  });
  return [
    `ncols ${grid.nx}`,
    `nrows ${grid.ny}`,
    `xllcorner ${grid.x0Mm - grid.cellMm / 2}`,
    `yllcorner ${grid.y0Mm - grid.cellMm / 2}`,
    `cellsize ${grid.cellMm}`,
    `NODATA_value ${NOTHING}`,
    ...rows,
    '',
  ].join('\n');
}
