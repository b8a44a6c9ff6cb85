import { say } from '../said/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';

const CODE = say('figures.localCode');
const COUNTRY = say('figures.countryCode');
const MAKER = say('figures.makersSheet');

const WEIGHED = say('figures.weighed');

/** Limits that steps, leaves and stairs are judged by, with the bars and boards that are bought. */
export const HEIGHT_FIGURES = {
  'bar-flat-mm': figure(say('figures.barFlatMm'), 2, 'mm', 0.5, 5, MAKER),
  'bar-tilted-mm': figure(say('figures.barTiltedMm'), 6, 'mm', 2, 12, MAKER),
  'bar-reducer-mm': figure(say('figures.barReducerMm'), 15, 'mm', 5, 25, MAKER),
  'bar-carpet-mm': figure(say('figures.barCarpetMm'), 15, 'mm', 5, 25, MAKER),
  'bar-tilt-deg': figure(say('figures.barTiltDeg'), 10, '°', 5, 12, MAKER),
  'bar-track-mm': figure(say('figures.barTrackMm'), 16, 'mm', 8, 40, MAKER),
  'bar-bearing-mm': figure(say('figures.barBearingMm'), 38, 'mm', 20, 80, MAKER),
  'bar-seat-mm': figure(say('figures.barSeatMm'), 9, 'mm', 3, 25, MAKER),
  'bar-cap-mm': figure(say('figures.barCapMm'), 3, 'mm', 0, 8, MAKER),
  'bar-stock-mm': figure(say('figures.barStockMm'), 2700, 'mm', 800, 6000, MAKER),
  'access-upright-mm': figure(say('figures.accessUprightMm'), 6, 'mm', 0, 20, COUNTRY),
  'access-bevel-mm': figure(say('figures.accessBevelMm'), 13, 'mm', 0, 40, COUNTRY),
  'access-bevel-ratio': figure(say('figures.accessBevelRatio'), 2, '', 1, 12, COUNTRY),
  'access-ramp-ratio': figure(say('figures.accessRampRatio'), 12, '', 6, 30, COUNTRY),
  'leaf-clear-mm': figure(say('figures.leafClearMm'), 5, 'mm', 3, 15),
  'leaf-fire-clear-mm': figure(say('figures.leafFireClearMm'), 2, 'mm', 1, 3, MAKER),
  'leaf-fire-gap-mm': figure(say('figures.leafFireGapMm'), 3, 'mm', 3, 10, say('figures.leafFireGapMmSource')),
  'leaf-hollow-mm': figure(say('figures.leafHollowMm'), 10, 'mm', 0, 30, MAKER),
  'leaf-solid-mm': figure(say('figures.leafSolidMm'), 20, 'mm', 0, 60, MAKER),
  'stair-range-mm': figure(say('figures.stairRangeMm'), 5, 'mm', 3, 10, CODE),
  'stair-most-mm': figure(say('figures.stairMostMm'), 220, 'mm', 150, 260, CODE),
  'stair-least-mm': figure(say('figures.stairLeastMm'), 150, 'mm', 75, 200, CODE),
  'guard-least-mm': figure(say('figures.guardLeastMm'), 900, 'mm', 700, 1300, CODE),
  'architrave-mm': figure(say('figures.architraveMm'), 60, 'mm', 0, 200),
  'board-stock-mm': figure(say('figures.boardStockMm'), 2400, 'mm', 1000, 6000, MAKER),
  'bead-stock-mm': figure(say('figures.beadStockMm'), 2400, 'mm', 1000, 6000, MAKER),
  'leaf-trim-h': figure(say('figures.leafTrimH'), 0.6, 'h', 0.1, 4),
  'underlay-cost-mm': figure(say('figures.underlayCostMm'), 1.2, '/m²', 0, 20, PRICE),
  'step-flat': figure(say('figures.stepFlat'), 15, '', 0, 1000, WEIGHED),
  'step-tilted': figure(say('figures.stepTilted'), 45, '', 0, 1000, WEIGHED),
  'step-reducer': figure(say('figures.stepReducer'), 95, '', 0, 2000, WEIGHED),
  'step-ramp': figure(say('figures.stepRamp'), 320, '', 0, 5000, WEIGHED),
} as const satisfies Record<string, FigureSpec>;
