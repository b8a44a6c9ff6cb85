/** How a quantity is written, whichever the units: what it measures, and how finely. */
export type QuantityKind =
  | 'reach'
  | 'gap'
  | 'gapFigure'
  | 'area'
  | 'mass'
  | 'volume'
  | 'celsius'
  | 'celsiusApart'
  | 'decimals'
  | 'moment'
  | 'day';

/** A quantity of a sentence, in the unit it is stored in. The reader's units are the words' business. */
export interface Quantity {
  readonly quantity: QuantityKind;
  readonly value: number;
  /** Decimals, where the quantity says by itself how finely it is written. */
  readonly places?: number;
}

const of =
  (quantity: QuantityKind) =>
  (value: number): Quantity => ({ quantity, value });

/** A length as on a tape, mm: an edge, a distance from a wall. */
export const reach = of('reach');
/** A height or a gap, mm, with its unit. */
export const gap = of('gap');
/** A height or a gap, mm, its unit said elsewhere. */
export const gapFigure = of('gapFigure');
/** Area, m2. */
export const area = of('area');
/** Mass, kg. */
export const mass = of('mass');
/** Volume, l. */
export const volume = of('volume');

/** A temperature, degrees Celsius, with so many decimals. */
export const celsius = (value: number, places = 1): Quantity => ({ quantity: 'celsius', value, places });

/** How far one temperature lies from another, degrees Celsius, with so many decimals. */
export const celsiusApart = (value: number, places = 1): Quantity => ({ quantity: 'celsiusApart', value, places });

/** A plain figure with so many decimals. */
export const decimals = (value: number, places = 0): Quantity => ({ quantity: 'decimals', value, places });

/** A moment, given in UTC, as the clock on site shows it. */
export const moment = (utc: string): Quantity => ({ quantity: 'moment', value: Date.parse(utc) });

/** The day of a moment, given in UTC, as the calendar on site has it. */
export const dayOf = (utc: string): Quantity => ({ quantity: 'day', value: Date.parse(utc) });
