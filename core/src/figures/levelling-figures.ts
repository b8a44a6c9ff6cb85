import { say } from '../said/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';

const ASSUMED = say('figures.assumed');

/** Rates, limits and prices the levelling planner works with. */
export const LEVELLING_FIGURES = {
  'grind-most-mm': figure(say('figures.grind-most-mm.words'), 3, 'mm', 0, 5, say('figures.grind-most-mm.source')),
  'heating-cover-mm': figure(
    say('figures.heating-cover-mm.words'),
    30,
    'mm',
    5,
    100,
    say('figures.heating-cover-mm.source'),
  ),
  'grind-pass-mm': figure(say('figures.grind-pass-mm.words'), 1, 'mm', 0.2, 3),
  'grind-l-h': figure(say('figures.grind-l-h.words'), 4, 'l/h', 0.2, 40),
  'fill-most-mm': figure(say('figures.fill-most-mm.words'), 40, 'mm', 1, 100, say('figures.fill-most-mm.source')),
  'door-fill-mm': figure(say('figures.door-fill-mm.words'), 8, 'mm', 0, 50, say('figures.door-fill-mm.source')),
  'door-reach-mm': figure(say('figures.door-reach-mm.words'), 150, 'mm', 0, 1000),
  'threshold-tol-mm': figure(
    say('figures.threshold-tol-mm.words'),
    1,
    'mm',
    0.2,
    5,
    say('figures.threshold-tol-mm.source'),
  ),
  'touch-h-m2': figure(say('figures.touch-h-m2.words'), 0.06, 'h/m²', 0, 1),
  'primer-l-m2': figure(say('figures.primer-l-m2.words'), 0.12, 'l/m²', 0.02, 1, say('figures.primer-l-m2.source')),
  'primer-cost-l': figure(say('figures.primer-cost-l.words'), 9, '/l', 0, 200, PRICE),
  'primer-dry-h': figure(say('figures.primer-dry-h.words'), 2, 'h', 0.2, 48, say('figures.primer-dry-h.source')),
  'bag-min': figure(say('figures.bag-min.words'), 8, 'min', 1, 60),
  'waste-pct': figure(say('figures.waste-pct.words'), 5, '%', 0, 40),
  mixers: figure(say('figures.mixers.words'), 1, '', 1, 8, say('figures.mixers.source')),
  'wet-edge-min': figure(say('figures.wet-edge-min.words'), 10, 'min', 2, 60, say('figures.wet-edge-min.source')),
  'ribbon-mm': figure(say('figures.ribbon-mm.words'), 500, 'mm', 100, 2000),
  'panel-mm': figure(say('figures.panel-mm.words'), 6, 'mm', 3, 22),
  'panel-cost-m2': figure(say('figures.panel-cost-m2.words'), 12, '/m²', 0, 200, PRICE),
  'panel-h-m2': figure(say('figures.panel-h-m2.words'), 0.28, 'h/m²', 0.05, 2),
  'plank-length-mm': figure(
    say('figures.plank-length-mm.words'),
    1200,
    'mm',
    300,
    3000,
    say('figures.plank-length-mm.source'),
  ),
  'plank-width-mm': figure(
    say('figures.plank-width-mm.words'),
    180,
    'mm',
    60,
    500,
    say('figures.plank-width-mm.source'),
  ),
  'plank-modulus': figure(say('figures.plank-modulus.words'), 4000, 'N/mm²', 500, 15_000, ASSUMED),
  'plank-joint-share': figure(say('figures.plank-joint-share.words'), 0.15, '×', 0.01, 1, ASSUMED),
  'plank-bed': figure(say('figures.plank-bed.words'), 0.1, 'N/mm³', 0.005, 5, ASSUMED),
  'foot-n': figure(say('figures.foot-n.words'), 800, 'N', 200, 2000, say('figures.foot-n.source')),
} as const satisfies Record<string, FigureSpec>;
