/** Pressure of saturated water vapour, Pa, at a temperature, °C: over water, and over ice below nothing (as EN ISO 13788 has it). */
export const saturationPa = (c: number): number =>
  610.5 * (c < 0 ? Math.exp((21.875 * c) / (265.5 + c)) : Math.exp((17.269 * c) / (237.3 + c)));

/** Air as it is on one side of a floor. */
export interface SideAir {
  c: number;
  /** Relative humidity, percent. */
  rh: number;
}

/** Pressure of the vapour in some air, Pa. */
export const vapourPa = ({ c, rh }: SideAir): number => (rh / 100) * saturationPa(c);
