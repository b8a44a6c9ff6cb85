import { formatArea, formatBulk, formatMass, formatRun, formatVolume, type UnitSystem } from '@maquette/core/units';

/** What is bought by these units is told in the reader's. */
const IN_UNITS: Readonly<Record<string, (value: number, units: UnitSystem) => string>> = {
  'm²': formatArea,
  'm³': formatBulk,
  kg: formatMass,
  l: formatVolume,
  m: formatRun,
};

/** A quantity of the bill as one reads it: hours to a tenth, areas and masses as finely as they are bought. */
export function quantityWords(value: number, unit: string, units: UnitSystem): string {
  const inUnits = units === 'imperial' ? IN_UNITS[unit] : undefined;
  if (inUnits) return inUnits(value, units);
  const places = unit === '' || unit === 'days' ? 0 : value >= 100 ? 0 : value >= 10 ? 1 : 2;
  const figure = value
    .toLocaleString('en', { minimumFractionDigits: 0, maximumFractionDigits: places })
    .replace(/,/g, '\u2009');
  return unit === '' ? figure : `${figure}\u00a0${unit === 'days' && value === 1 ? 'day' : unit}`;
}
