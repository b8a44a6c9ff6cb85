import { say } from '../said/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';

const MAKER = say('figures.makersSheet');

/** Cuts, gaps, minutes and adhesive the set-out works with. */
export const SETOUT_FIGURES = {
  'kerf-mm': figure(say('figures.kerfMm'), 3, 'mm', 0, 6),
  'wall-trim-mm': figure(say('figures.wallTrimMm'), 3, 'mm', 0, 15),
  'second-row-pct': figure(say('figures.secondRowPct'), 100, '%', 0, 100, MAKER),
  'frame-under-mm': figure(say('figures.frameUnderMm'), 10, 'mm', 0, 30),
  'tub-glued-mm': figure(say('figures.tubGluedMm'), 1.5, 'mm', 0, 5),
  'corner-joint-mm': figure(say('figures.cornerJointMm'), 0, 'mm', 0, 600),
  'tilt-deg': figure(say('figures.tiltDeg'), 25, 'deg', 5, 45, MAKER),
  'spare-pct': figure(say('figures.sparePct'), 3, '%', 0, 15),
  'plank-lay-min': figure(say('figures.plankLayMin'), 0.9, 'min', 0.1, 10),
  'cross-cut-min': figure(say('figures.crossCutMin'), 1, 'min', 0.1, 10),
  'rip-min': figure(say('figures.ripMin'), 1.5, 'min', 0.1, 20),
  'notch-min': figure(say('figures.notchMin'), 4, 'min', 0.5, 30),
  'hole-min': figure(say('figures.holeMin'), 5, 'min', 0.5, 30),
  'glue-reach-mm': figure(say('figures.glueReachMm'), 800, 'mm', 400, 1200),
  'glue-spread-m2-min': figure(say('figures.glueSpreadM2Min'), 1, 'm²/min', 0.1, 5),
  'glue-lay-m2-min': figure(say('figures.glueLayM2Min'), 0.4, 'm²/min', 0.05, 3),
  'glue-tack-min': figure(say('figures.glueTackMin'), 15, 'min', 0, 240, MAKER),
  'glue-working-min': figure(say('figures.glueWorkingMin'), 30, 'min', 5, 480, MAKER),
  'glue-kg-m2': figure(say('figures.glueKgM2'), 0.3, 'kg/m²', 0.1, 2, MAKER),
  'glue-notch-mm': figure(say('figures.glueNotchMm'), 1.5, 'mm', 0.5, 6, MAKER),
  'glue-cost-kg': figure(say('figures.glueCostKg'), 9, '/kg', 0, 200, PRICE),
  'roller-kg': figure(say('figures.rollerKg'), 45, 'kg', 20, 80, MAKER),
  'roller-within-min': figure(say('figures.rollerWithinMin'), 60, 'min', 5, 480, MAKER),
  'dew-margin-k': figure(say('figures.dewMarginK'), 3, 'K', 1, 10, MAKER),
} as const satisfies Record<string, FigureSpec>;
