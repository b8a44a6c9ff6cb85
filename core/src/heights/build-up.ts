/** An underlay as it is laid: how thick, and what it gives way to. */
export interface Underlay {
  thicknessMm: number;
  /** Pressure at which it has given way by half a millimetre, kPa. */
  kPaAtHalfMm: number;
  /** Share of its thickness lost for good once it is walked on; 0 for rubber and cork. */
  setShare: number;
}

/** What is laid over the base, from below. */
export interface BuildUp {
  panelMm: number;
  filmMm: number;
  underlay: Underlay | null;
  /** Covering with its adhesive and its own pad. */
  coveringMm: number;
  coveringKgM2: number;
}

/** A floor just laid, or one that has been lived on: doors and fixtures are judged by the first, gaps under fire leaves by the second. */
export type FloorAge = 'new' | 'used';
export const FLOOR_AGES: readonly FloorAge[] = ['new', 'used'];

/** Set of an underlay whose sheet says nothing of it: a share of its thickness. */
export const USUAL_SET_SHARE = 0.05;
/** Weight of one kilogram on a square metre, kPa. */
const KPA_PER_KG_M2 = 0.00981;
/** What people and furniture press with once a floor is lived on, kPa. */
const LIVED_ON_KPA = 2;

/**
 * Thickness of an underlay under its covering, mm: U = t - s t - min(t/2, 0.5 q/k). It never gives way by more than half of
 * itself. A new floor presses by its own weight and has not set; a used one carries what is lived with as well.
 */
export function pressedMm(
  { thicknessMm, kPaAtHalfMm, setShare }: Underlay,
  coveringKgM2: number,
  age: FloorAge,
): number {
  const pressureKPa = KPA_PER_KG_M2 * coveringKgM2 + (age === 'used' ? LIVED_ON_KPA : 0);
  const setMm = age === 'used' ? setShare * thicknessMm : 0;
  return thicknessMm - setMm - Math.min(thicknessMm / 2, (0.5 * pressureKPa) / kPaAtHalfMm);
}

/** All that is laid over the surface that stays, mm. */
export function buildUpMm({ panelMm, filmMm, underlay, coveringMm, coveringKgM2 }: BuildUp, age: FloorAge): number {
  return panelMm + filmMm + (underlay ? pressedMm(underlay, coveringKgM2, age) : 0) + coveringMm;
}
