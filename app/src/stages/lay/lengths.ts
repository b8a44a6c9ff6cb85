import { formatSpan, type UnitSystem } from '@maquette/core/units';

/** A length as it is set on a saw: to the millimetre, or the sixteenth. */
export const sawn = (mm: number, units: UnitSystem): string =>
  units === 'metric' ? `${formatSpan(Math.round(mm), units)} mm` : formatSpan(mm, units);

/** Two widths that may be the same. */
export const tapering = ([left, right]: readonly [number, number], units: UnitSystem): string =>
  Math.abs(left - right) < 0.5
    ? sawn(left, units)
    : `${sawn(left, units)} at its left end, ${sawn(right, units)} at its right`;

/** An edge row along its wall, and in a doorway where it is deeper there. */
export function edgeRow([least, most]: readonly [number, number], inDoorwayMm: number, units: UnitSystem): string {
  const along = most - least > 1 ? `${sawn(least, units)} to ${sawn(most, units)}` : sawn(least, units);
  return inDoorwayMm - most > 1 ? `${along}, ${sawn(inDoorwayMm, units)} in the doorway` : along;
}
