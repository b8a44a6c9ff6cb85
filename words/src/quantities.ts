import type { Quantity, QuantityKind } from '@maquette/core/said';
import {
  formatArea,
  formatGap,
  formatMass,
  formatReach,
  formatTemperature,
  formatTemperatureSpan,
  formatVolume,
  gapWords,
  type UnitSystem,
} from '@maquette/core/units';
import { timesIn } from './times.ts';

const WRITTEN: Record<
  Exclude<QuantityKind, 'decimals' | 'celsius' | 'celsiusApart' | 'moment' | 'day'>,
  (value: number, units: UnitSystem) => string
> = {
  reach: formatReach,
  gap: gapWords,
  gapFigure: formatGap,
  area: formatArea,
  mass: formatMass,
  volume: formatVolume,
};

/** A quantity in the units of whoever reads, in round figures of the trade; times by the clock of their zone. */
export function writeQuantity({ quantity, value, places }: Quantity, units: UnitSystem, zone: string): string {
  if (quantity === 'moment') return timesIn(zone).localTime(new Date(value).toISOString());
  if (quantity === 'day') return timesIn(zone).dayOf(new Date(value).toISOString());
  if (quantity === 'decimals') return value.toFixed(places ?? 0);
  if (quantity === 'celsius') return formatTemperature(value, units, places ?? 0);
  if (quantity === 'celsiusApart') return formatTemperatureSpan(value, units, places ?? 0);
  return WRITTEN[quantity](value, units);
}
