import type { OpenModel } from '../levelling/index.ts';
import { plankLines, rowForNothing, stripsOnLine, upTo, type OnLine } from './bounds.ts';
import type { LaidPlank } from './plank.ts';
import {
  costBy,
  patternRow,
  priceRows,
  pricingOf,
  soundPrices,
  waysRow,
  type Pattern,
  type Pricing,
} from './pricing.ts';
import type { RowStrip } from './rows.ts';

/** Strips that prices speak of on one line of their planks, each with its number among all strips. */
export interface PricedStrip extends OnLine {
  strip: number;
}

/** Shorter strips cost nothing: what is cut for them may be left over from anything. mm */
const SHORTEST_MM = 10;

/**
 * What a bound speaks of: every layout there is, or those whose pieces are each cut as long as the longest edge of their place, as a plan's are. The first holds whatever is
 * made of what slants and notches leave over, and is the lower one.
 */
export type BoundOver = 'all' | 'longest';

export interface BoundOptions {
  over?: BoundOver;
  /** Strips that lie already. */
  held?: ReadonlySet<number>;
}

const NONE: ReadonlySet<number> = new Set();

/** What stands in a strip may leave a piece that is of use elsewhere: such a strip costs nothing here. */
const pricedOn = (strips: readonly RowStrip[], lineMm: number): PricedStrip[] =>
  stripsOnLine(strips, lineMm)
    .map((one, strip) => ({ ...one, strip }))
    .filter(({ lengthMm, isWhole }) => isWhole && lengthMm > SHORTEST_MM);

/** Strips by their longest extents. A last row that may come from what is ripped off the first costs nothing. */
function pricedByLongest(strips: readonly RowStrip[], plank: LaidPlank): PricedStrip[] {
  const free = rowForNothing(strips, plank);
  return strips.flatMap(({ row, fromMm, toMm }, strip) =>
    row === free ? [] : [{ strip, lengthMm: toMm - fromMm, isSquare: true, isWhole: true }],
  );
}

/**
 * Strips as a bound may price them, each list by itself: the highest of what the lists prove counts. What lies already was cut as it was found, so that no least end and no trim
 * is asked of it.
 */
export const pricedStrips = (
  strips: readonly RowStrip[],
  plank: LaidPlank,
  { over = 'all', held = NONE }: BoundOptions,
): PricedStrip[][] =>
  (over === 'all' ? plankLines(plank).map((line) => pricedOn(strips, line)) : [pricedByLongest(strips, plank)]).map(
    (list) => list.map((one) => (held.has(one.strip) ? { ...one, isSquare: false } : one)),
  );

/** Prices for strips as they are on one line. */
export const pricingFor = (strips: readonly PricedStrip[], plank: LaidPlank): Pricing =>
  pricingOf(
    plank,
    strips
      .filter(({ lengthMm }) => lengthMm <= plank.lengthMm + 1e-6)
      .map(({ lengthMm, isSquare }) => (isSquare ? Math.min(plank.lengthMm, lengthMm + 2 * plank.trimMm) : lengthMm)),
  );

/**
 * By prices, for these rows: starts, ends and pieces from wall to wall are each given a price that grows with their length, so that no plank holds pieces for more
 * than itself. What the strips cost at least by them is a number of planks that no layout goes under; the best prices are found by a linear programme, patterns
 * that are worth more than a plank being added as they are found, and what they prove is added up anew.
 *
 * After column generation for cutting stock (Gilmore and Gomory), its dual being taken for all lengths at once.
 */
export function priceBound(
  strips: readonly RowStrip[],
  plank: LaidPlank,
  open: OpenModel,
  options: BoundOptions = {},
): number {
  const bounds = pricedStrips(strips, plank, options).map(
    (priced) => bestPrices(priced, pricingFor(priced, plank), open)?.planks ?? 0,
  );
  return Math.max(0, ...bounds.map((planks) => upTo(planks - 1e-7)));
}

/** Rounds in which patterns are looked for, and what a plank may be worth too much: what is left over is brought down at the end. */
const ROUNDS = 30;
const OVER = 1e-4;

/** The best prices for strips on one line, the planks they prove and the patterns that were found; null where there is nothing to price. */
export function bestPrices(
  strips: readonly PricedStrip[],
  pricing: Pricing,
  open: OpenModel,
): { price: Float64Array; planks: number; patterns: Pattern[] } | null {
  if (strips.length === 0) return null;
  const groups = new Map<string, PricedStrip[]>();
  for (const strip of strips) {
    const key = `${strip.lengthMm.toFixed(4)}/${strip.isSquare}`;
    groups.set(key, [...(groups.get(key) ?? []), strip]);
  }
  const kinds = [...groups.values()].map((alike) => ({
    count: alike.length,
    ways: pricing.dividings(alike[0]!.lengthMm, alike[0]!.isSquare),
  }));
  if (kinds.some(({ ways }) => ways.length === 0)) return null;
  const { columns } = pricing;
  const cost = new Float64Array(columns + kinds.length);
  const upper = new Float64Array(cost.length).fill(1);
  kinds.forEach(({ count }, k) => {
    cost[columns + k] = -count;
    upper[columns + k] = 1e4;
  });
  const model = open(cost, new Float64Array(cost.length), upper);
  const patterns: Pattern[] = [];
  try {
    model.addRows([
      ...priceRows(pricing),
      ...kinds.flatMap(({ ways }, k) => ways.map((way) => waysRow(columns + k, [way]))),
    ]);
    let values: Float64Array | null = null;
    for (let round = 0; round < ROUNDS; round++) {
      const solved = model.solve();
      if (!solved) break;
      values = solved.values.slice(0, columns);
      const { pattern, worth } = pricing.dearest(values);
      if (worth <= 1 + OVER) break;
      patterns.push(pattern);
      model.addRows([patternRow(pattern)]);
    }
    if (!values) return null;
    const price = soundPrices(values, pricing);
    const planks = kinds.reduce(
      (sum, { count, ways }) => sum + count * Math.min(...ways.map((way) => costBy(price, way))),
      0,
    );
    return { price, planks, patterns };
  } finally {
    model.close();
  }
}
