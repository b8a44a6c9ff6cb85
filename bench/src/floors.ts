import { gridOver, type Grid } from '@maquette/core/flat';
import { outlineOf, rectangleWalls } from '@maquette/core/room';

/** Floors invented to try levelling on: metres in, mm out, over 8 by 5 m. */
export interface InventedFloor {
  name: string;
  heightMm: (xM: number, yM: number) => number;
}

const bump = (x: number, y: number, cx: number, cy: number, mm: number, radiusM: number) =>
  mm * Math.exp((-2 * ((x - cx) ** 2 + (y - cy) ** 2)) / radiusM ** 2);

/** A sum of waves whose size and turn come from a seed (linear congruential, Numerical Recipes). */
function waves(seed: number, mm: number): InventedFloor['heightMm'] {
  let state = seed >>> 0;
  const chance = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
  const list = Array.from({ length: 6 }, () => ({
    kx: (chance() - 0.5) * 4,
    ky: (chance() - 0.5) * 4,
    phase: chance() * 7,
    size: (chance() - 0.3) * mm,
  }));
  return (x, y) => list.reduce((sum, w) => sum + w.size * Math.sin(w.kx * x + w.ky * y + w.phase), 0);
}

export const INVENTED_FLOORS: readonly InventedFloor[] = [
  { name: 'hump by a hearth', heightMm: (x, y) => bump(x, y, 6.6, 2.6, 9, 0.9) },
  { name: 'low corner', heightMm: (x, y) => bump(x, y, 0.3, 0.4, -14, 1.4) },
  {
    name: 'hump and two lows',
    heightMm: (x, y) => bump(x, y, 4, 2.5, 7, 1) + bump(x, y, 1.2, 1, -7, 1.1) + bump(x, y, 6.9, 4.2, -9, 1.2),
  },
  { name: 'ridge', heightMm: (x) => 6 * Math.exp(-(((x - 4) / 0.5) ** 2)) },
  { name: 'trough', heightMm: (_, y) => -8 * Math.exp(-(((y - 2.4) / 0.7) ** 2)) },
  { name: 'joists', heightMm: (x) => 2.4 * Math.cos((2 * Math.PI * x) / 1.2) },
  { name: 'sag', heightMm: (x, y) => -20 * Math.sin((Math.PI * x) / 8) * Math.sin((Math.PI * y) / 5) },
  { name: 'crown', heightMm: (x, y) => 20 * Math.sin((Math.PI * x) / 8) * Math.sin((Math.PI * y) / 5) },
  { name: 'step', heightMm: (x) => 8 / (1 + Math.exp(-(x - 3.7) / 0.06)) },
  { name: 'saddle', heightMm: (x, y) => 2 * ((x - 4) ** 2 - (y - 2.5) ** 2) },
  { name: 'waves, large', heightMm: waves(7, 5) },
  { name: 'waves, long', heightMm: (x, y) => waves(21, 3)(x * 1.6, y * 1.6) },
  { name: 'trowelled', heightMm: (x, y) => 1.6 * Math.sin(5 * x + 2 * Math.sin(2 * y)) * Math.cos(4 * y + 1.3 * x) },
  { name: 'slope with a dip', heightMm: (x, y) => 5 * x + bump(x, y, 5.2, 1.6, -10, 1) },
];

/** Grid and heights of an invented floor at 5 cm. */
export function floorOf({ heightMm }: InventedFloor): { grid: Grid; heights: Float64Array } {
  const grid = gridOver({ corners: outlineOf(rectangleWalls(8000, 5000)).corners, islands: [] });
  const heights = Float64Array.from({ length: grid.nx * grid.ny }, (_, cell) =>
    heightMm(
      (grid.x0Mm + (cell % grid.nx) * grid.cellMm) / 1000,
      (grid.y0Mm + Math.floor(cell / grid.nx) * grid.cellMm) / 1000,
    ),
  );
  return { grid, heights };
}
