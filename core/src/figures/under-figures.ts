import { say } from '../said/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';

const MAKER = say('figures.makersSheet');
const WEIGHED = say('figures.weighed');
const PLACE = say('figures.ofPlace');

/** Limits, schools and weights of what lies under planks. */
export const UNDER_FIGURES = {
  'under-weight-cost': figure(say('figures.underWeightCost'), 0.35, '', 0, 1, WEIGHED),
  'under-weight-sound': figure(say('figures.underWeightSound'), 0.2, '', 0, 1, WEIGHED),
  'under-weight-heat': figure(say('figures.underWeightHeat'), 0.15, '', 0, 1, WEIGHED),
  'under-weight-thin': figure(say('figures.underWeightThin'), 0.15, '', 0, 1, WEIGHED),
  'under-weight-firm': figure(say('figures.underWeightFirm'), 0.15, '', 0, 1, WEIGHED),
  'outside-mean-c': figure(say('figures.outsideMeanC'), 10, '°C', -10, 28, PLACE),
  'outside-swing-k': figure(say('figures.outsideSwingK'), 7.5, 'K', 0, 25, PLACE),
  'unheated-share': figure(say('figures.unheatedShare'), 0.5, '', 0.1, 0.9),
  'crawl-share': figure(say('figures.crawlShare'), 0.25, '', 0.1, 0.4),
  'crawl-open-rh': figure(say('figures.crawlOpenRh'), 90, '%RH', 50, 100),
  'crawl-covered-rh': figure(say('figures.crawlCoveredRh'), 70, '%RH', 40, 100),
  'vapour-most-g': figure(say('figures.vapourMostG'), 200, 'g/m²', 50, 500),
  'vapour-wood-rh': figure(say('figures.vapourWoodRh'), 80, '%RH', 60, 95),
  'vapour-reserve-g': figure(say('figures.vapourReserveG'), 100, 'g/m²', 50, 250),
  'heat-wanted-w': figure(say('figures.heatWantedW'), 60, 'W/m²', 10, 120),
  'heat-wanted-c': figure(say('figures.heatWantedC'), 40, '°C', 20, 60),
  'heat-surface-c': figure(say('figures.heatSurfaceC'), 27, '°C', 22, 33, MAKER),
  'heat-room-c': figure(say('figures.heatRoomC'), 20, '°C', 12, 26),
  'heat-screed-r': figure(say('figures.heatScreedR'), 0.06, 'm²K/W', 0.03, 0.1),
  'heat-drop-k': figure(say('figures.heatDropK'), 5, 'K', 2, 15),
  'heat-rug-r': figure(say('figures.heatRugR'), 0.1, 'm²K/W', 0.05, 0.2),
  'film-upturn-mm': figure(say('figures.filmUpturnMm'), 50, 'mm', 20, 60),
  'roll-short-mm': figure(say('figures.rollShortMm'), 8, 'mm', 0, 10),
  'tape-m': figure(say('figures.tapeM'), 50, 'm', 5, 100, MAKER),
  'tape-cost-m': figure(say('figures.tapeCostM'), 0.4, '/m', 0, 20, PRICE),
  'panel-wall-mm': figure(say('figures.panelWallMm'), 6, 'mm', 2, 15),
  'panel-tub-mm': figure(say('figures.panelTubMm'), 1.5, 'mm', 0.5, 5),
  'panel-seam-mm': figure(say('figures.panelSeamMm'), 200, 'mm', 50, 400),
  'panel-ends-mm': figure(say('figures.panelEndsMm'), 300, 'mm', 100, 600),
  'panel-least-mm': figure(say('figures.panelLeastMm'), 100, 'mm', 75, 300),
  'panel-stand-h': figure(say('figures.panelStandH'), 48, 'h', 0, 168),
  'fixing-edge-mm': figure(say('figures.fixingEdgeMm'), 75, 'mm', 30, 300),
  'fixing-field-mm': figure(say('figures.fixingFieldMm'), 150, 'mm', 50, 400),
} as const satisfies Record<string, FigureSpec>;
