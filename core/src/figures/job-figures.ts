import { say } from '../said/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { figure, PRICE, type FigureSpec } from './figure.ts';
import { FIGURES, type FigureName } from './figures.ts';
import { usualOf } from './imperial.ts';
import type { OwnFigure } from './own.ts';

const MAKER = say('figures.makersSheet');
const COUNTRY = say('figures.localCode');
const TRADE = say('figures.askThem');
const SHARE = say('figures.ownShare');
const UNASKED = say('figures.askedAgainSource');

/** Hours, waits, charges and settings the days and the bill of a job are worked out with, where no stage knows them. */
export const JOB_FIGURES = {
  'delivery-days': figure(say('figures.deliveryDays'), 5, 'days', 0, 120),
  'carry-box-h': figure(say('figures.carryBoxH'), 0.05, 'h', 0.01, 1),
  'sample-h': figure(say('figures.sampleH'), 1, 'h', 0.25, 16),
  'sample-notice-days': figure(say('figures.sampleNoticeDays'), 2, 'days', 0, 60, TRADE),
  'sample-cost': figure(say('figures.sampleCost'), 180, '', 0, 10_000, PRICE),
  'lab-days': figure(say('figures.labDays'), 3, 'days', 0, 60),
  'lab-cost': figure(say('figures.labCost'), 60, '', 0, 10_000, PRICE),
  'lab-positive-pct': figure(say('figures.labPositivePct'), 10, '%', 0, 100, SHARE),
  'licensed-cost': figure(say('figures.licensedCost'), 1150, '', 0, 100_000, PRICE),
  'licensed-days': figure(say('figures.licensedDays'), 1, 'days', 0.25, 30, TRADE),
  'licensed-notice-days': figure(say('figures.licensedNoticeDays'), 14, 'days', 0, 120, TRADE),
  'breathe-days': figure(say('figures.breatheDays'), 7, 'days', 0, 60),
  'walk-h-m2': figure(say('figures.walkHM2'), 0.02, 'h/m²', 0.002, 0.5),
  'repair-h': figure(say('figures.repairH'), 0.75, 'h', 0.1, 16),
  'repair-cost': figure(say('figures.repairCost'), 12, '', 0, 1000, PRICE),
  'repair-set-h': figure(say('figures.repairSetH'), 12, 'h', 0, 240, MAKER),
  'decider-days': figure(say('figures.deciderDays'), 5, 'days', 0, 60, TRADE),
  'test-set-h': figure(say('figures.testSetH'), 0.5, 'h', 0.1, 4),
  'test-read-h': figure(say('figures.testReadH'), 0.25, 'h', 0.05, 2),
  'drying-days': figure(say('figures.dryingDays'), 28, 'days', 1, 700),
  'read-h-m2': figure(say('figures.readHM2'), 0.03, 'h/m²', 0.005, 0.5),
  'reread-share': figure(say('figures.rereadShare'), 0.5, '×', 0, 1),
  'prime-within-h': figure(say('figures.primeWithinH'), 24, 'h', 1, 168, MAKER),
  'coat-h-m2': figure(say('figures.coatHM2'), 0.06, 'h/m²', 0.01, 1),
  'open-h-m2': figure(say('figures.openHM2'), 0.12, 'h/m²', 0, 2),
  'panel-carry-h': figure(say('figures.panelCarryH'), 0.5, 'h', 0, 8),
  'panel-fill-h': figure(say('figures.panelFillH'), 4, 'h', 0, 72, MAKER),
  'panel-rub-h-m2': figure(say('figures.panelRubHM2'), 0.06, 'h/m²', 0, 1),
  'fixing-cost': figure(say('figures.fixingCost'), 0.03, '', 0, 5, PRICE),
  'film-h-m2': figure(say('figures.filmHM2'), 0.03, 'h/m²', 0.005, 0.5),
  'glue-wait-h': figure(say('figures.glueWaitH'), 24, 'h', 1, 168, MAKER),
  'heat-off-h': figure(say('figures.heatOffH'), 48, 'h', 0, 168, MAKER),
  'skirting-on-h-m': figure(say('figures.skirtingOnHM'), 0.12, 'h/m', 0.02, 1),
  'toilet-on-h': figure(say('figures.toiletOnH'), 0.8, 'h', 0.2, 8),
  'toilet-hire-day': figure(say('figures.toiletHireDay'), 9, '/day', 0, 200, PRICE),
  'toilets-more': figure(say('figures.toiletsMore'), 0, '', 0, 10, say('figures.countThem')),
  'appliance-h': figure(say('figures.applianceH'), 0.4, 'h', 0.1, 4),
  'hand-over-h': figure(say('figures.handOverH'), 0.75, 'h', 0.1, 8),
  'hire-trip': figure(say('figures.hireTrip'), 22, '', 0, 500, PRICE),
  'hire-week-days': figure(say('figures.hireWeekDays'), 4, 'days', 1, 7),
  'grinder-buy': figure(say('figures.grinderBuy'), 680, '', 0, 20_000, PRICE),
  'grinder-resale-pct': figure(say('figures.grinderResalePct'), 45, '%', 0, 100),
  'travel-day': figure(say('figures.travelDay'), 16, '/day', 0, 1000, PRICE),
  'travel-h': figure(say('figures.travelH'), 0, 'h', 0, 6),
  'margin-pct': figure(say('figures.marginPct'), 15, '%', 0, 80, say('figures.marginSource')),
  'tax-pct': figure(say('figures.taxPct'), 20, '%', 0, 50, COUNTRY),
  'round-to': figure(say('figures.roundTo'), 1, '', 0, 100),
  'run-cost': figure(say('figures.runCost'), 25, '', 0, 500, PRICE),
  'van-kg': figure(say('figures.vanKg'), 800, 'kg', 50, 5000),
  'van-l': figure(say('figures.vanL'), 4500, 'l', 100, 30_000),
  'fetch-early-days': figure(say('figures.fetchEarlyDays'), 14, 'days', 0, 365, say('figures.fetchEarlySource')),
  'return-days': figure(say('figures.returnDays'), 30, 'days', 0, 365, say('figures.supplierSays')),
  'valid-days': figure(say('figures.validDays'), 30, 'days', 1, 365),
  'asked-again-money': figure(say('figures.askedAgainMoney'), 0, '', 0, 10_000, UNASKED),
  'asked-again-days': figure(say('figures.askedAgainDays'), 0, 'days', 0, 60, UNASKED),
  'box-kg-m2': figure(say('figures.boxKgM2'), 9, 'kg/m²', 1, 40),
} as const satisfies Record<string, FigureSpec>;

/** Every figure of the stages and of the job. */
export const ALL_FIGURES: Readonly<Record<AnyFigureName, FigureSpec>> = { ...FIGURES, ...JOB_FIGURES };
export type AnyFigureName = FigureName | keyof typeof JOB_FIGURES;

/** Looks a figure up, of the stages or of the job: the job's own where there is one, else the default. */
export type AnyFigureOf = (name: AnyFigureName) => number;

const isJobFigure = (name: string): name is keyof typeof JOB_FIGURES => name in JOB_FIGURES;

/** Figures of a job as its days and its bill look them up. */
export function jobFiguresOf(own: readonly OwnFigure[], units: UnitSystem = 'metric'): AnyFigureOf {
  const byName = new Map(own.map(({ name, value }) => [name, value]));
  return (name) => byName.get(name) ?? (isJobFigure(name) ? JOB_FIGURES[name].value : usualOf(name, units));
}
