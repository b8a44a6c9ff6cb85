export { formatArea, formatBulk, formatMass, formatMassPerArea, formatRun, formatVolume } from './amounts.ts';
export { normal, seeded } from './chance.ts';
export {
  formatGap,
  formatInches,
  formatReach,
  formatRod,
  formatSpan,
  gapWords,
  type LengthUnit,
  MM_PER_INCH,
  parseLength,
  roundTo,
  toMm,
  UNIT_SYSTEMS,
  unitLabel,
  type UnitSystem,
} from './length.ts';
export {
  celsiusOf,
  fahrenheit,
  formatTemperature,
  formatTemperatureSpan,
  temperatureIn,
  temperatureUnit,
} from './temperature.ts';
