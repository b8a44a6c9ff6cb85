import { figure, flag, kind, oneOf, orNull, text, whole, within, type FactOf } from '../fields/index.ts';
import { STATED_WORDS } from '../coverings/index.ts';
import { UNDERLAY_KINDS } from './option.ts';

/** Ranges taken on cards of what lies under planks: what is physically sensible, wider than any shipped card. */
export const UNDER_RANGES = {
  underlayMm: { min: 0.5, max: 25 },
  filmMm: { min: 0.05, max: 5 },
  kPa: { min: 1, max: 2000 },
  rM2KW: { min: 0, max: 0.5 },
  sdM: { min: 0.01, max: 5000 },
  stepDb: { min: 0, max: 45 },
  conformsMm: { min: 0, max: 5 },
  rollWidthMm: { min: 200, max: 6000 },
  rollLengthMm: { min: 500, max: 100_000 },
  lapMm: { min: 0, max: 500 },
  panelMm: { min: 2, max: 30 },
  panelSideMm: { min: 200, max: 5000 },
} as const;
const COST_MOST = 1000;

/** A soft layer, as its sheet states it. */
export const underlays = kind('book', 'Underlay', {
  name: text(80),
  kind: oneOf(...UNDERLAY_KINDS),
  thicknessMm: within(UNDER_RANGES.underlayMm, 'mm'),
  /** Pressure at which it has given way by half a millimetre, kPa; null where the sheet names none. So with all that may be null. */
  kPa: orNull(within(UNDER_RANGES.kPa)),
  /** Share of its thickness lost for good. */
  setShare: figure(0, 0.15),
  rM2KW: orNull(within(UNDER_RANGES.rM2KW)),
  sdM: orNull(within(UNDER_RANGES.sdM, 'm')),
  /** Film that is part of it, m of sd; 0 without one. */
  filmSdM: figure(0, UNDER_RANGES.sdM.max, 'm'),
  stepDb: orNull(within(UNDER_RANGES.stepDb)),
  /** The base its step noise was measured on. */
  stepDbOn: oneOf('unsaid', 'mineral', 'timber'),
  conformsMm: orNull(within(UNDER_RANGES.conformsMm, 'mm')),
  heatRated: oneOf(...STATED_WORDS),
  /** Its face is tacky: planks cannot be slid on it, and its film is drawn back an arm ahead. */
  isTacky: flag(),
  rollWidthMm: within(UNDER_RANGES.rollWidthMm, 'mm'),
  rollLengthMm: within(UNDER_RANGES.rollLengthMm, 'mm'),
  costM2: figure(0, COST_MOST),
  source: text(300),
});
export type UnderlayCard = FactOf<typeof underlays>;

/** A sheet that holds vapour back. */
export const films = kind('book', 'Film', {
  name: text(80),
  thicknessMm: within(UNDER_RANGES.filmMm, 'mm'),
  sdM: within(UNDER_RANGES.sdM, 'm'),
  rM2KW: within(UNDER_RANGES.rM2KW),
  rollWidthMm: within(UNDER_RANGES.rollWidthMm, 'mm'),
  rollLengthMm: within(UNDER_RANGES.rollLengthMm, 'mm'),
  /** Its sheet rates it against radon, sealed all round. */
  isRadonRated: flag(),
  costM2: figure(0, COST_MOST),
  source: text(300),
});
export type FilmCard = FactOf<typeof films>;

export const BINDERS = ['epoxy', 'polyurethane', 'dispersion'] as const;

/** A liquid that is rolled on and holds vapour back. */
export const membranes = kind('book', 'Membrane', {
  name: text(80),
  binder: oneOf(...BINDERS),
  /** The wettest base it is rated for, %RH in the slab. */
  limitRh: within({ min: 75, max: 100 }, '%RH'),
  /** Primer before the first coat, kg for each m²; 0 where none is asked. */
  primerKgM2: figure(0, 2),
  primerH: figure(0, 72, 'h'),
  coats: whole(1, 4),
  coatKgM2: figure(0.05, 3),
  /** The next coat goes on between these hours after the one before. */
  nextFromH: figure(0.5, 72, 'h'),
  nextToH: figure(1, 168, 'h'),
  potLifeMin: figure(5, 240),
  tubKg: figure(0.5, 50),
  /** What may be laid over it, once it is hard. */
  takesCompound: flag(),
  takesAdhesive: flag(),
  hardH: figure(1, 336, 'h'),
  costM2: figure(0, COST_MOST),
  source: text(300),
});
export type MembraneCard = FactOf<typeof membranes>;

export const PANEL_STUFF = ['plywood', 'hardboard', 'fibre-cement', 'fibreboard'] as const;

/** A panel that is fixed over boards or panels. */
export const panels = kind('book', 'Panel', {
  name: text(80),
  stuff: oneOf(...PANEL_STUFF),
  thicknessMm: within(UNDER_RANGES.panelMm, 'mm'),
  lengthMm: within(UNDER_RANGES.panelSideMm, 'mm'),
  widthMm: within(UNDER_RANGES.panelSideMm, 'mm'),
  /** Left open between panels, mm. */
  gapMm: figure(0, 5, 'mm'),
  rM2KW: within(UNDER_RANGES.rM2KW),
  kgM2: figure(1, 60),
  /** Dimples at which it is fixed; they are filled with the heads. */
  hasDimples: flag(),
  costEach: figure(0, COST_MOST),
  source: text(300),
});
export type PanelCard = FactOf<typeof panels>;

/** Cards of what lies under planks, each kind in a list of its own. */
export interface UnderCards {
  underlays: readonly UnderlayCard[];
  films: readonly FilmCard[];
  membranes: readonly MembraneCard[];
  panels: readonly PanelCard[];
}
