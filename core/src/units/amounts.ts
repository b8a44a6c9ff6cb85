import { roundTo, type UnitSystem } from './length.ts';

/** Square feet in a square metre: 1 / 0.3048^2. */
const FT2_PER_M2 = 1 / 0.3048 ** 2;
/** Pounds in a kilogram: 1 / 0.45359237. */
const LB_PER_KG = 1 / 0.45359237;
/** US gallons in a litre: 1 / 3.785411784. */
const US_GAL_PER_L = 1 / 3.785411784;

function spoken(value: number, unit: string): string {
  const step = value >= 100 ? 1 : value >= 10 ? 0.1 : 0.01;
  return `${roundTo(value, step)} ${unit}`;
}

/** Area with its unit, three figures: `3.2 m²`, `34.4 ft²`. */
export function formatArea(areaM2: number, units: UnitSystem): string {
  return units === 'metric' ? spoken(areaM2, 'm²') : spoken(areaM2 * FT2_PER_M2, 'ft²');
}

/** Mass with its unit: `11.9 kg`, `26.2 lb`. */
export function formatMass(massKg: number, units: UnitSystem): string {
  return units === 'metric' ? spoken(massKg, 'kg') : spoken(massKg * LB_PER_KG, 'lb');
}

/** Volume with its unit: `7.02 l`, `1.85 gal`. */
export function formatVolume(volumeL: number, units: UnitSystem): string {
  return units === 'metric' ? spoken(volumeL, 'l') : spoken(volumeL * US_GAL_PER_L, 'gal');
}

/** Loose bulk with its unit: `0.71 m³`, `25.1 ft³`. */
export function formatBulk(volumeM3: number, units: UnitSystem): string {
  return units === 'metric' ? spoken(volumeM3, 'm³') : spoken(volumeM3 * FT2_PER_M2 ** 1.5, 'ft³');
}

/** Mass for an area with its unit: `7 kg/m²`, `1.43 lb/ft²`. */
export function formatMassPerArea(kgPerM2: number, units: UnitSystem): string {
  return units === 'metric' ? spoken(kgPerM2, 'kg/m²') : spoken((kgPerM2 * LB_PER_KG) / FT2_PER_M2, 'lb/ft²');
}

/** What is bought by its length, with its unit: `50 m`, `164 ft`. */
export function formatRun(lengthM: number, units: UnitSystem): string {
  return units === 'metric' ? spoken(lengthM, 'm') : spoken(lengthM * FT2_PER_M2 ** 0.5, 'ft');
}
