/** What an underlay is ranked by, in fixed scales: one more beside it reorders nothing. */
export interface RankedFigures {
  /** For a square metre. */
  cost: number;
  /** Step noise it takes away, dB; 0 where nobody measured it. */
  stepDb: number;
  rM2KW: number;
  thicknessMm: number;
  /** Pressure at half a millimetre, kPa; null where there is no soft layer. */
  kPa: number | null;
}

/** How much each counts; they may be set otherwise, and are shown. */
export interface RankWeights {
  cost: number;
  sound: number;
  heat: number;
  thin: number;
  firm: number;
}
export const USUAL_WEIGHTS: RankWeights = { cost: 0.35, sound: 0.2, heat: 0.15, thin: 0.15, firm: 0.15 };

/** Nothing laid costs nothing, is not thick and gives way to nothing. */
export const NO_UNDERLAY: RankedFigures = { cost: 0, stepDb: 0, rM2KW: 0, thicknessMm: 0, kPa: null };

const SCALES = {
  cost: 12,
  quietFromDb: 10,
  quietOverDb: 15,
  heatedR: 0.1,
  coldR: 0.15,
  thickMm: 6,
  softKPa: 10,
  firmTimes: 40,
};

/** A share of a weight: nothing below nothing, and never more than all of it. */
const share = (of: number) => Math.min(1, Math.max(0, of));

/** The terms of the score, each between nothing and its weight, and their sum. */
export function rankOf(
  { cost, stepDb, rM2KW, thicknessMm, kPa }: RankedFigures,
  isHeated: boolean,
  weights: RankWeights = USUAL_WEIGHTS,
): { terms: Record<keyof RankWeights, number>; score: number } {
  const terms = {
    cost: weights.cost * share(1 - cost / SCALES.cost),
    sound: weights.sound * share((stepDb - SCALES.quietFromDb) / SCALES.quietOverDb),
    // A heated floor asks for little resistance; a cold one is warmer with more.
    heat: weights.heat * share(isHeated ? 1 - rM2KW / SCALES.heatedR : rM2KW / SCALES.coldR),
    thin: weights.thin * share(1 - thicknessMm / SCALES.thickMm),
    firm: weights.firm * (kPa === null ? 1 : share(Math.log(kPa / SCALES.softKPa) / Math.log(SCALES.firmTimes))),
  };
  return { terms, score: Object.values(terms).reduce((sum, term) => sum + term, 0) };
}
