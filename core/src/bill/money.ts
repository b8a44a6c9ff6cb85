/** Money is whole cents, quantities whole thousandths of their unit: every sum is exact. */
export type Cents = number;
export type Milli = number;

/** To the whole, halves away from nothing. */
export const wholeOf = (dividend: number, divisor: number): number => {
  const sign = Math.sign(dividend) * Math.sign(divisor);
  const [a, b] = [Math.abs(dividend), Math.abs(divisor)];
  return sign * Math.floor((2 * a + b) / (2 * b)) + 0;
};

/** So much of something at a price a unit. */
export const priced = (quantity: Milli, each: Cents): Cents => wholeOf(quantity * each, 1000);

/** A quantity as people write it, in thousandths: what it is finer than that is rounded. */
export const milli = (quantity: number): Milli => Math.round(quantity * 1000);

/**
 * A sum parted by weights to the cent: each gets the whole cents of its share, and what is over goes cent by cent to the largest remainders, the first first. Without any weight the first
 * gets all.
 */
export function parted(sum: Cents, weights: readonly number[]): Cents[] {
  if (weights.length === 0) return [];
  const whole = weights.reduce((all, one) => all + one, 0);
  if (whole <= 0) return weights.map((_, k) => (k === 0 ? sum : 0));
  const shares = weights.map((weight) => (Math.abs(sum) * weight) / whole);
  const parts = shares.map(Math.floor);
  const over = Math.abs(sum) - parts.reduce((all, one) => all + one, 0);
  const byRest = shares
    .map((share, k) => ({ k, rest: share - parts[k]! }))
    .sort((a, b) => b.rest - a.rest || a.k - b.k);
  for (const { k } of byRest.slice(0, over)) parts[k]!++;
  return parts.map((part) => Math.sign(sum) * part + 0);
}

/** A price that leaves so much of itself as margin, in tenths of a percent. */
export const withMargin = (cost: Cents, marginPermille: number): Cents => wholeOf(cost * 1000, 1000 - marginPermille);

export interface NetLine {
  netCents: Cents;
  /** Tax of the line, tenths of a percent. */
  taxPermille: number;
}

/** Net, tax by its rates, and both: each rate's tax is worked out of the sum of its lines, and rounded once. */
export function totalOf(lines: readonly NetLine[]): {
  net: Cents;
  tax: { permille: number; cents: Cents }[];
  gross: Cents;
} {
  const net = lines.reduce((sum, { netCents }) => sum + netCents, 0);
  const rates = [...new Set(lines.map(({ taxPermille }) => taxPermille))].sort((a, b) => a - b);
  const tax = rates.map((permille) => {
    const of = lines
      .filter(({ taxPermille }) => taxPermille === permille)
      .reduce((sum, { netCents }) => sum + netCents, 0);
    return { permille, cents: wholeOf(of * permille, 1000) };
  });
  return { net, tax, gross: net + tax.reduce((sum, { cents }) => sum + cents, 0) };
}
