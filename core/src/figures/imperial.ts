import type { UnitSystem } from '../units/index.ts';
import { FIGURES, type FigureName } from './figures.ts';

const MM_PER_INCH = 25.4;

/**
 * The same defaults as a room in inches has them: what is set out or bought there comes in round inches, and is worked with as
 * such. Limits are rounded to the safer side.
 */
const INCHES: Partial<Record<FigureName, number>> = {
  'piece-mm': 48,
  'strip-wide-mm': 40,
  'strip-long-mm': 120,
  'services-clear-mm': 1.25,
  'cabinet-front-mm': 4,
  'pipe-clear-mm': 5 / 8,
  'tile-grout-mm': 1 / 4,
  'tap-mm': 18,
  'screw-mm': 6,
  'board-mm': 5.5,
  'crack-mm': 1 / 16,
  'stitch-mm': 8,
  'bounce-mm': 1 / 16,
  'grind-pass-mm': 1 / 32,
  'fill-most-mm': 1.5,
  'door-fill-mm': 5 / 16,
  'door-reach-mm': 6,
  'threshold-tol-mm': 1 / 32,
  'ribbon-mm': 20,
  'panel-mm': 1 / 4,
  'film-upturn-mm': 2,
  'roll-short-mm': 5 / 16,
  'panel-wall-mm': 1 / 4,
  'panel-tub-mm': 1 / 16,
  'panel-seam-mm': 8,
  'panel-ends-mm': 12,
  'panel-least-mm': 4,
  'fixing-edge-mm': 3,
  'fixing-field-mm': 6,
  'plank-length-mm': 48,
  'plank-width-mm': 7,
  'bar-flat-mm': 1 / 16,
  'bar-tilted-mm': 3 / 16,
  'bar-reducer-mm': 9 / 16,
  'bar-carpet-mm': 9 / 16,
  'bar-stock-mm': 108,
  'access-upright-mm': 1 / 4,
  'access-bevel-mm': 1 / 2,
  'guard-least-mm': 36,
  'board-stock-mm': 96,
  'bead-stock-mm': 96,
  'leaf-hollow-mm': 3 / 8,
  'leaf-solid-mm': 3 / 4,
  'stair-range-mm': 3 / 16,
};

/** A figure's default in a room of some units. */
export function usualOf(name: FigureName, units: UnitSystem): number {
  const inches = units === 'imperial' ? INCHES[name] : undefined;
  return inches === undefined ? FIGURES[name].value : inches * MM_PER_INCH;
}
