import type { FigureOf } from '../figures/index.ts';
import { decimals, say, type Said } from '../said/index.ts';

/** A quantity to buy or do, with how it came about. */
export interface Quantity {
  words: Said;
  value: number;
  unit: string;
  formula: Said;
}

/** A length along a line, told in metres. */
export const metres = (words: Said, lengthMm: number): Quantity => ({
  words,
  value: lengthMm / 1000,
  unit: 'm',
  formula: say('soundness.lengthOfTheLineOnThe'),
});
/** An area, m2. */
export const square = (words: Said, area: number): Quantity => ({
  words,
  value: area,
  unit: 'm²',
  formula: say('soundness.areaOnTheSheet'),
});
/** Hours of one person over an area, m2, at so many hours for each. */
export const hours = (area: number, rate: number, words: Said): Quantity => ({
  words,
  value: area * rate,
  unit: 'h',
  formula: say('soundness.hoursFormula', { area: decimals(area, 2), rate }),
});

/** Repair mortar for an area, m2, of some depth, mm; the patch alone where the depth is not known. */
export function mortar(area: number, depthMm: number | null, figure: FigureOf): Quantity[] {
  if (depthMm === null) return [square(say('soundness.patch'), area)];
  return [
    square(say('soundness.patch'), area),
    {
      words: say('soundness.repairMortar'),
      value: area * depthMm * figure('fill-kg-l'),
      unit: 'kg',
      formula: say('soundness.mortarFormula', { area: decimals(area, 3), depthMm, fillKgL: figure('fill-kg-l') }),
    },
  ];
}
