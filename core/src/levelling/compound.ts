/** A levelling product as its bag describes it. Generic kinds with invented figures inside the usual ranges. */
export interface CompoundCard {
  id: string;
  name: string;
  /** Mass for a litre of cured compound: kg for each m2 and mm of thickness. */
  kgPerM2Mm: number;
  leastMm: number;
  mostPerLiftMm: number;
  /** Whether it may be drawn out to nothing at its edge. */
  feathers: boolean;
  bagKg: number;
  waterLPerKg: number;
  source: string;
}

const GENERIC = 'Generic product: invented figures inside the usual range. The bag wins.';

export const SHIPPED_COMPOUNDS: readonly CompoundCard[] = [
  {
    id: 'patching',
    name: 'Patching compound',
    kgPerM2Mm: 1.4,
    leastMm: 0,
    mostPerLiftMm: 10,
    feathers: true,
    bagKg: 20,
    waterLPerKg: 0.22,
    source: GENERIC,
  },
  {
    id: 'self-levelling',
    name: 'Self-levelling compound',
    kgPerM2Mm: 1.7,
    leastMm: 3,
    mostPerLiftMm: 10,
    feathers: false,
    bagKg: 25,
    waterLPerKg: 0.22,
    source: GENERIC,
  },
  {
    id: 'deep-levelling',
    name: 'Deep levelling compound',
    kgPerM2Mm: 1.7,
    leastMm: 5,
    mostPerLiftMm: 50,
    feathers: false,
    bagKg: 25,
    waterLPerKg: 0.2,
    source: GENERIC,
  },
  {
    id: 'fibre-levelling',
    name: 'Fibre compound for timber',
    kgPerM2Mm: 1.6,
    leastMm: 3,
    mostPerLiftMm: 30,
    feathers: false,
    bagKg: 20,
    waterLPerKg: 0.24,
    source: GENERIC,
  },
];

/** Share added for what stays in the bucket. */
export const WASTE_SHARE = 0.05;

export interface CompoundNeed {
  compound: CompoundCard;
  massKg: number;
  bags: number;
  waterL: number;
  lifts: number;
  /** Why this product does not suit the depths, or null when it does. */
  unsuited: string | null;
}

/**
 * Bags of one product for a volume whose depth runs from `thinnestMm` to `deepestMm`.
 * Mass = volume in litres (m2 x mm) x kg per m2 and mm, plus waste; bags are rounded up once, not per patch.
 */
export function needOf(compound: CompoundCard, volumeL: number, thinnestMm: number, deepestMm: number): CompoundNeed {
  const massKg = volumeL * compound.kgPerM2Mm * (1 + WASTE_SHARE);
  const lifts = Math.max(1, Math.ceil(deepestMm / compound.mostPerLiftMm - 1e-9));
  const tooThin = !compound.feathers && thinnestMm < compound.leastMm - 1e-9;
  return {
    compound,
    massKg,
    bags: Math.ceil(massKg / compound.bagKg - 1e-9),
    waterL: massKg * compound.waterLPerKg,
    lifts,
    unsuited: tooThin
      ? `needs ${compound.leastMm} mm everywhere: it does not feather`
      : lifts > 3
        ? `would take ${lifts} lifts`
        : null,
  };
}
