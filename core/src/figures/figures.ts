import { figure, PRICE, type FigureSpec } from './figure.ts';
import { LEVELLING_FIGURES } from './levelling-figures.ts';

const SAFE = 'Common lifting guidance; the employer’s rules win.';
const SHEET = 'Usual figure; the maker’s sheet wins.';

/** Every default by name. A job's own figure of the same name takes its place. */
export const FIGURES = {
  ...LEVELLING_FIGURES,
  'carry-kg': figure('Heaviest piece one person carries', 25, 'kg', 5, 60, SAFE),
  'piece-mm': figure('Longest side of a sawn piece', 1200, 'mm', 300, 3000),
  'strip-wide-mm': figure('Width of a carpet or sheet strip', 1000, 'mm', 300, 2000),
  'strip-long-mm': figure('Length of a strip before it is rolled', 3000, 'mm', 1000, 6000),
  'saw-allowance-mm': figure(
    'Saw set deeper than the layers by',
    0.5,
    'mm',
    0,
    2,
    'Enough to part the last ply; more marks the base.',
  ),
  'services-clear-mm': figure(
    'Saw and drill keep off services by',
    30,
    'mm',
    10,
    100,
    'Usual clearance; pipes and cables are located first.',
  ),
  'cabinet-front-mm': figure(
    'Saw cut in front of cabinets',
    100,
    'mm',
    40,
    300,
    'Room for the saw’s base plate; undercut behind it.',
  ),
  'pipe-clear-mm': figure('Cut round pipes keeps off by', 15, 'mm', 5, 100),
  crew: figure('People on the strip-out', 2, '', 1, 8, 'Change it to the crew you bring.'),
  'hours-a-day': figure('Working hours in a day', 7, 'h', 1, 14),
  'bag-kg': figure('Rubble bag filled to', 20, 'kg', 5, 40, SAFE),
  'bag-l': figure('Rubble bag holds', 35, 'l', 10, 120),
  'skip-kg': figure('Skip weight limit', 4000, 'kg', 500, 20_000, 'Ask the skip hirer: limits differ by lorry.'),
  'skip-m3': figure('Skip holds', 4, 'm³', 1, 20),
  'bulk-soft': figure('Loose soft debris weighs', 250, 'kg/m³', 50, 1500),
  'bulk-mineral': figure('Loose mineral debris weighs', 900, 'kg/m³', 300, 2500),
  'skirting-h-m': figure('Skirting off, labelled and denailed', 0.06, 'h/m', 0.01, 1),
  'gripper-h-m': figure('Gripper levered off', 0.03, 'h/m', 0.005, 0.5),
  'staples-h-m2': figure('Staples pulled', 0.12, 'h/m²', 0.01, 1),
  'sink-h-m2': figure('Staples sunk', 0.05, 'h/m²', 0.01, 1),
  'skim-h-m2': figure('Prime and skim', 0.15, 'h/m²', 0.02, 1),
  'skim-kg-m2': figure('Skim compound', 2.1, 'kg/m²', 0.5, 10, 'About 1.5 mm at 1.4 kg per m² and mm.'),
  'skim-cost-m2': figure('Primer and skim', 4.5, '/m²', 0, 100, PRICE),
  'screw-h-m2': figure('Boards screwed down', 0.12, 'h/m²', 0.02, 1),
  'screw-cost-m2': figure('Screws', 1.2, '/m²', 0, 50, PRICE),
  'undercut-h-m': figure('Undercut at a toe-kick', 0.35, 'h/m', 0.05, 2),
  'tile-hollow-pct': figure(
    'Hollow tiles taken at most',
    5,
    '%',
    0,
    30,
    'Over it, or any loose field: take up and patch.',
  ),
  'tile-grout-mm': figure('Widest grout line covered without a skim', 6, 'mm', 1, 15),
  'vinyl-keep-mm': figure('Thickest sheet vinyl covered', 2, 'mm', 0.5, 5),
  'height-mm': figure(
    'Greatest step at an opening before keeping is refused',
    15,
    'mm',
    2,
    50,
    'Beyond it a reducer no longer serves.',
  ),
  'labour-h': figure('Labour', 42, '/h', 0, 500, PRICE),
  'disposal-kg': figure('Disposal', 0.22, '/kg', 0, 20, PRICE),
  'extractor-day': figure('Extractor, class M', 34, '/day', 0, 500, PRICE),
  'hammer-day': figure('Chisel hammer', 46, '/day', 0, 500, PRICE),
  'saw-day': figure('Plunge saw', 28, '/day', 0, 500, PRICE),
  'grinder-day': figure('Shrouded grinder', 38, '/day', 0, 500, PRICE),
  'stripper-day': figure('Powered floor scraper', 62, '/day', 0, 500, PRICE),
  'tap-mm': figure('Tapping grid', 500, 'mm', 200, 1500),
  'damp-age-days': figure(
    'A damp reading counts for',
    30,
    'days',
    1,
    365,
    'Usual; sooner when heating or weather changes.',
  ),
  'service-h': figure('Air in band before testing and laying', 48, 'h', 12, 168, 'Usual service conditions.'),
  'air-gap-h': figure(
    'Longest gap between air readings',
    14,
    'h',
    1,
    72,
    'Morning and evening by hand; longer proves nothing.',
  ),
  'dew-margin-c': figure('Surface over the dew point', 3, '°C', 1, 10, 'Usual for priming, pouring and sealing.'),
  'hood-rh': figure('Hood: resilient and laminate', 75, '%RH', 30, 100, SHEET),
  'hood-wood-rh': figure('Hood: wood', 65, '%RH', 30, 100, SHEET),
  'dish-g': figure('Vapour dish', 14.6, 'g/(m² 24 h)', 1, 60, `3 lb/(1000 ft² 24 h). ${SHEET}`),
  'carbide-cement': figure('Carbide: cement screed', 2, 'CM-%', 0.5, 5, SHEET),
  'carbide-cement-heated': figure('Carbide: heated cement screed', 1.8, 'CM-%', 0.5, 5, SHEET),
  'carbide-sulfate': figure('Carbide: calcium sulfate', 0.5, 'CM-%', 0.1, 2, SHEET),
  'carbide-sulfate-heated': figure('Carbide: heated calcium sulfate', 0.3, 'CM-%', 0.1, 2, SHEET),
  'boards-diff': figure(
    'Boards and base differ at most',
    2,
    '%MC',
    0.5,
    8,
    'Usual for planks over 75 mm wide; 4 for narrower strips.',
  ),
  'ph-most': figure('Alkalinity for adhesive at most', 10, 'pH', 7, 14, SHEET),
  'survey-outlier': figure('Survey meter: a place to test from', 4, '%', 0.5, 100, 'The meter’s own table wins.'),
  'survey-ratio': figure('Survey meter: or over the median by', 1.3, '×', 1, 5),
  'membrane-rh': figure('Surface membrane holds back up to', 95, '%RH', 75, 100, SHEET),
  'membrane-cost-m2': figure('Surface membrane, two coats', 14, '/m²', 0, 200, PRICE),
  'membrane-days': figure('Surface membrane, coats and drying', 2, 'days', 0.5, 14, SHEET),
  'dryer-day': figure('Dehumidifier', 24, '/day', 0, 500, PRICE),
  'screw-mm': figure('Screws along a joist every', 150, 'mm', 50, 600),
  'crack-mm': figure('Crack that is stitched from', 1.5, 'mm', 0.2, 10),
  'resin-l-m': figure('Resin for a stitched crack', 0.25, 'l/m', 0.02, 3),
  'stitch-mm': figure('Stitches across a crack every', 200, 'mm', 100, 600),
  'fill-kg-l': figure('Repair mortar', 2, 'kg/l', 1, 3),
  'bounce-mm': figure('Movement under a person at most', 2, 'mm', 0.5, 10, 'More is soundness, not filling.'),
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
