import { say } from '../said/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';

const ASSUMED = say('figures.assumed');

/** Rates, limits and prices the levelling planner works with. */
export const LEVELLING_FIGURES = {
  'grind-most-mm': figure(say('figures.grindMostMm'), 3, 'mm', 0, 5, say('figures.grindMostMmSource')),
  'heating-cover-mm': figure(say('figures.heatingCoverMm'), 30, 'mm', 5, 100, say('figures.heatingCoverMmSource')),
  'grind-pass-mm': figure(say('figures.grindPassMm'), 1, 'mm', 0.2, 3),
  'grind-l-h': figure(say('figures.grindLH'), 4, 'l/h', 0.2, 40),
  'fill-most-mm': figure(say('figures.fillMostMm'), 40, 'mm', 1, 100, say('figures.fillMostMmSource')),
  'door-fill-mm': figure(say('figures.doorFillMm'), 8, 'mm', 0, 50, say('figures.doorFillMmSource')),
  'timber-load-kg-m2': figure(say('figures.timberLoadKgM2'), 25, 'kg/m²', 5, 200, say('figures.timberLoadKgM2Source')),
  'stack-kg-m2': figure(say('figures.stackKgM2'), 150, 'kg/m²', 50, 1000, say('figures.stackKgM2Source')),
  'door-reach-mm': figure(say('figures.doorReachMm'), 150, 'mm', 0, 1000),
  'threshold-tol-mm': figure(say('figures.thresholdTolMm'), 1, 'mm', 0.2, 5, say('figures.thresholdTolMmSource')),
  'skin-h-m2': figure(say('figures.skinHM2'), 0.1, 'h/m²', 0, 1),
  'touch-h-m2': figure(say('figures.touchHM2'), 0.06, 'h/m²', 0, 1),
  'primer-l-m2': figure(say('figures.primerLM2'), 0.12, 'l/m²', 0.02, 1, say('figures.primerLM2Source')),
  'primer-cost-l': figure(say('figures.primerCostL'), 9, '/l', 0, 200, PRICE),
  'primer-dry-h': figure(say('figures.primerDryH'), 2, 'h', 0.2, 48, say('figures.primerDryHSource')),
  'dry-temp-c': figure(say('figures.dryTempC'), 20, '°C', 5, 35, say('figures.dryTempCSource')),
  'bag-min': figure(say('figures.bagMin'), 8, 'min', 1, 60),
  'waste-pct': figure(say('figures.wastePct'), 5, '%', 0, 40),
  mixers: figure(say('figures.mixers'), 1, '', 1, 8, say('figures.mixersSource')),
  'wet-edge-min': figure(say('figures.wetEdgeMin'), 10, 'min', 2, 60, say('figures.wetEdgeMinSource')),
  'ribbon-mm': figure(say('figures.ribbonMm'), 500, 'mm', 100, 2000),
  'panel-mm': figure(say('figures.panelMm'), 6, 'mm', 3, 22),
  'panel-cost-m2': figure(say('figures.panelCostM2'), 12, '/m²', 0, 200, PRICE),
  'panel-h-m2': figure(say('figures.panelHM2'), 0.28, 'h/m²', 0.05, 2),
  'plank-length-mm': figure(say('figures.plankLengthMm'), 1200, 'mm', 300, 3000, say('figures.plankLengthMmSource')),
  'plank-width-mm': figure(say('figures.plankWidthMm'), 180, 'mm', 60, 500, say('figures.plankWidthMmSource')),
  'plank-modulus': figure(say('figures.plankModulus'), 4000, 'N/mm²', 500, 15_000, ASSUMED),
  'plank-joint-share': figure(say('figures.plankJointShare'), 0.15, '×', 0.01, 1, ASSUMED),
  'plank-bed': figure(say('figures.plankBed'), 0.1, 'N/mm³', 0.005, 5, ASSUMED),
  'foot-n': figure(say('figures.footN'), 800, 'N', 200, 2000, say('figures.footNSource')),
} as const satisfies Record<string, FigureSpec>;
