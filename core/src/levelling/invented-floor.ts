import { gridOver } from '../flat/index.ts';
import { heightsFrom, rectanglePlan } from '../flat/invented.ts';
import type { PlanLimits } from './programme.ts';

/** Shapes to level, mm over metres: a trough across, a hump of 8 mm, boards bowed between joists 1.2 m apart. */
export const trough = (xM: number) => -8 * Math.exp(-(((xM - 1.3) / 0.5) ** 2));
export const hump = (xM: number, yM: number) => 8 * Math.exp((-2 * ((xM - 1.6) ** 2 + (yM - 1.2) ** 2)) / 0.7 ** 2);
export const bowed = (xM: number) => 2.4 * Math.cos((2 * Math.PI * xM) / 1.2);

/** The same limits in every cell, mm. */
export function limitsOf(cells: number, fillMm = Infinity, grindMm = 3): PlanLimits {
  return { fillMm: new Float64Array(cells).fill(fillMm), grindMm: new Float64Array(cells).fill(grindMm) };
}

/** Grid, heights and limits of a floor 1.8 m deep. */
export function floorAt(cellMm: number, formula: (xM: number, yM: number) => number, widthMm = 2600) {
  const grid = gridOver(rectanglePlan(widthMm, 1800), cellMm);
  return { grid, heights: heightsFrom(grid, formula), limits: limitsOf(grid.inside.length) };
}
