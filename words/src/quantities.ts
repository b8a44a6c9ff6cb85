import type { Quantity, QuantityKind } from '@maquette/core/said';
import {
  formatArea,
  formatGap,
  formatMass,
  formatReach,
  formatVolume,
  gapWords,
  type UnitSystem,
} from '@maquette/core/units';

const WRITTEN: Record<Exclude<QuantityKind, 'decimals'>, (value: number, units: UnitSystem) => string> = {
  reach: formatReach,
  gap: gapWords,
  gapFigure: formatGap,
  area: formatArea,
  mass: formatMass,
  volume: formatVolume,
};

/** A quantity in the units of whoever reads, in round figures of the trade. */
export function writeQuantity({ quantity, value, places }: Quantity, units: UnitSystem): string {
  return quantity === 'decimals' ? value.toFixed(places ?? 0) : WRITTEN[quantity](value, units);
}
