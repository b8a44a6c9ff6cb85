import type { Field } from '@maquette/core/fields';
import { celsiusOf, formatSpan, parseLength, roundTo, temperatureIn, type UnitSystem } from '@maquette/core/units';
import type { Times } from '@maquette/words';

/** How whoever types writes lengths, and by which clock. */
export interface Reader {
  units: UnitSystem;
  times: Times;
}

/** How what is written in a field is read: as text, as a figure in its own unit, or as a length in the room's units. */
type WrittenAs = 'text' | 'figure' | 'length' | 'temperature' | 'moment';

/** How a field is written: lengths and temperatures in the room's units, other figures in their own. */
export const writtenAs = ({ spec }: Field): WrittenAs =>
  spec.type === 'moment'
    ? 'moment'
    : spec.type !== 'figure'
      ? 'text'
      : spec.unit === 'mm'
        ? 'length'
        : spec.unit === '°C'
          ? 'temperature'
          : 'figure';

/** A moment on record is UTC; what was typed is the site's clock. */
const isUtc = (text: string) => text.endsWith('Z');

/** A length as text that can be edited: `5400`, or `17' 8 5/8"`; empty where there is none. */
function lengthText(mm: number, units: UnitSystem): string {
  return units === 'metric' ? String(Math.round(mm * 10) / 10) : formatSpan(mm, units);
}

/** What stands in a field for a value on record. */
export function textOf(value: unknown, field: Field, { units, times }: Reader): string {
  if (value === null || value === undefined) return '';
  const as = writtenAs(field);
  if (as === 'moment') return isUtc(String(value)) ? times.localTime(String(value)) : String(value);
  if (as === 'temperature' && typeof value === 'number') return String(roundTo(temperatureIn(value, units), 0.1));
  return as === 'length' && typeof value === 'number' ? lengthText(value, units) : String(value);
}

/**
 * What was typed, as its class is to check it. What cannot be read stays the text it is: the class says that it is no number.
 * A value that was keyed on the pad or comes from the record is one already.
 */
export function readTyped(typed: unknown, field: Field, { units, times }: Reader): unknown {
  if (typeof typed !== 'string') return typed ?? null;
  const as = writtenAs(field);
  const plain = typed.trim();
  if (as === 'text') return plain;
  if (plain === '') return field.orNull ? null : '';
  if (as === 'moment') return isUtc(plain) ? plain : (times.fromLocalTime(plain) ?? plain);
  if (as === 'length') {
    const parsed = parseLength(plain, units === 'metric' ? 'mm' : 'in');
    return parsed.ok ? parsed.mm : plain;
  }
  const figure = Number(plain.replace(',', '.').replace('−', '-'));
  if (!Number.isFinite(figure)) return plain;
  return as === 'temperature' && units === 'imperial' ? celsiusOf(figure) : figure;
}
