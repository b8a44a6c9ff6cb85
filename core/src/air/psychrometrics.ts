/** Magnus coefficients over water (Sonntag; good to 0.1 C between 0 and 60 C). */
const MAGNUS_A = 17.625;
const MAGNUS_B_C = 243.04;

/** Dew point, C, of air at a temperature and relative humidity (0 to 100, over 0). */
export function dewPointC(tempC: number, rhPercent: number): number {
  const g = Math.log(rhPercent / 100) + (MAGNUS_A * tempC) / (MAGNUS_B_C + tempC);
  return (MAGNUS_B_C * g) / (MAGNUS_A - g);
}

/**
 * Moisture content wood comes to rest at, % of dry mass (Hailwood and Horrobin's two-hydrate equation with the coefficients of the
 * Wood Handbook, in degrees Celsius).
 */
export function equilibriumMcPercent(tempC: number, rhPercent: number): number {
  const h = rhPercent / 100;
  const w = 349 + 1.29 * tempC + 0.0135 * tempC ** 2;
  const k = 0.805 + 0.000736 * tempC - 0.00000273 * tempC ** 2;
  const k1 = 6.27 - 0.00938 * tempC - 0.000303 * tempC ** 2;
  const k2 = 1.91 + 0.0407 * tempC - 0.000293 * tempC ** 2;
  const hydrates = (k1 * k * h + 2 * k1 * k2 * k ** 2 * h ** 2) / (1 + k1 * k * h + k1 * k2 * k ** 2 * h ** 2);
  return (1800 / w) * ((k * h) / (1 - k * h) + hydrates);
}
