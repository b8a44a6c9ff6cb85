import { say, type Said } from '../said/index.ts';
/** A default of the trade: what it is, its value, the range taken, and where it comes from. Editable per job. */
export interface FigureSpec {
  words: Said;
  value: number;
  unit: string;
  min: number;
  max: number;
  source: Said;
}

const USUAL = say('figures.usual');
export const PRICE = say('figures.price');

export function figure(
  words: Said,
  value: number,
  unit: string,
  min: number,
  max: number,
  source: Said = USUAL,
): FigureSpec {
  return { words, value, unit, min, max, source };
}
