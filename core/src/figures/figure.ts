/** A default of the trade: what it is, its value, the range taken, and where it comes from. Editable per job. */
export interface FigureSpec {
  words: string;
  value: number;
  unit: string;
  min: number;
  max: number;
  source: string;
}

const USUAL = 'Usual figure of the trade; your own timing wins.';
export const PRICE = 'Invented price to compare with; put in your own.';

export function figure(
  words: string,
  value: number,
  unit: string,
  min: number,
  max: number,
  source: string = USUAL,
): FigureSpec {
  return { words, value, unit, min, max, source };
}
