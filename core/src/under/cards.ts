import type { FilmCard, MembraneCard, PanelCard, UnderCards, UnderlayCard } from './card-facts.ts';

const GENERIC = 'Generic card: invented figures inside the usual range. The maker’s sheet wins.';

const underlay = (
  id: string,
  name: string,
  of: Partial<UnderlayCard> & Pick<UnderlayCard, 'kind' | 'thicknessMm' | 'kPa' | 'rM2KW' | 'costM2'>,
): UnderlayCard => ({
  id: `shipped-${id}`,
  name,
  setShare: 0.05,
  sdM: 0.1,
  filmSdM: 0,
  stepDb: 18,
  stepDbOn: 'mineral',
  conformsMm: 0.5,
  heatRated: 'yes',
  isTacky: false,
  rollWidthMm: 1000,
  rollLengthMm: 15_000,
  source: GENERIC,
  ...of,
});

const UNDERLAYS: readonly UnderlayCard[] = [
  underlay('thin-foam', 'Thin firm foam', {
    kind: 'foam',
    thicknessMm: 1.5,
    kPa: 220,
    rM2KW: 0.03,
    stepDb: 16,
    sdM: 0.5,
    costM2: 3.2,
  }),
  underlay('foam', 'Closed-cell foam', {
    kind: 'foam',
    thicknessMm: 3,
    kPa: 65,
    rM2KW: 0.075,
    conformsMm: 1,
    sdM: 0.5,
    costM2: 2.4,
  }),
  underlay('foam-film', 'Foam with its own film', {
    kind: 'foam',
    thicknessMm: 2,
    kPa: 90,
    rM2KW: 0.05,
    filmSdM: 100,
    stepDb: 17,
    costM2: 4.6,
  }),
  underlay('composite', 'Mineral composite mat', {
    kind: 'composite',
    thicknessMm: 1.5,
    kPa: 400,
    rM2KW: 0.01,
    setShare: 0.02,
    stepDb: 17,
    conformsMm: 0.3,
    rollWidthMm: 1200,
    rollLengthMm: 10_000,
    costM2: 7.8,
  }),
  underlay('rubber', 'Rubber granulate', {
    kind: 'rubber',
    thicknessMm: 3,
    kPa: 150,
    rM2KW: 0.03,
    setShare: 0,
    stepDb: 21,
    conformsMm: 1,
    rollLengthMm: 10_000,
    costM2: 9.5,
  }),
  underlay('cork', 'Cork', {
    kind: 'cork',
    thicknessMm: 2,
    kPa: 200,
    rM2KW: 0.045,
    setShare: 0,
    stepDb: 17,
    heatRated: 'unsaid',
    rollLengthMm: 10_000,
    costM2: 6,
  }),
  underlay('wood-fibre', 'Wood fibre board', {
    kind: 'fibre',
    thicknessMm: 5,
    kPa: 120,
    rM2KW: 0.1,
    stepDb: 19,
    stepDbOn: 'timber',
    conformsMm: 2,
    heatRated: 'no',
    rollWidthMm: 590,
    rollLengthMm: 790,
    costM2: 3.9,
  }),
];

const film = (id: string, name: string, of: Partial<FilmCard> & Pick<FilmCard, 'sdM'>): FilmCard => ({
  id: `shipped-${id}`,
  name,
  thicknessMm: 0.2,
  rM2KW: 0,
  rollWidthMm: 2000,
  rollLengthMm: 25_000,
  isRadonRated: false,
  costM2: 0.7,
  source: GENERIC,
  ...of,
});

const FILMS: readonly FilmCard[] = [
  film('film', 'Film 0.2 mm', { sdM: 100 }),
  film('film-foil', 'Foil-faced film', { sdM: 1500, thicknessMm: 0.3, costM2: 1.9, rollWidthMm: 1500 }),
  film('film-open', 'Open sheet', { sdM: 0.2, costM2: 1.1, rollWidthMm: 1500, rollLengthMm: 50_000 }),
];

const membrane = (
  id: string,
  name: string,
  of: Partial<MembraneCard> & Pick<MembraneCard, 'binder' | 'limitRh'>,
): MembraneCard => ({
  id: `shipped-${id}`,
  name,
  primerKgM2: 0,
  primerH: 0,
  coats: 2,
  coatKgM2: 0.3,
  nextFromH: 6,
  nextToH: 24,
  potLifeMin: 30,
  tubKg: 10,
  takesCompound: true,
  takesAdhesive: true,
  hardH: 24,
  costM2: 14,
  source: GENERIC,
  ...of,
});

const MEMBRANES: readonly MembraneCard[] = [
  membrane('membrane-epoxy', 'Epoxy membrane, two coats', { binder: 'epoxy', limitRh: 98 }),
  membrane('membrane-polyurethane', 'Polyurethane membrane', {
    binder: 'polyurethane',
    limitRh: 90,
    coats: 2,
    coatKgM2: 0.15,
    nextFromH: 1,
    nextToH: 24,
    potLifeMin: 60,
    takesCompound: false,
    hardH: 12,
    costM2: 9,
  }),
  membrane('membrane-dispersion', 'Dispersion membrane', {
    binder: 'dispersion',
    limitRh: 85,
    primerKgM2: 0.12,
    primerH: 2,
    coatKgM2: 0.25,
    nextFromH: 2,
    nextToH: 48,
    potLifeMin: 240,
    costM2: 7,
  }),
];

const panel = (
  id: string,
  name: string,
  of: Partial<PanelCard> & Pick<PanelCard, 'stuff' | 'thicknessMm' | 'lengthMm' | 'widthMm' | 'costEach'>,
): PanelCard => ({
  id: `shipped-${id}`,
  name,
  gapMm: 1.5,
  rM2KW: 0.045,
  kgM2: 4.2,
  hasDimples: false,
  source: GENERIC,
  ...of,
});

const PANELS: readonly PanelCard[] = [
  panel('plywood-6', 'Plywood 6 mm, half sheet', {
    stuff: 'plywood',
    thicknessMm: 6,
    lengthMm: 1220,
    widthMm: 1220,
    costEach: 14,
  }),
  panel('plywood-6-long', 'Plywood 6 mm, full sheet', {
    stuff: 'plywood',
    thicknessMm: 6,
    lengthMm: 2440,
    widthMm: 1220,
    costEach: 27,
  }),
  panel('plywood-9-long', 'Plywood 9 mm, full sheet', {
    stuff: 'plywood',
    thicknessMm: 9,
    lengthMm: 2440,
    widthMm: 1220,
    rM2KW: 0.07,
    kgM2: 6.2,
    costEach: 36,
  }),
  panel('hardboard-6', 'Hardboard 6 mm', {
    stuff: 'hardboard',
    thicknessMm: 6,
    lengthMm: 1220,
    widthMm: 610,
    rM2KW: 0.04,
    kgM2: 5.4,
    costEach: 6,
  }),
  panel('fibre-cement-6', 'Fibre cement 6 mm', {
    stuff: 'fibre-cement',
    thicknessMm: 6,
    lengthMm: 1200,
    widthMm: 800,
    rM2KW: 0.02,
    kgM2: 10,
    hasDimples: true,
    costEach: 17,
  }),
];

/** Cards that ship: generic kinds with invented figures, never a real product. */
export const SHIPPED_UNDER: UnderCards = {
  underlays: UNDERLAYS,
  films: FILMS,
  membranes: MEMBRANES,
  panels: PANELS,
};

export const NO_UNDER_CARDS: UnderCards = { underlays: [], films: [], membranes: [], panels: [] };

/** A job's own cards before those that ship. */
export const allUnder = (own: UnderCards): UnderCards => ({
  underlays: [...own.underlays, ...UNDERLAYS],
  films: [...own.films, ...FILMS],
  membranes: [...own.membranes, ...MEMBRANES],
  panels: [...own.panels, ...PANELS],
});

/** The card of an id among some; null where none is named or it is gone. */
export const cardOf = <C extends { id: string }>(cards: readonly C[], id: string | null): C | null =>
  cards.find((card) => card.id === id) ?? null;
