import { say } from '../said/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';
import { HEIGHT_FIGURES } from './height-figures.ts';
import { LEVELLING_FIGURES } from './levelling-figures.ts';
import { SETOUT_FIGURES } from './setout-figures.ts';
import { UNDER_FIGURES } from './under-figures.ts';

const SAFE = say('figures.safe');
const SHEET = say('figures.sheet');

/** Every default by name. A job's own figure of the same name takes its place. */
export const FIGURES = {
  ...LEVELLING_FIGURES,
  ...HEIGHT_FIGURES,
  ...UNDER_FIGURES,
  ...SETOUT_FIGURES,
  'carry-kg': figure(say('figures.carryKg'), 25, 'kg', 5, 60, SAFE),
  'piece-mm': figure(say('figures.pieceMm'), 1200, 'mm', 300, 3000),
  'strip-wide-mm': figure(say('figures.stripWideMm'), 1000, 'mm', 300, 2000),
  'strip-long-mm': figure(say('figures.stripLongMm'), 3000, 'mm', 1000, 6000),
  'saw-allowance-mm': figure(say('figures.sawAllowanceMm'), 0.5, 'mm', 0, 2, say('figures.sawAllowanceMmSource')),
  'services-clear-mm': figure(say('figures.servicesClearMm'), 30, 'mm', 10, 100, say('figures.servicesClearMmSource')),
  'cabinet-front-mm': figure(say('figures.cabinetFrontMm'), 100, 'mm', 40, 300, say('figures.cabinetFrontMmSource')),
  'pipe-clear-mm': figure(say('figures.pipeClearMm'), 15, 'mm', 5, 100),
  crew: figure(say('figures.crew'), 2, '', 1, 8, say('figures.crewSource')),
  'hours-a-day': figure(say('figures.hoursADay'), 7, 'h', 1, 14),
  'bag-kg': figure(say('figures.bagKg'), 20, 'kg', 5, 40, SAFE),
  'bag-l': figure(say('figures.bagL'), 35, 'l', 10, 120),
  'skip-kg': figure(say('figures.skipKg'), 4000, 'kg', 500, 20_000, say('figures.skipKgSource')),
  'skip-m3': figure(say('figures.skipM3'), 4, 'm³', 1, 20),
  'bulk-soft': figure(say('figures.bulkSoft'), 250, 'kg/m³', 50, 1500),
  'bulk-mineral': figure(say('figures.bulkMineral'), 900, 'kg/m³', 300, 2500),
  'skirting-h-m': figure(say('figures.skirtingHM'), 0.06, 'h/m', 0.01, 1),
  'gripper-h-m': figure(say('figures.gripperHM'), 0.03, 'h/m', 0.005, 0.5),
  'staples-h-m2': figure(say('figures.staplesHM2'), 0.12, 'h/m²', 0.01, 1),
  'sink-h-m2': figure(say('figures.sinkHM2'), 0.05, 'h/m²', 0.01, 1),
  'skim-h-m2': figure(say('figures.skimHM2'), 0.15, 'h/m²', 0.02, 1),
  'skim-kg-m2': figure(say('figures.skimKgM2'), 2.1, 'kg/m²', 0.5, 10, say('figures.skimKgM2Source')),
  'skim-cost-m2': figure(say('figures.skimCostM2'), 4.5, '/m²', 0, 100, PRICE),
  'screw-h-m2': figure(say('figures.screwHM2'), 0.12, 'h/m²', 0.02, 1),
  'screw-cost-m2': figure(say('figures.screwCostM2'), 1.2, '/m²', 0, 50, PRICE),
  'jamb-h': figure(say('figures.jambH'), 0.25, 'h', 0.05, 2),
  'bead-h-m': figure(say('figures.beadHM'), 0.05, 'h/m', 0.01, 1),
  'bead-cost-m': figure(say('figures.beadCostM'), 2.4, '/m', 0, 100, PRICE),
  'bar-h': figure(say('figures.barH'), 0.4, 'h', 0.05, 4),
  'bar-cost-m': figure(say('figures.barCostM'), 18, '/m', 0, 300, PRICE),
  'ramp-h': figure(say('figures.rampH'), 1.5, 'h', 0.1, 16),
  'ramp-cost-m': figure(say('figures.rampCostM'), 55, '/m', 0, 1000, PRICE),
  'undercut-h-m': figure(say('figures.undercutHM'), 0.35, 'h/m', 0.05, 2),
  'tile-hollow-pct': figure(say('figures.tileHollowPct'), 5, '%', 0, 30, say('figures.tileHollowPctSource')),
  'tile-grout-mm': figure(say('figures.tileGroutMm'), 6, 'mm', 1, 15),
  'vinyl-keep-mm': figure(say('figures.vinylKeepMm'), 2, 'mm', 0.5, 5),
  'height-mm': figure(say('figures.heightMm'), 15, 'mm', 2, 50, say('figures.heightMmSource')),
  'labour-h': figure(say('figures.labourH'), 42, '/h', 0, 500, PRICE),
  'disposal-kg': figure(say('figures.disposalKg'), 0.22, '/kg', 0, 20, PRICE),
  'extractor-day': figure(say('figures.extractorDay'), 34, '/day', 0, 500, PRICE),
  'hammer-day': figure(say('figures.hammerDay'), 46, '/day', 0, 500, PRICE),
  'saw-day': figure(say('figures.sawDay'), 28, '/day', 0, 500, PRICE),
  'grinder-day': figure(say('figures.grinderDay'), 38, '/day', 0, 500, PRICE),
  'stripper-day': figure(say('figures.stripperDay'), 62, '/day', 0, 500, PRICE),
  'tap-mm': figure(say('figures.tapMm'), 500, 'mm', 200, 1500),
  'damp-age-days': figure(say('figures.dampAgeDays'), 30, 'days', 1, 365, say('figures.dampAgeDaysSource')),
  'service-h': figure(say('figures.serviceH'), 48, 'h', 12, 168, say('figures.serviceHSource')),
  'air-gap-h': figure(say('figures.airGapH'), 14, 'h', 1, 72, say('figures.airGapHSource')),
  'dew-margin-c': figure(say('figures.dewMarginC'), 3, '°C', 1, 10, say('figures.dewMarginCSource')),
  'hood-rh': figure(say('figures.hoodRh'), 75, '%RH', 30, 100, SHEET),
  'hood-wood-rh': figure(say('figures.hoodWoodRh'), 65, '%RH', 30, 100, SHEET),
  'dish-g': figure(say('figures.dishG'), 14.6, 'g/(m² 24 h)', 1, 60, say('figures.dishGSource', { sheet: SHEET })),
  'carbide-cement': figure(say('figures.carbideCement'), 2, 'CM-%', 0.5, 5, SHEET),
  'carbide-cement-heated': figure(say('figures.carbideCementHeated'), 1.8, 'CM-%', 0.5, 5, SHEET),
  'carbide-sulfate': figure(say('figures.carbideSulfate'), 0.5, 'CM-%', 0.1, 2, SHEET),
  'carbide-sulfate-heated': figure(say('figures.carbideSulfateHeated'), 0.3, 'CM-%', 0.1, 2, SHEET),
  'boards-diff': figure(say('figures.boardsDiff'), 2, '%MC', 0.5, 8, say('figures.boardsDiffSource')),
  'ph-most': figure(say('figures.phMost'), 10, 'pH', 7, 14, SHEET),
  'survey-outlier': figure(say('figures.surveyOutlier'), 4, '%', 0.5, 100, say('figures.surveyOutlierSource')),
  'survey-ratio': figure(say('figures.surveyRatio'), 1.3, '×', 1, 5),
  'membrane-rh': figure(say('figures.membraneRh'), 95, '%RH', 75, 100, SHEET),
  'membrane-cost-m2': figure(say('figures.membraneCostM2'), 14, '/m²', 0, 200, PRICE),
  'membrane-days': figure(say('figures.membraneDays'), 2, 'days', 0.5, 14, SHEET),
  'dryer-day': figure(say('figures.dryerDay'), 24, '/day', 0, 500, PRICE),
  'screw-mm': figure(say('figures.screwMm'), 150, 'mm', 50, 600),
  'board-mm': figure(say('figures.boardMm'), 140, 'mm', 60, 300),
  'crack-mm': figure(say('figures.crackMm'), 1.5, 'mm', 0.2, 10),
  'resin-l-m': figure(say('figures.resinLM'), 0.25, 'l/m', 0.02, 3),
  'stitch-mm': figure(say('figures.stitchMm'), 200, 'mm', 100, 600),
  'fill-kg-l': figure(say('figures.fillKgL'), 2, 'kg/l', 1, 3),
  'bounce-mm': figure(say('figures.bounceMm'), 2, 'mm', 0.5, 10, say('figures.bounceMmSource')),
} as const satisfies Record<string, FigureSpec>;

export type FigureName = keyof typeof FIGURES;

export function isFigure(name: string): name is FigureName {
  return name in FIGURES;
}
