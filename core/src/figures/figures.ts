import { say } from '../said/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';
import { LEVELLING_FIGURES } from './levelling-figures.ts';

const SAFE = say('figures.safe');
const SHEET = say('figures.sheet');

/** Every default by name. A job's own figure of the same name takes its place. */
export const FIGURES = {
  ...LEVELLING_FIGURES,
  'carry-kg': figure(say('figures.carry-kg.words'), 25, 'kg', 5, 60, SAFE),
  'piece-mm': figure(say('figures.piece-mm.words'), 1200, 'mm', 300, 3000),
  'strip-wide-mm': figure(say('figures.strip-wide-mm.words'), 1000, 'mm', 300, 2000),
  'strip-long-mm': figure(say('figures.strip-long-mm.words'), 3000, 'mm', 1000, 6000),
  'saw-allowance-mm': figure(
    say('figures.saw-allowance-mm.words'),
    0.5,
    'mm',
    0,
    2,
    say('figures.saw-allowance-mm.source'),
  ),
  'services-clear-mm': figure(
    say('figures.services-clear-mm.words'),
    30,
    'mm',
    10,
    100,
    say('figures.services-clear-mm.source'),
  ),
  'cabinet-front-mm': figure(
    say('figures.cabinet-front-mm.words'),
    100,
    'mm',
    40,
    300,
    say('figures.cabinet-front-mm.source'),
  ),
  'pipe-clear-mm': figure(say('figures.pipe-clear-mm.words'), 15, 'mm', 5, 100),
  crew: figure(say('figures.crew.words'), 2, '', 1, 8, say('figures.crew.source')),
  'hours-a-day': figure(say('figures.hours-a-day.words'), 7, 'h', 1, 14),
  'bag-kg': figure(say('figures.bag-kg.words'), 20, 'kg', 5, 40, SAFE),
  'bag-l': figure(say('figures.bag-l.words'), 35, 'l', 10, 120),
  'skip-kg': figure(say('figures.skip-kg.words'), 4000, 'kg', 500, 20_000, say('figures.skip-kg.source')),
  'skip-m3': figure(say('figures.skip-m3.words'), 4, 'm³', 1, 20),
  'bulk-soft': figure(say('figures.bulk-soft.words'), 250, 'kg/m³', 50, 1500),
  'bulk-mineral': figure(say('figures.bulk-mineral.words'), 900, 'kg/m³', 300, 2500),
  'skirting-h-m': figure(say('figures.skirting-h-m.words'), 0.06, 'h/m', 0.01, 1),
  'gripper-h-m': figure(say('figures.gripper-h-m.words'), 0.03, 'h/m', 0.005, 0.5),
  'staples-h-m2': figure(say('figures.staples-h-m2.words'), 0.12, 'h/m²', 0.01, 1),
  'sink-h-m2': figure(say('figures.sink-h-m2.words'), 0.05, 'h/m²', 0.01, 1),
  'skim-h-m2': figure(say('figures.skim-h-m2.words'), 0.15, 'h/m²', 0.02, 1),
  'skim-kg-m2': figure(say('figures.skim-kg-m2.words'), 2.1, 'kg/m²', 0.5, 10, say('figures.skim-kg-m2.source')),
  'skim-cost-m2': figure(say('figures.skim-cost-m2.words'), 4.5, '/m²', 0, 100, PRICE),
  'screw-h-m2': figure(say('figures.screw-h-m2.words'), 0.12, 'h/m²', 0.02, 1),
  'screw-cost-m2': figure(say('figures.screw-cost-m2.words'), 1.2, '/m²', 0, 50, PRICE),
  'undercut-h-m': figure(say('figures.undercut-h-m.words'), 0.35, 'h/m', 0.05, 2),
  'tile-hollow-pct': figure(say('figures.tile-hollow-pct.words'), 5, '%', 0, 30, say('figures.tile-hollow-pct.source')),
  'tile-grout-mm': figure(say('figures.tile-grout-mm.words'), 6, 'mm', 1, 15),
  'vinyl-keep-mm': figure(say('figures.vinyl-keep-mm.words'), 2, 'mm', 0.5, 5),
  'height-mm': figure(say('figures.height-mm.words'), 15, 'mm', 2, 50, say('figures.height-mm.source')),
  'labour-h': figure(say('figures.labour-h.words'), 42, '/h', 0, 500, PRICE),
  'disposal-kg': figure(say('figures.disposal-kg.words'), 0.22, '/kg', 0, 20, PRICE),
  'extractor-day': figure(say('figures.extractor-day.words'), 34, '/day', 0, 500, PRICE),
  'hammer-day': figure(say('figures.hammer-day.words'), 46, '/day', 0, 500, PRICE),
  'saw-day': figure(say('figures.saw-day.words'), 28, '/day', 0, 500, PRICE),
  'grinder-day': figure(say('figures.grinder-day.words'), 38, '/day', 0, 500, PRICE),
  'stripper-day': figure(say('figures.stripper-day.words'), 62, '/day', 0, 500, PRICE),
  'tap-mm': figure(say('figures.tap-mm.words'), 500, 'mm', 200, 1500),
  'damp-age-days': figure(say('figures.damp-age-days.words'), 30, 'days', 1, 365, say('figures.damp-age-days.source')),
  'service-h': figure(say('figures.service-h.words'), 48, 'h', 12, 168, say('figures.service-h.source')),
  'air-gap-h': figure(say('figures.air-gap-h.words'), 14, 'h', 1, 72, say('figures.air-gap-h.source')),
  'dew-margin-c': figure(say('figures.dew-margin-c.words'), 3, '°C', 1, 10, say('figures.dew-margin-c.source')),
  'hood-rh': figure(say('figures.hood-rh.words'), 75, '%RH', 30, 100, SHEET),
  'hood-wood-rh': figure(say('figures.hood-wood-rh.words'), 65, '%RH', 30, 100, SHEET),
  'dish-g': figure(say('figures.dish-g.words'), 14.6, 'g/(m² 24 h)', 1, 60, say('figures.dish-g.source', { SHEET })),
  'carbide-cement': figure(say('figures.carbide-cement.words'), 2, 'CM-%', 0.5, 5, SHEET),
  'carbide-cement-heated': figure(say('figures.carbide-cement-heated.words'), 1.8, 'CM-%', 0.5, 5, SHEET),
  'carbide-sulfate': figure(say('figures.carbide-sulfate.words'), 0.5, 'CM-%', 0.1, 2, SHEET),
  'carbide-sulfate-heated': figure(say('figures.carbide-sulfate-heated.words'), 0.3, 'CM-%', 0.1, 2, SHEET),
  'boards-diff': figure(say('figures.boards-diff.words'), 2, '%MC', 0.5, 8, say('figures.boards-diff.source')),
  'ph-most': figure(say('figures.ph-most.words'), 10, 'pH', 7, 14, SHEET),
  'survey-outlier': figure(say('figures.survey-outlier.words'), 4, '%', 0.5, 100, say('figures.survey-outlier.source')),
  'survey-ratio': figure(say('figures.survey-ratio.words'), 1.3, '×', 1, 5),
  'membrane-rh': figure(say('figures.membrane-rh.words'), 95, '%RH', 75, 100, SHEET),
  'membrane-cost-m2': figure(say('figures.membrane-cost-m2.words'), 14, '/m²', 0, 200, PRICE),
  'membrane-days': figure(say('figures.membrane-days.words'), 2, 'days', 0.5, 14, SHEET),
  'dryer-day': figure(say('figures.dryer-day.words'), 24, '/day', 0, 500, PRICE),
  'screw-mm': figure(say('figures.screw-mm.words'), 150, 'mm', 50, 600),
  'crack-mm': figure(say('figures.crack-mm.words'), 1.5, 'mm', 0.2, 10),
  'resin-l-m': figure(say('figures.resin-l-m.words'), 0.25, 'l/m', 0.02, 3),
  'stitch-mm': figure(say('figures.stitch-mm.words'), 200, 'mm', 100, 600),
  'fill-kg-l': figure(say('figures.fill-kg-l.words'), 2, 'kg/l', 1, 3),
  'bounce-mm': figure(say('figures.bounce-mm.words'), 2, 'mm', 0.5, 10, say('figures.bounce-mm.source')),
} as const satisfies Record<string, FigureSpec>;

export type FigureName = keyof typeof FIGURES;

/** A job's own value for a figure, with where it comes from. */
export interface OwnFigure {
  name: string;
  value: number;
  source: string;
}

/** Looks a figure up: the job's own where there is one, else the default. */
export type FigureOf = (name: FigureName) => number;

export function figuresOf(own: readonly OwnFigure[]): FigureOf {
  const byName = new Map(own.map((f) => [f.name, f.value]));
  return (name) => byName.get(name) ?? FIGURES[name].value;
}

export function isFigure(name: string): name is FigureName {
  return name in FIGURES;
}
