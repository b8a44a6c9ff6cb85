import type { Field } from '@maquette/core/fields';
import { formatReach, formatTemperature, gapWords, type UnitSystem } from '@maquette/core/units';
import { FINE_MM } from './asked-back.ts';
import { writtenAs } from './typed.ts';
import { unitSign } from './unit-sign.ts';

/** A figure with its unit where it is only shown: lengths in the reader's units, fine ones as a gap. */
export function valueWords(value: number, field: Field, units: UnitSystem): string {
  if (writtenAs(field) === 'length') {
    const fine = field.spec.type === 'figure' && field.spec.max <= FINE_MM;
    return fine ? gapWords(value, units) : formatReach(value, units);
  }
  if (writtenAs(field) === 'temperature') return formatTemperature(value, units);
  return field.spec.type === 'figure' ? `${value} ${unitSign(field.spec.unit)}`.trim() : String(value);
}
