import { planeAt, planeOver, ringsAbove, type Grid } from '@maquette/core/flat';
import { smoothed, type FoundFloor } from '@maquette/core/scan';
import type { ScanAnswer } from './messages.ts';

/** What lies this far over or under the scan's plane is drawn while it is laid on the room, mm. */
const DRAWN_MM = 2;

/** What is drawn of a scan in its own frame while it is laid on the room. */
export function drawnOf(floor: FoundFloor): ScanAnswer['drawn'] {
  const heights = smoothed(floor);
  const inside = Uint8Array.from(heights, (h) => (Number.isNaN(h) ? 0 : 1));
  const grid: Grid = { ...floor, inside, cellAreaM2: (floor.cellMm / 1000) ** 2 };
  const known = heights.map((h) => (Number.isNaN(h) ? 0 : h));
  const plane = planeOver(grid, known);
  const off = known.map((h, cell) =>
    inside[cell]
      ? h -
        planeAt(plane, grid.x0Mm + (cell % grid.nx) * grid.cellMm, grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm)
      : 0,
  );
  return {
    seen: ringsAbove(grid, inside, 0.5),
    highs: ringsAbove(grid, off, DRAWN_MM),
    lows: ringsAbove(
      grid,
      off.map((h) => -h),
      DRAWN_MM,
    ),
    walls: Array.from({ length: floor.wallsMm.length / 2 }, (_, i) => [
      floor.wallsMm[2 * i]!,
      floor.wallsMm[2 * i + 1]!,
    ]),
  };
}
