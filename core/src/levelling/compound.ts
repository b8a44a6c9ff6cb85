import { allOf, gap, say, type Said } from '../said/index.ts';
import type { BaseKind, RoomFacts } from '../room/index.ts';
import { LEVELLING_FIGURES, type FigureOf, type FigureSpec, type OwnFigure } from '../figures/index.ts';

/** A levelling product as its bag describes it. Generic kinds with invented figures inside the usual ranges. */
export interface CompoundCard {
  id: string;
  name: Said;
  /** What makes it hard: cement lets go of calcium sulfate. */
  binder: 'cement' | 'gypsum';
  /** Mass for a litre of cured compound: kg for each m2 and mm of thickness. */
  kgPerM2Mm: number;
  leastMm: number;
  mostPerLiftMm: number;
  /** Whether it may be drawn out to nothing at its edge; what does is spread by trowel, the others flow out level. */
  feathers: boolean;
  bagKg: number;
  waterLPerKg: number;
  /** In the job's own money. */
  bagCost: number;
  potLifeMin: number;
  walkH: number;
  /** Hours until it may be covered up to 5 mm deep, and more for each further mm; 20 °C, 65 %RH. */
  coverH: number;
  coverHPerMm: number;
  source: Said;
}

const GENERIC = say('levelling.generic');

export const SHIPPED_COMPOUNDS: readonly CompoundCard[] = [
  {
    id: 'patching',
    name: say('levelling.shippedCompounds1Name'),
    binder: 'cement',
    kgPerM2Mm: 1.4,
    leastMm: 0,
    mostPerLiftMm: 10,
    feathers: true,
    bagKg: 20,
    waterLPerKg: 0.22,
    bagCost: 24,
    potLifeMin: 20,
    walkH: 1,
    coverH: 6,
    coverHPerMm: 1,
    source: GENERIC,
  },
  {
    id: 'self-levelling',
    name: say('levelling.shippedCompounds2Name'),
    binder: 'cement',
    kgPerM2Mm: 1.7,
    leastMm: 3,
    mostPerLiftMm: 10,
    feathers: false,
    bagKg: 25,
    waterLPerKg: 0.22,
    bagCost: 28,
    potLifeMin: 18,
    walkH: 3,
    coverH: 24,
    coverHPerMm: 8,
    source: GENERIC,
  },
  {
    id: 'deep-levelling',
    name: say('levelling.shippedCompounds3Name'),
    binder: 'cement',
    kgPerM2Mm: 1.7,
    leastMm: 5,
    mostPerLiftMm: 50,
    feathers: false,
    bagKg: 25,
    waterLPerKg: 0.2,
    bagCost: 31,
    potLifeMin: 20,
    walkH: 4,
    coverH: 24,
    coverHPerMm: 8,
    source: GENERIC,
  },
  {
    id: 'gypsum-patching',
    name: say('levelling.gypsumPatching'),
    binder: 'gypsum',
    kgPerM2Mm: 1.5,
    leastMm: 0,
    mostPerLiftMm: 10,
    feathers: true,
    bagKg: 20,
    waterLPerKg: 0.3,
    bagCost: 26,
    potLifeMin: 25,
    walkH: 2,
    coverH: 12,
    coverHPerMm: 2,
    source: GENERIC,
  },
  {
    id: 'gypsum-levelling',
    name: say('levelling.gypsumLevelling'),
    binder: 'gypsum',
    kgPerM2Mm: 1.6,
    leastMm: 2,
    mostPerLiftMm: 30,
    feathers: false,
    bagKg: 25,
    waterLPerKg: 0.24,
    bagCost: 30,
    potLifeMin: 25,
    walkH: 3,
    coverH: 24,
    coverHPerMm: 8,
    source: GENERIC,
  },
  {
    id: 'fibre-levelling',
    name: say('levelling.shippedCompounds4Name'),
    binder: 'cement',
    kgPerM2Mm: 1.6,
    leastMm: 3,
    mostPerLiftMm: 30,
    feathers: false,
    bagKg: 20,
    waterLPerKg: 0.24,
    bagCost: 34,
    potLifeMin: 20,
    walkH: 3,
    coverH: 24,
    coverHPerMm: 8,
    source: GENERIC,
  },
];

/** What of a product can be changed for a job, with the range taken. */
const COMPOUND_FIGURES = {
  kgPerM2Mm: { words: 'covers', unit: 'kg/(m² mm)', min: 0.5, max: 3 },
  leastMm: { words: say('levelling.compoundFiguresLeastMm'), unit: 'mm', min: 0, max: 20 },
  mostPerLiftMm: { words: say('levelling.compoundFiguresMostPerLiftMm'), unit: 'mm', min: 1, max: 100 },
  bagKg: { words: 'bag', unit: 'kg', min: 1, max: 50 },
  bagCost: { words: say('levelling.compoundFiguresBagCost'), unit: '', min: 0, max: 500 },
  waterLPerKg: { words: say('levelling.compoundFiguresWaterLperKg'), unit: 'l/kg', min: 0.05, max: 0.6 },
  potLifeMin: { words: say('levelling.compoundFiguresPotLifeMin'), unit: 'min', min: 3, max: 120 },
  walkH: { words: say('levelling.compoundFiguresWalkH'), unit: 'h', min: 0.5, max: 72 },
  coverH: { words: say('levelling.compoundFiguresCoverH'), unit: 'h', min: 0.5, max: 336 },
  coverHPerMm: { words: say('levelling.compoundFiguresCoverHperMm'), unit: 'h', min: 0, max: 72 },
} as const;

/** Figures of one product by the name a job keeps its own under. */
export function compoundFigures(compound: CompoundCard): [name: string, spec: FigureSpec][] {
  return (Object.keys(COMPOUND_FIGURES) as (keyof typeof COMPOUND_FIGURES)[]).map((field) => [
    `compound/${compound.id}/${field}`,
    {
      ...COMPOUND_FIGURES[field],
      words: allOf([compound.name, COMPOUND_FIGURES[field].words], ': '),
      value: compound[field],
      source: compound.source,
    },
  ]);
}

/** The shipped products with a job's own figures put in. */
export function compoundsOf(own: readonly OwnFigure[]): CompoundCard[] {
  const byName = new Map(own.map((f) => [f.name, f.value]));
  return SHIPPED_COMPOUNDS.map((compound) => ({
    ...compound,
    ...Object.fromEntries(
      Object.keys(COMPOUND_FIGURES).flatMap((field) => {
        const value = byName.get(`compound/${compound.id}/${field}`);
        return value === undefined ? [] : [[field, value]];
      }),
    ),
  }));
}

/** Whether compound comes to lie on calcium sulfate anywhere in a room. */
export const hasSulfate = (laidOver: BaseKind, { secondBase }: Pick<RoomFacts, 'secondBase'>): boolean =>
  [laidOver, secondBase?.kind].includes('calcium-sulfate-screed');

/** Products that may come into question on a base: gypsum-based ones are for calcium sulfate. */
export const compoundsFor = (compounds: readonly CompoundCard[], sulfate: boolean): CompoundCard[] =>
  compounds.filter(({ binder }) => sulfate || binder === 'cement');

/** Hours until a depth may be covered: a first stretch up to 5 mm, then by the mm. At 20 °C and 65 %RH. */
export function coverHours(compound: CompoundCard, deepestMm: number): number {
  return compound.coverH + Math.max(0, deepestMm - 5) * compound.coverHPerMm;
}

/** Below this, degrees C, primer and compound take twice as long. */
export const COLD_C = 12;

/** Whether a room is reckoned with as cold while things dry in it. */
export const driesCold = (figure: FigureOf): boolean => figure('dry-temp-c') < COLD_C;

/** Hours from priming until a depth may be covered, in the air the job reckons with. */
export function dryingHours(compound: CompoundCard, deepestMm: number, figure: FigureOf): number {
  return (figure('primer-dry-h') + coverHours(compound, deepestMm)) * (driesCold(figure) ? 2 : 1);
}

/** Share added for what stays in the bucket, where the job names none. */
const WASTE_SHARE = LEVELLING_FIGURES['waste-pct'].value / 100;

export interface CompoundNeed {
  compound: CompoundCard;
  massKg: number;
  bags: number;
  waterL: number;
  lifts: number;
  /** Why this product does not suit the depths, or null when it does. */
  unsuited: Said | null;
}

/**
 * Bags of one product for a volume whose depth runs from `thinnestMm` to `deepestMm`.
 * On calcium sulfate what is made with cement is unsuited: the salts that form between the two lift it off.
 * Mass = volume in litres (m2 x mm) x kg per m2 and mm, plus waste; bags are rounded up once, not per patch.
 */
export function needOf(
  compound: CompoundCard,
  volumeL: number,
  thinnestMm: number,
  deepestMm: number,
  wasteShare = WASTE_SHARE,
  sulfate = false,
): CompoundNeed {
  const massKg = volumeL * compound.kgPerM2Mm * (1 + wasteShare);
  const lifts = Math.max(1, Math.ceil(deepestMm / compound.mostPerLiftMm - 1e-9));
  const tooThin = !compound.feathers && thinnestMm < compound.leastMm - 1e-9;
  return {
    compound,
    massKg,
    bags: Math.ceil(massKg / compound.bagKg - 1e-9),
    waterL: massKg * compound.waterLPerKg,
    lifts,
    unsuited:
      sulfate && compound.binder === 'cement'
        ? say('levelling.cementOnSulfate')
        : compound.feathers && thinnestMm > 0
          ? say('levelling.isSpreadByTrowelItDoes')
          : tooThin
            ? say('levelling.doesNotFeather', { leastMm: gap(compound.leastMm) })
            : lifts > 3
              ? say('levelling.wouldTakeLifts', { lifts })
              : null,
  };
}
